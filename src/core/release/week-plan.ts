import { instantAt } from './local-time.ts';

/** How a row of posts is spread over days. */
export interface PlanWish {
  /** The first day, `2026-12-01`. */
  from: string;
  /** Days of the week on which posts go out: 1 Monday to 7 Sunday. */
  weekdays: readonly number[];
  /** Times of such a day, in order: `09:00`. */
  times: readonly string[];
  /** Days between two that are used at least; 0: every day that suits. */
  gap: number;
  zone: string;
}

/** When one post goes out: on the clock of its zone, and as an instant. */
export interface PlannedTime {
  local: string;
  instant: string;
}

/** Days that are looked through for the next one that suits. */
const MOST_DAYS = 3660;

const nextDay = (day: string): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
/** 1 Monday to 7 Sunday. */
const weekdayOf = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay() || 7;

/**
 * Times for so many posts, one after the other: the times of the first day that suits, then of the next. What lies before `now`
 * is passed over. Empty where no day or no time is given.
 */
export function planTimes(
  count: number,
  { from, weekdays, times, gap, zone }: PlanWish,
  now: string,
): PlannedTime[] {
  const planned: PlannedTime[] = [];
  const sorted = [...new Set(times)].filter((time) => /^\d{2}:\d{2}$/.test(time)).sort();
  if (sorted.length === 0 || Number.isNaN(Date.parse(`${from}T00:00:00Z`))) return [];
  let pause = 0;
  let day = from;
  for (let at = 0; at < MOST_DAYS && planned.length < count; at++, day = nextDay(day)) {
    if (pause > 0) pause -= 1;
    else if (weekdays.includes(weekdayOf(day))) {
      const open = sorted
        .map((time) => ({ local: `${day}T${time}`, instant: instantAt(zone, `${day}T${time}`) }))
        .filter(({ instant }) => instant > now);
      planned.push(...open.slice(0, count - planned.length));
      if (open.length > 0) pause = gap;
    }
  }
  return planned;
}
