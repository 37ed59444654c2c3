import type { FigureSource, FoundPage, Intent, Keyword, ListedPage } from './keyword.ts';

/** Keywords as columns, pages and sources named once: how they are stored and sent. Columns are of one length. */
export interface PackedKeywords {
  version: 1;
  pages: ListedPage[];
  sources: FigureSource[];
  phrases: string[];
  regions: string[];
  volumes: (number | null)[];
  months: (number[] | null)[];
  given: (number | null)[];
  intents: (Intent | null)[];
  /** Indices of sources. */
  from: number[];
  /** Pairs of a page's index and how squarely it answers; null: not looked up. */
  found: ([page: number, squareness: number][] | null)[];
}

/** Keywords as columns. */
export function packKeywords(keywords: readonly Keyword[]): PackedKeywords {
  const pages = new Map<string, number>();
  const sources = new Map<string, number>();
  const packed: PackedKeywords = {
    version: 1,
    pages: [],
    sources: [],
    phrases: [],
    regions: [],
    volumes: [],
    months: [],
    given: [],
    intents: [],
    from: [],
    found: [],
  };
  const pageOf = ({ squareness: _squareness, ...page }: FoundPage): number => {
    let at = pages.get(page.address);
    if (at === undefined) {
      at = packed.pages.push(page) - 1;
      pages.set(page.address, at);
    }
    return at;
  };
  const sourceOf = (source: FigureSource): number => {
    const key = `${source.name}\n${source.date}`;
    let at = sources.get(key);
    if (at === undefined) {
      at = packed.sources.push(source) - 1;
      sources.set(key, at);
    }
    return at;
  };
  for (const { phrase, region, volume, months, givenDifficulty, found, setIntent, source } of keywords) {
    packed.phrases.push(phrase);
    packed.regions.push(region);
    packed.volumes.push(volume);
    packed.months.push(months ? [...months] : null);
    packed.given.push(givenDifficulty);
    packed.intents.push(setIntent);
    packed.from.push(sourceOf(source));
    packed.found.push(found ? found.map((page) => [pageOf(page), page.squareness]) : null);
  }
  return packed;
}

/** Keywords from columns; those that {@link packKeywords} was given. */
export function unpackKeywords(packed: PackedKeywords): Keyword[] {
  return packed.phrases.map((phrase, at) => ({
    phrase,
    region: packed.regions[at],
    volume: packed.volumes[at],
    months: packed.months[at],
    givenDifficulty: packed.given[at],
    setIntent: packed.intents[at],
    source: packed.sources[packed.from[at]],
    found: packed.found[at]?.map(([page, squareness]) => ({ ...packed.pages[page], squareness })) ?? null,
  }));
}

/** True where columns fit together: what came from outside may say otherwise though its shape is right. */
export function isConsistent(packed: PackedKeywords): boolean {
  const { phrases, regions, volumes, months, given, intents, from, found } = packed;
  return (
    [regions, volumes, months, given, intents, from, found].every(
      ({ length }) => length === phrases.length,
    ) &&
    from.every((at) => Number.isInteger(at) && packed.sources[at] !== undefined) &&
    months.every((list) => list === null || list.length === 12) &&
    found.every((list) => list === null || list.every(([page]) => packed.pages[page] !== undefined))
  );
}
