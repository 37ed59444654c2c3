import { monthsInSeason, seasonOf } from './season.ts';

/** When a phrase is asked for, as days of a calendar. */
export interface SeasonBand {
  phrase: string;
  /** The last day on which what is written is found in time. */
  writeBy: string;
  from: string;
  to: string;
  /** Month (0-11) in which most ask for it. */
  peak: number;
  /** That month against the year's mean. */
  height: number;
}

/** Days before a season within which search gets to know a post: six weeks, as everywhere here. */
const LEAD_DAYS = 42;
const DAY = 86_400_000;
const dayAt = (instant: number): string => new Date(instant).toISOString().slice(0, 10);

/**
 * The seasons of phrases that touch some days, or for which has to be written within them; those that are highest first. A phrase without a
 * season has none.
 *
 * @param from first of the days, `2026-12-01`
 * @param to last of the days
 */
export function seasonBands(
  phrases: readonly { phrase: string; months: readonly number[] | null }[],
  from: string,
  to: string,
): SeasonBand[] {
  const bands = phrases.flatMap(({ phrase, months }): SeasonBand[] => {
    const season = seasonOf(months);
    if (!season || !months) return [];
    const length = monthsInSeason(months, season);
    const year = Number(from.slice(0, 4));
    return [year - 1, year, year + 1].flatMap((one): SeasonBand[] => {
      const begins = Date.UTC(one, season.from, 1);
      const band = {
        phrase,
        writeBy: dayAt(begins - LEAD_DAYS * DAY),
        from: dayAt(begins),
        to: dayAt(Date.UTC(one, season.from + length, 1) - DAY),
        peak: season.peak,
        height: season.height,
      };
      return band.to < from || band.writeBy > to ? [] : [band];
    });
  });
  return bands.sort((a, b) => b.height - a.height || (a.phrase < b.phrase ? -1 : 1));
}
