import { format, isThisYear, isToday, isYesterday } from 'date-fns';

/** A day as lists show it: today, yesterday, 3 Nov, 3 Nov 2025. */
export function dayInWords(instant: string): string {
  const date = new Date(instant);
  if (Number.isNaN(date.getTime())) return '';
  if (isToday(date)) return 'today';
  if (isYesterday(date)) return 'yesterday';
  return format(date, isThisYear(date) ? 'd MMM' : 'd MMM yyyy');
}

/** The time of day of an instant, e.g. 14:06. */
export const timeInWords = (instant: string): string => (instant ? format(new Date(instant), 'HH:mm') : '');
