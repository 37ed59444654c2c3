import { type Keyword, phraseKey } from './keyword.ts';

const PLAIN = /^[a-z0-9]+(?: [a-z0-9]+)*$/;

/** The key of a keyword: the same phrase in the same region is the same keyword. */
export const keywordKey = (phrase: string, region: string): string =>
  `${region}\n${PLAIN.test(phrase) ? phrase : phraseKey(phrase)}`;

/**
 * Two records of one keyword as one: figures of the later date win, and the incoming one's where the dates are the same;
 * what one does not know the other keeps. What the writer decided stays.
 */
export function mergedKeyword(known: Keyword, incoming: Keyword): Keyword {
  const [older, newer] = incoming.source.date >= known.source.date ? [known, incoming] : [incoming, known];
  const has = newer.volume !== null || newer.givenDifficulty !== null || newer.months !== null;
  return {
    phrase: known.phrase,
    region: known.region,
    volume: newer.volume ?? older.volume,
    months: newer.months ?? older.months,
    givenDifficulty: newer.givenDifficulty ?? older.givenDifficulty,
    found: newer.found ?? older.found,
    setIntent: known.setIntent ?? incoming.setIntent,
    source: has ? newer.source : older.source,
  };
}

/** Keywords by their key, in the order in which they came. */
export class KeywordBook {
  readonly records: Keyword[];
  private readonly rows = new Map<string, number>();

  constructor(records: readonly Keyword[] = []) {
    this.records = [...records];
    for (const [at, { phrase, region }] of this.records.entries())
      this.rows.set(keywordKey(phrase, region), at);
  }

  /** The row of a keyword; -1 where it is not known. */
  rowOf(phrase: string, region: string): number {
    return this.rows.get(keywordKey(phrase, region)) ?? -1;
  }

  /** Adds a keyword or merges it into the one that is known. Answers its row and whether it is new. */
  add(keyword: Keyword): { row: number; fresh: boolean } {
    const key = keywordKey(keyword.phrase, keyword.region);
    const row = this.rows.get(key);
    if (row === undefined) {
      this.rows.set(key, this.records.length);
      this.records.push(keyword);
      return { row: this.records.length - 1, fresh: true };
    }
    this.records[row] = mergedKeyword(this.records[row], keyword);
    return { row, fresh: false };
  }
}
