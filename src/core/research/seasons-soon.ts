import { type Season, seasonOf, weeksUntil } from './season.ts';

/** A phrase whose season is about to begin. */
export interface SeasonSoon {
  /** Index in the phrases given. */
  index: number;
  season: Season;
  /** Whole weeks until its first month. */
  weeks: number;
}

/**
 * Phrases whose season begins within so many weeks of a day, those worth most first; where there is none, those of the
 * season that begins next. A phrase is written for before its season: one that has begun is too late.
 */
export function seasonsSoon(
  phrases: readonly { months: readonly number[] | null; opportunity: number | null }[],
  today: Date,
  within = 6,
): SeasonSoon[] {
  const ahead = phrases
    .flatMap(({ months }, index): SeasonSoon[] => {
      const season = seasonOf(months);
      if (!season || season.from === today.getUTCMonth()) return [];
      return [{ index, season, weeks: weeksUntil(season.from, today) }];
    })
    .sort(
      (a, b) =>
        (phrases[b.index].opportunity ?? -1) - (phrases[a.index].opportunity ?? -1) || a.index - b.index,
    );
  const next = ahead.reduce((least, { weeks }) => Math.min(least, weeks), Number.POSITIVE_INFINITY);
  return ahead.filter(({ weeks }) => weeks <= Math.max(within, next));
}
