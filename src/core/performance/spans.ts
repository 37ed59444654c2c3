import { daysBetween, shiftDay } from '../release/index.ts';
import type { FigurePart } from './figure-parts.ts';

/** Days of which figures are known as a whole: one, or a period. */
export interface Span {
  from: string;
  to: string;
  days: number;
  /** Place of its part among the parts. */
  part: number;
}

/** A day that is known as itself says more than one of a period: a period is taken where it adds more than twice the days that it would displace. */
const WORTH_OF_DAY = 1;
const WORTH_IN_PERIOD = 0.5;

/** The spans that parts hold: each known day, each period. */
function spansOf(parts: readonly FigurePart[]): Span[] {
  return parts.flatMap((part, at): Span[] => {
    if (part.grain === 'period')
      return [{ from: part.from, to: part.to, days: daysBetween(part.from, part.to) + 1, part: at }];
    return part.known.map((ahead) => {
      const day = shiftDay(part.from, ahead);
      return { from: day, to: day, days: 1, part: at };
    });
  });
}

const worthOf = ({ days }: Span) => days * (days === 1 ? WORTH_OF_DAY : WORTH_IN_PERIOD);

/**
 * Spans of which none shares a day with another, so that what is added up counts no day twice: of all such choices the one that knows
 * most, a day told as itself counting double. Weighted interval scheduling; in order of days. `leftOut` are the places of the
 * parts of which nothing counts.
 */
export function countedSpans(parts: readonly FigurePart[]): { spans: Span[]; leftOut: number[] } {
  const all = spansOf(parts).sort(
    (a, b) => (a.to < b.to ? -1 : a.to > b.to ? 1 : 0) || a.days - b.days || a.part - b.part,
  );
  const ends = all.map(({ to }) => to);
  // How many of the spans end before a day.
  const endingBefore = (day: string): number => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (ends[middle] < day) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const before = all.map(({ from }) => endingBefore(from));
  const best = new Float64Array(all.length + 1);
  for (let at = 0; at < all.length; at++)
    best[at + 1] = Math.max(best[at], worthOf(all[at]) + best[before[at]]);
  const spans: Span[] = [];
  for (let at = all.length; at > 0; ) {
    if (best[at] === best[at - 1]) at -= 1;
    else {
      spans.push(all[at - 1]);
      at = before[at - 1];
    }
  }
  spans.reverse();
  const counted = new Set(spans.map(({ part }) => part));
  return { spans, leftOut: parts.flatMap((_part, at) => (counted.has(at) ? [] : [at])) };
}
