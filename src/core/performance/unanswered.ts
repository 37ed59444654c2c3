import type { Draft, PostFields } from '../draft/index.ts';
import type { WordBases } from '../language/index.ts';
import { kinOf, saying, stemsSaid, wantOf } from '../meaning/index.ts';
import { fieldOf, meaningKey } from '../research/index.ts';
import type { QuerySum } from './search-history.ts';

/** A query that a post is shown for and does not answer yet. */
export interface UnansweredQuery extends QuerySum {
  /** How far its best passage says what is asked, 0-1. */
  said: number;
  /** Other queries that ask for the same; their figures are in the sums. */
  alike: string[];
  /** Another post whose target asks for the same: it is that one's to answer. Empty: none. */
  meantFor: string;
}

/** Words of a passage: about three sentences, as a reader takes in what answers a question. */
const PASSAGE_WORDS = 45;
/**
 * So much of what is asked a post must say to answer it: more than a section that is held against others, since a word that stands
 * there by chance hides what readers ask for.
 */
const ANSWERS = 0.72;
/** Kin that stand for a word of the keyword. */
const SAME_WORD = 0.75;
/** Impressions from which a query is looked at. */
const MIN_IMPRESSIONS = 10;

/** What a post says, in passages that are each read with the headings that stand over them. */
export class SaidByPost {
  private readonly passages: ReadonlySet<string>[] = [];
  private readonly headings: ReadonlySet<string>[] = [];
  private readonly keyword: ReadonlySet<string>;

  constructor(
    fields: Pick<PostFields, 'title' | 'keyword' | 'metaTitle' | 'metaDescription'>,
    draft: Draft,
    private readonly bases: WordBases,
  ) {
    // Who hires asks for what who rents is told.
    const keyword = stemsSaid(fields.keyword, bases);
    this.keyword = new Set([
      ...keyword,
      ...keyword.flatMap((stem) =>
        [...kinOf(stem)].flatMap(([other, near]) => (near >= SAME_WORD ? [other] : [])),
      ),
    ]);
    const title = stemsSaid(fields.title, bases);
    for (const shown of [fields.title, fields.metaTitle, fields.metaDescription])
      if (shown) this.headings.push(new Set(stemsSaid(shown, bases)));
    let heading: string[] = [];
    let open: { stems: string[]; words: number }[] = [];
    for (const { kind, text, level } of draft.blocks) {
      if (!text.trim()) continue;
      const stems = stemsSaid(text, bases);
      if (kind === 'heading') {
        heading = (level ?? 2) > 2 ? [...heading, ...stems] : stems;
        this.headings.push(new Set(stems));
        open = [];
        continue;
      }
      const words = text.split(/\s+/).length;
      open = open.filter(({ words: before }) => before <= PASSAGE_WORDS);
      for (const one of open) one.words += words;
      open.push({ stems: [], words });
      for (const one of open) one.stems.push(...stems);
      this.passages.push(new Set([...title, ...heading, ...open[0].stems]));
    }
  }

  /**
   * How far the post says what a query asks for, beside what all of it is about: 1 is that every telling word stands together. A query that
   * asks for nothing beyond the keyword is what the post is for: 1.
   */
  says(query: string): number {
    const want = wantOf(query, this.keyword, this.bases);
    // Nothing that tells is asked beyond the keyword: "how to read a tide table" of a post about tide tables.
    const isOwn = want.bare || want.parts.every(({ ordinary }) => ordinary);
    if (isOwn && stemsSaid(query, this.bases).some((stem) => this.keyword.has(stem))) return 1;
    const best = (all: readonly ReadonlySet<string>[]) =>
      all.reduce(
        (most, stems) =>
          Math.max(
            most,
            saying(want, (stem) => stems.has(stem)),
          ),
        0,
      );
    return Math.max(best(this.headings), best(this.passages));
  }

  /** Whether it answers a query. */
  answers(query: string): boolean {
    return this.says(query) >= ANSWERS;
  }
}

/**
 * Queries that a post is shown for and does not answer yet, such as ask for the same put together; those shown most first. Queries
 * that ask for the site itself are nobody's to answer and are left out by the caller.
 *
 * @param queries of the post's page, over a window
 * @param targets what other posts are for: phrase and id
 */
export function unansweredQueries(
  queries: readonly QuerySum[],
  said: SaidByPost,
  own: Pick<PostFields, 'keyword' | 'supporting'>,
  targets: readonly { id: string; phrase: string }[],
): UnansweredQuery[] {
  const field = fieldOf(
    [own.keyword, ...own.supporting, ...targets.map(({ phrase }) => phrase)].filter(Boolean),
  );
  const keyOf = (phrase: string) => meaningKey(phrase, field);
  const meantFor = new Map(targets.map(({ id, phrase }) => [keyOf(phrase), id]));
  const byMeaning = new Map<string, UnansweredQuery>();
  const shown = [...queries].sort((a, b) => b.impressions - a.impressions || (a.query < b.query ? -1 : 1));
  for (const query of shown) {
    if (query.impressions < MIN_IMPRESSIONS) continue;
    const key = keyOf(query.query) || query.query;
    const known = byMeaning.get(key);
    if (known) {
      const impressions = known.impressions + query.impressions;
      known.position =
        known.position === null || query.position === null
          ? (known.position ?? query.position)
          : (known.position * known.impressions + query.position * query.impressions) / impressions;
      known.impressions = impressions;
      known.clicks += query.clicks;
      known.alike.push(query.query);
      continue;
    }
    if (said.answers(query.query)) continue;
    byMeaning.set(key, {
      ...query,
      said: said.says(query.query),
      alike: [],
      meantFor: meantFor.get(key) ?? '',
    });
  }
  return [...byMeaning.values()].sort(
    (a, b) => b.impressions - a.impressions || (a.query < b.query ? -1 : 1),
  );
}
