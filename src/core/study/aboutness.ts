import { kinOf, type Want } from '../meaning/index.ts';

/** What a question or a phrase is held against to tell whether it belongs to a study. */
export interface SubjectWords {
  /** What each word of the query tells, 0-1, by its stem: those that all pages use alike tell little. */
  tells: ReadonlyMap<string, number>;
  /** Words of the subject with how much each tells of it, 0-1, by their stems. */
  words: ReadonlyMap<string, number>;
}

/** What does not name the query speaks of the subject in so many of its words at least. */
const SPOKEN = 0.3;
/** So much of what the query tells names it. */
const NAMED = 0.4;

/** Each word of the query, by its kin too, that a text holds: the sum of their parts over that of all, 0-1. */
function holds(stems: ReadonlySet<string>, tells: Iterable<readonly [string, number]>): number {
  let all = 0;
  let there = 0;
  for (const [stem, told] of tells) {
    all += told;
    if (stems.has(stem)) there += told;
    else
      there +=
        told * Math.max(0, ...[...kinOf(stem)].map(([other, nearness]) => (stems.has(other) ? nearness : 0)));
  }
  return all === 0 ? 0 : there / all;
}

/** A query of so many words or more is named by nothing less than most of them. */
const LONG_QUERY = 3;
const MOST_OF_IT = 0.8;

/**
 * Whether a phrase is of a query's own subject and not only of its field: it holds four fifths of the words of a query
 * of three or more. "Cycle touring insurance" is of the field of "plan a bike tour" and belongs to another post.
 */
export const isOfQuery = (stems: ReadonlySet<string>, { tells }: SubjectWords): boolean =>
  tells.size < LONG_QUERY ||
  holds(
    stems,
    [...tells.keys()].map((stem) => [stem, 1]),
  ) >= MOST_OF_IT;

/**
 * How near a text is to the subject of a study, 0-1: by the words of the query in it (`stems`), each by what it tells, and
 * by how far what it asks for beyond them is spoken of by the pages; 0: it asks nothing, or of something else.
 */
export function aboutness(want: Want, stems: ReadonlySet<string>, { tells, words }: SubjectWords): number {
  if (want.parts.length === 0) return 0;
  // A query of small words alone ("who is who") tells nothing apart: everything that asks may belong.
  if (tells.size === 0) return SPOKEN;
  const named = holds(stems, tells);
  const asks = want.bare ? named > 0 : want.parts.some(({ ordinary }) => !ordinary) || named > 0;
  if (!asks) return 0;
  const spoken = want.bare
    ? 0
    : want.parts.reduce(
        (sum, { stem, weight }) => sum + weight * (words.has(stem) ? 0.5 + words.get(stem)! / 2 : 0),
        0,
      );
  return named < NAMED && spoken < SPOKEN ? 0 : Math.min(1, named + spoken);
}
