const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });

/** A count as tables show it, e.g. `6,600`; a dash where it is not known. */
export const countInWords = (count: number | null): string =>
  count === null || Number.isNaN(count) ? '–' : whole.format(count);

/** A figure of 0-100, rounded; a dash where it is not known. */
export const figureInWords = (figure: number | null): string =>
  figure === null || Number.isNaN(figure) ? '–' : String(Math.round(figure));

/** A number and what it counts, e.g. `1 phrase`. */
export const counted = (count: number, one: string, more = `${one}s`): string =>
  `${whole.format(count)} ${count === 1 ? one : more}`;

/** A share of 0-1 as per cent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How many of those who were shown something opened it, e.g. `3.4 %`; a dash where it was shown to nobody. */
export const rateInWords = (clicks: number, impressions: number): string =>
  impressions > 0 ? `${((clicks / impressions) * 100).toFixed(1)} %` : '–';

/** Things one after the other, as in a sentence: "a title, a slug and a text". */
export const listInWords = (things: readonly string[]): string =>
  things.length < 2 ? (things[0] ?? '') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)}`;

/** Bytes of a file as people read them: `640 kB`, `12 MB`. */
export const fileSize = (bytes: number): string =>
  bytes < 1_000_000
    ? `${whole.format(Math.max(1, bytes / 1000))} kB`
    : `${whole.format(bytes / 1_000_000)} MB`;
