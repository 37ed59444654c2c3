import { daysBetween, shiftDay } from './calendar-days.ts';

/** Days on which nothing goes out though something usually would. */
export interface RhythmGap {
  from: string;
  to: string;
  days: number;
}

/** How evenly posts go out. */
export interface Rhythm {
  /** Days from one day with a post to the next, as they mostly were (the median); null: too few to say. */
  usual: number | null;
  gaps: RhythmGap[];
  /** Days with more posts than there usually are on one. */
  pileUps: { day: string; posts: number }[];
}

/** Days back that tell what is usual. */
const LOOKED_BACK = 182;
/** Steps from day to day below which nothing is usual. */
const FEWEST = 3;
/** A gap is so many times as long as is usual, and so many days at least. */
const GAP = 2;
const SHORTEST_GAP = 7;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
};

/**
 * Gaps and pile-ups in what is to come, held against what was usual in the half year before: the time from today to the first post, and
 * from each to the next up to the last one that is planned.
 *
 * @param days of posts that are out or planned, one entry for each post
 */
export function rhythmOf(days: readonly string[], today: string): Rhythm {
  const counts = new Map<string, number>();
  for (const day of days) counts.set(day, (counts.get(day) ?? 0) + 1);
  const sorted = [...counts.keys()].sort();
  const start = shiftDay(today, -LOOKED_BACK);
  const known = sorted.filter((day) => day >= start && day <= today);
  const steps = known.slice(1).map((day, at) => daysBetween(known[at], day));
  const usual = steps.length >= FEWEST ? median(steps) : null;
  const ahead = sorted.filter((day) => day > today);
  const long = Math.max(SHORTEST_GAP, GAP * (usual ?? SHORTEST_GAP));
  const gaps: RhythmGap[] = [];
  let last = known.at(-1) ?? today;
  for (const day of ahead) {
    const free = daysBetween(last, day) - 1;
    // What has passed already nobody can fill, and what is left of it must be worth a word.
    const from = last < today ? today : shiftDay(last, 1);
    const days = daysBetween(from, day);
    if (free + 1 > long && days >= SHORTEST_GAP) gaps.push({ from, to: shiftDay(day, -1), days });
    last = day;
  }
  const most = known.length === 0 ? 1 : Math.ceil(median(known.map((day) => counts.get(day)!)));
  return {
    usual,
    gaps,
    pileUps: ahead.flatMap((day) => {
      const posts = counts.get(day)!;
      return posts > most ? [{ day, posts }] : [];
    }),
  };
}
