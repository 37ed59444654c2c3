import type { Intent, Keyword } from './keyword.ts';
import { isQuestion } from './phrase-stems.ts';

/** By what a table of keywords can be put in order. */
export const KEYWORD_SORTS = ['phrase', 'volume', 'difficulty', 'opportunity', 'intent', 'date'] as const;
export type KeywordSort = (typeof KEYWORD_SORTS)[number];

/** Which keywords are wanted, and in which order. */
export interface KeywordWish {
  /** Words or parts of words that must all be there. */
  contains: string;
  /** Words or parts of words none of which may be there. */
  without: string;
  volumeFrom: number | null;
  volumeTo: number | null;
  difficultyTo: number | null;
  intent: Intent | 'any';
  questionsOnly: boolean;
  /** Only phrases that stand on no list. */
  onNoList: boolean;
  sort: KeywordSort;
  descending: boolean;
}

export const anyKeyword: KeywordWish = {
  contains: '',
  without: '',
  volumeFrom: null,
  volumeTo: null,
  difficultyTo: null,
  intent: 'any',
  questionsOnly: false,
  onNoList: false,
  sort: 'opportunity',
  descending: true,
};

/** Columns of the same length as the records; NaN stands for what is not known. */
export interface KeywordFigures {
  volume: Float64Array;
  difficulty: Float64Array;
  /** Called only where it is needed: it is dear for large tables. */
  opportunity: () => Float64Array;
  intent: (row: number) => Intent;
}

const wordsOf = (text: string) => text.toLowerCase().split(/\s+/).filter(Boolean);

/**
 * Rows of the keywords wanted, in order. `among` limits them; `listed` tells which stand on a list. Rows of equal rank
 * stay in the order of the table; what is not known comes last either way.
 */
export function keywordView(
  records: readonly Keyword[],
  figures: KeywordFigures,
  wish: KeywordWish,
  among: Uint32Array | null = null,
  listed: (row: number) => boolean = () => false,
): Uint32Array {
  const { volume, difficulty } = figures;
  const [wanted, unwanted] = [wordsOf(wish.contains), wordsOf(wish.without)];
  const count = among ? among.length : records.length;
  const out = new Uint32Array(count);
  let size = 0;
  for (let at = 0; at < count; at++) {
    const row = among ? among[at] : at;
    // NaN fails every comparison, so that limits leave out what is not known.
    if (wish.volumeFrom !== null && !(volume[row] >= wish.volumeFrom)) continue;
    if (wish.volumeTo !== null && !(volume[row] <= wish.volumeTo)) continue;
    if (wish.difficultyTo !== null && !(difficulty[row] <= wish.difficultyTo)) continue;
    if (wanted.length > 0 || unwanted.length > 0) {
      const text = records[row].phrase.toLowerCase();
      if (!wanted.every((word) => text.includes(word)) || unwanted.some((word) => text.includes(word)))
        continue;
    }
    if (wish.questionsOnly && !isQuestion(records[row].phrase)) continue;
    if (wish.onNoList && listed(row)) continue;
    if (wish.intent !== 'any' && figures.intent(row) !== wish.intent) continue;
    out[size] = row;
    size += 1;
  }
  return inOrder(out.subarray(0, size), records, figures, wish);
}

function inOrder(
  rows: Uint32Array,
  records: readonly Keyword[],
  figures: KeywordFigures,
  { sort, descending }: KeywordWish,
): Uint32Array {
  const turn = descending ? -1 : 1;
  if (sort === 'phrase' || sort === 'intent' || sort === 'date') {
    const key = (row: number) =>
      sort === 'phrase'
        ? records[row].phrase.toLowerCase()
        : sort === 'intent'
          ? figures.intent(row)
          : records[row].source.date;
    const keys = new Map<number, string>();
    for (const row of rows) keys.set(row, key(row));
    return rows.sort((a, b) => {
      const [left, right] = [keys.get(a)!, keys.get(b)!];
      return left < right ? -turn : left > right ? turn : a - b;
    });
  }
  const column =
    sort === 'volume' ? figures.volume : sort === 'difficulty' ? figures.difficulty : figures.opportunity();
  // Sorting plain numbers is several times faster than sorting by a function: each key and its row are packed into one.
  const known = rows.filter((row) => !Number.isNaN(column[row]));
  const unknown = rows.filter((row) => Number.isNaN(column[row]));
  const sorted = sortedByKey(known, column, descending);
  const out = new Uint32Array(rows.length);
  out.set(sorted);
  out.set(unknown, sorted.length);
  return out;
}

/** Rows by a column, equal ones in the order of the rows. */
function sortedByKey(rows: Uint32Array, column: Float64Array, descending: boolean): Uint32Array {
  const size = rows.length;
  const keys = new Float64Array(size);
  for (let at = 0; at < size; at++) keys[at] = descending ? -column[rows[at]] : column[rows[at]];
  const order = new Uint32Array(size);
  for (let at = 0; at < size; at++) order[at] = at;
  order.sort((a, b) => keys[a] - keys[b] || a - b);
  return order.map((at) => rows[at]);
}
