import { dayBefore, dayIn, timeIn } from '../../core/site/index.ts';

const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/**
 * A day as lists show it, by the calendar of a zone: today, yesterday, 3 Nov, 3 Nov 2025. A day without a time of day
 * is that day in every zone; what is no date is shown as it stands.
 */
export function dayInWords(instant: string, zone: string, now: Date = new Date()): string {
  const day = dayIn(zone, instant);
  if (day === '') return instant;
  const today = dayIn(zone, now);
  if (day === today) return 'today';
  if (day === dayBefore(today, 1)) return 'yesterday';
  const [year, month, date] = day.split('-');
  const short = `${Number(date)} ${MONTHS[Number(month) - 1]}`;
  return year === today.slice(0, 4) ? short : `${short} ${Number(year)}`;
}

/** The time of day of an instant, e.g. 14:06; empty where there is none. */
export const timeInWords = (instant: string, zone: string): string => (instant ? timeIn(zone, instant) : '');
