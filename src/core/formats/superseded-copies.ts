const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const WEEK = 7 * DAY;

/**
 * Of copies kept by the hour those that may go: all of the last day stay, then the last of each day (UTC) for seven
 * days. The newest stays whatever its age: after a pause of a month it is all there is. Instants later than `now`, of a
 * clock that was set back, count as of now.
 *
 * @example supersededCopies(['2026-11-01T09:00:00Z', '2026-11-20T09:00:00Z'], '2026-11-20T10:00:00Z')
 * // ['2026-11-01T09:00:00Z']
 */
export function supersededCopies(instants: readonly string[], now: string): string[] {
  const end = Date.parse(now);
  const days = new Set<number>();
  return [...instants]
    .sort((a, b) => Date.parse(b) - Date.parse(a))
    .filter((instant, at) => {
      const time = Date.parse(instant);
      const age = end - time;
      const day = Math.floor(time / DAY);
      const isLast = !days.has(day);
      days.add(day);
      return at > 0 && age > DAY && !(isLast && age <= WEEK);
    });
}
