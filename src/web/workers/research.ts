import {
  bareKeyword,
  didYouMean,
  freshIdeas,
  type IdeaDraft,
  type Intent,
  ideaSite,
  ideasFromClusters,
  ideasFromHeadings,
  ideasFromOffer,
  ideasFromTitles,
  writeKeywordTable,
} from '../../core/research/index.ts';
import { dateIn } from '../../core/site/index.ts';
import { openDatabase } from '../data/database.ts';
import { ideasOf } from '../data/ideas.ts';
import { zoneOf } from '../data/zone-of.ts';
import { callOff, inSteps } from './called-off.ts';
import type { ClusterLine, DeskView, DeskWish, FoundLine, KeywordDetail, KeywordLine } from './desk-lines.ts';
import { keywordImports, type Tell } from './keyword-imports.ts';
import { findNearWins } from './near-wins.ts';
import { performanceLooks } from './performance.ts';
import { changeDesk, deskOf, deskSite, keepKeywords, knownPosts, siteOf } from './site-desk.ts';
import { findThings } from './three-things.ts';

/** Clusters and pages that a screen lists. */
const MOST_LINES = 2000;

/** From where ideas are wanted. */
export type IdeaWish =
  | { from: 'clusters'; region: string }
  | { from: 'titles'; region: string }
  | { from: 'offer'; region: string; offer: string }
  | { from: 'headings'; region: string; postId: string };

/** Research over all keywords of a site. It runs in a worker, or in the page where storage is its memory. */
export const research = {
  open(name: string): void {
    openDatabase(name);
  },

  /** What the site says of itself is read anew. */
  async refreshSite(siteId: string): Promise<void> {
    const own = await deskOf(siteId);
    own.setSite(await deskSite(siteId, own.records));
  },

  /** Ends a job between two of its steps; what it was asked for is rejected with an `AbortError`. */
  callOff,

  /** Adds keywords, merging them into those that are known. */
  add: keepKeywords,

  ...keywordImports,

  view: async (siteId: string, wish: DeskWish): Promise<DeskView> => (await deskOf(siteId)).view(wish),
  lines: async (siteId: string, rows: readonly number[]): Promise<KeywordLine[]> =>
    (await deskOf(siteId)).lines(rows),
  detail: async (siteId: string, phrase: string, region: string): Promise<KeywordDetail | null> =>
    (await deskOf(siteId)).detail(phrase, region),
  points: async (siteId: string, rows: Uint32Array) => (await deskOf(siteId)).points(rows),

  /** Figures of phrases, as lists show them; those not known are null. */
  async figures(siteId: string, region: string, phrases: readonly string[]): Promise<(KeywordLine | null)[]> {
    const own = await deskOf(siteId);
    return phrases.map((phrase) => own.detail(phrase, region)?.line ?? null);
  },

  /** Addresses of the ten first pages found for phrases; null: they were not looked up. */
  async firstPages(siteId: string, region: string, phrases: readonly string[]): Promise<(string[] | null)[]> {
    const own = await deskOf(siteId);
    return phrases.map((phrase) => own.firstPages(phrase, region));
  },

  /** What a seed meant of which no phrase of a region knows a word; null: nothing is near. */
  async meant(siteId: string, seed: string, region: string): Promise<string | null> {
    const { records } = await deskOf(siteId);
    return didYouMean(
      seed,
      records.flatMap((record) => (record.region === region ? [record.phrase] : [])),
    );
  },

  /** How many keywords are known, by region. */
  async counts(siteId: string): Promise<Record<string, number>> {
    const counts: Record<string, number> = {};
    for (const { region } of (await deskOf(siteId)).records) counts[region] = (counts[region] ?? 0) + 1;
    return counts;
  },

  async found(siteId: string, rows: Uint32Array): Promise<FoundLine[]> {
    return (await deskOf(siteId)).found(rows).slice(0, MOST_LINES);
  },

  /** Clusters of a view, the largest first. */
  async clusters(
    siteId: string,
    rows: Uint32Array,
    job: string,
    tell: Tell,
  ): Promise<{ count: number; lines: ClusterLine[] }> {
    const lines = await inSteps((await deskOf(siteId)).clusters(rows), job, tell);
    return { count: lines.length, lines: lines.slice(0, MOST_LINES) };
  },

  /** Sets the intent that the writer decides on; null gives the computed one back. */
  setIntent: (siteId: string, row: number, intent: Intent | null): Promise<void> =>
    changeDesk(siteId, (own) => {
      own.setIntent(row, intent);
      return { rows: [row], answer: undefined };
    }),

  nearWins: findNearWins,

  ...performanceLooks,
  thingsThatMatter: findThings,

  /** Phrases whose season begins within six weeks, those worth most first. */
  async seasonsSoon(
    siteId: string,
    region: string,
    most: number,
  ): Promise<{ line: KeywordLine; weeks: number; peak: number }[]> {
    return (await deskOf(siteId))
      .seasonsSoon(region, dateIn(zoneOf((await siteOf(siteId)).site), new Date()))
      .slice(0, most);
  },

  /** So many new ideas, none of which was offered before. */
  async ideas(siteId: string, wish: IdeaWish, count: number): Promise<IdeaDraft[]> {
    const own = await deskOf(siteId);
    own.setSite(await deskSite(siteId, own.records));
    const { rows, phrases } = own.rated(wish.region);
    const posts = await knownPosts(siteId);
    const { site } = await siteOf(siteId);
    const around = ideaSite(posts, phrases, /^en\b/i.test(site?.language || 'en'));
    const made = (): IdeaDraft[] => {
      if (wish.from === 'clusters') return ideasFromClusters(own.clustersOf(rows), phrases, around);
      if (wish.from === 'titles') return ideasFromTitles(phrases, around);
      if (wish.from === 'offer') return ideasFromOffer(wish.offer, own.clustersOf(rows), phrases, around);
      const post = posts.find(({ id }) => id === wish.postId);
      return post ? ideasFromHeadings(post, phrases, around) : [];
    };
    return freshIdeas(made(), await ideasOf(siteId), count);
  },

  /** Phrases as CSV, with what is known of each. */
  async csvOf(siteId: string, region: string, phrases: readonly string[]): Promise<string> {
    const own = await deskOf(siteId);
    return writeKeywordTable(
      phrases.map(
        (phrase) => own.keyword(phrase, region) ?? bareKeyword(phrase, region, { name: '', date: '' }),
      ),
    );
  },

  /** Keywords as CSV. */
  csv: async (siteId: string, rows: Uint32Array): Promise<string> =>
    writeKeywordTable((await deskOf(siteId)).take(rows)),
};

export type Research = typeof research;
