/** So many of the latest days are kept, whatever their month. */
const LATEST = 40;

/** The days of which audits are kept: the latest, and of each month before them the first. */
export function keptDays(days: readonly string[]): string[] {
  const sorted = [...new Set(days)].sort();
  const latest = sorted.slice(-LATEST);
  const months = new Set<string>();
  const firsts = sorted.filter((day) => {
    const month = day.slice(0, 7);
    return !months.has(month) && months.add(month);
  });
  return [...new Set([...firsts, ...latest])].sort();
}
