/** Months of a year as figures give them. */
export const MONTH_NAMES = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
];

const meanOf = (months: readonly number[]) => months.reduce((sum, value) => sum + value, 0) / months.length;

/**
 * How the best of the next three months (the one after `month` first; 0 is January) stands against the year's mean.
 * 1: like any other; 1.5: half as much again. Null: the months are not known or all empty.
 */
export function seasonAhead(months: readonly number[] | null, month: number): number | null {
  if (months?.length !== 12) return null;
  const mean = meanOf(months);
  if (mean <= 0) return null;
  return Math.max(...[1, 2, 3].map((ahead) => months[(month + ahead) % 12])) / mean;
}

/** The season of a phrase, where it has one. */
export interface Season {
  /** Month (0-11) in which it first goes above the threshold. */
  from: number;
  peak: number;
  /** The peak against the year's mean. */
  height: number;
}

/** A month that is this far above the mean belongs to the season. */
const IN_SEASON = 1.25;

/** When a phrase is asked for clearly more than over the year; null where no month stands out by a quarter. */
export function seasonOf(months: readonly number[] | null): Season | null {
  if (months?.length !== 12) return null;
  const mean = meanOf(months);
  if (mean <= 0) return null;
  const above = months.map((value) => value / mean >= IN_SEASON);
  if (!above.includes(true) || !above.includes(false)) return null;
  const peak = months.reduce((best, value, at) => (value > months[best] ? at : best), 0);
  let from = peak;
  while (above[(from + 11) % 12]) from = (from + 11) % 12;
  return { from, peak, height: months[peak] / mean };
}

/** How many months a season lasts. */
export function monthsInSeason(months: readonly number[], { from }: Pick<Season, 'from'>): number {
  const mean = meanOf(months);
  let length = 1;
  while (length < 12 && months[(from + length) % 12] / mean >= IN_SEASON) length += 1;
  return length;
}

/** Whole weeks from a day until the first of a month (0-11), this year or next; 0 while it lasts. */
export function weeksUntil(month: number, today: Date): number {
  const year = today.getUTCFullYear() + (month < today.getUTCMonth() ? 1 : 0);
  if (month === today.getUTCMonth()) return 0;
  return Math.floor((Date.UTC(year, month, 1) - today.getTime()) / (7 * 86_400_000));
}
