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
  return dateInWords(day, new Date(`${today}T00:00:00Z`));
}

/** A calendar day as it is called whatever day it is today: 3 Nov, 3 Nov 2025; what is none is shown as it stands. */
export function dateInWords(day: string, now: Date = new Date()): string {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return day;
  const [year, month, date] = day.split('-').map(Number);
  const short = `${date} ${MONTHS[month - 1]}`;
  return year === now.getUTCFullYear() ? short : `${short} ${year}`;
}

/** Calendar days from one to another, both included: 3 Nov to 30 Nov. */
export const daysInWords = (from: string, to: string): string =>
  from === to ? dateInWords(from) : `${dateInWords(from)} to ${dateInWords(to)}`;

/** The time of day of an instant, e.g. 14:06; empty where there is none. */
export const timeInWords = (instant: string, zone: string): string => (instant ? timeIn(zone, instant) : '');
