const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** What thinning asks of a version. */
interface Aged {
  id: string;
  /** UTC instant. */
  at: string;
  /** True for versions that are kept whatever their age: named ones, and those from before a risky step. */
  lasting: boolean;
}

/**
 * Versions that may go, so that a year of work stays small: of those kept by time, all of the last day stay, then the
 * last of each hour for a week, then the last of each day. `now` is a UTC instant.
 */
export function thinnedVersions(versions: readonly Aged[], now: string): string[] {
  const end = Date.parse(now);
  const taken = new Set<number>();
  const gone: string[] = [];
  for (const { id, at, lasting } of [...versions].sort((a, b) => (a.at < b.at ? 1 : -1))) {
    const time = Date.parse(at);
    const age = end - time;
    if (lasting || age < DAY) continue;
    // Hours and days share the set: an hour's number is far above any day's.
    const slot = Math.floor(time / (age < 7 * DAY ? HOUR : DAY));
    if (taken.has(slot)) gone.push(id);
    taken.add(slot);
  }
  return gone;
}
