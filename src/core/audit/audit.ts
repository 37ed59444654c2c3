import {
  CRITERIA,
  GROUPS,
  type Group,
  type GroupResult,
  gainOf,
  notesOf,
  type ScoreReport,
} from '../criteria/index.ts';
import type { PostFields, Status } from '../draft/index.ts';
import type { PageKind } from './page-kinds.ts';
import type { SearchFigures } from './search-figures.ts';

/** A post as an audit found it. */
export interface AuditedPost {
  /** By which it is known again: its id, or the path of its file. */
  id: string;
  title: string;
  /** On its site; null: it has no address yet. */
  path: string | null;
  status: Status;
  score: number;
  words: number;
  /** Share of each group that is earned, in the order of `GROUPS`, 0-1; null: nothing of it applies. */
  groups: (number | null)[];
  /** Points to win by criterion, most first. */
  gains: [criterion: string, points: number][];
  clicks: number;
  impressions: number;
}

/** A page that is no post, as an audit found it. */
export interface AuditedPage {
  path: string;
  title: string;
  kind: PageKind;
  /** Titles of the checks in which it fails; empty: it is fit. */
  faults: string[];
}

/** Something that keeps search from taking two of a site's pages for one in two languages. */
export interface AuditedPair {
  /** The page in which it is mended. */
  path: string;
  title: string;
  /** What is wrong: a sentence. */
  fault: string;
}

/** A whole site on a day. */
export interface Audit {
  /** In the zone of the site, `2026-11-30`. */
  day: string;
  /** UTC instant at which it was finished. */
  at: string;
  /** Version of the criteria, and a fingerprint of weights and limits: another one judges otherwise. */
  core: number;
  rules: string;
  /** Whether search performance was known: without it clicks and impressions are 0. */
  hasFigures: boolean;
  posts: AuditedPost[];
  pages: AuditedPage[];
  /** What is wrong with pages in several languages; not there where nobody looked. */
  pairs?: AuditedPair[];
}

/** Points below which nothing is told of a fault. */
const LEAST_GAIN = 0.05;

/** What an audit keeps of a post: what its report says, in short. */
export const auditedPost = (
  post: Omit<AuditedPost, 'groups'>,
  groups: readonly GroupResult[],
): AuditedPost => ({
  ...post,
  groups: sharesOf(groups),
  gains: post.gains.filter(([, gain]) => gain >= LEAST_GAIN),
});

/** What an audit keeps of a post's report, with what search shows of it. */
export function auditedReport(
  id: string,
  fields: PostFields,
  path: string | null,
  { report, facts }: { report: ScoreReport; facts: { words: number } },
  figures: ReadonlyMap<string, SearchFigures>,
): AuditedPost {
  const { clicks = 0, impressions = 0 } = figures.get(path ?? '') ?? {};
  return auditedPost(
    {
      id,
      title: fields.title || fields.slug || id,
      path,
      status: fields.status,
      score: report.score,
      words: facts.words,
      gains: notesOf(report.criteria).map((note) => [note.id, gainOf(note)]),
      clicks,
      impressions,
    },
    report.groups,
  );
}

/** The share of each group that is earned; null: nothing of it applies. */
const sharesOf = (groups: readonly GroupResult[]): (number | null)[] =>
  GROUPS.map((group) => {
    const own = groups.find(({ id }) => id === group);
    return own && own.available > 0 ? own.points / own.available : null;
  });

/** What there is to win in a post, the more searchers see it the more: points times impressions. */
export const promiseOf = ({ score, impressions }: Pick<AuditedPost, 'score' | 'impressions'>): number =>
  (100 - score) * impressions;

/** Posts by what there is to win, most first; where search shows none of them, by points alone. */
export const byPromise = (posts: readonly AuditedPost[]): AuditedPost[] =>
  [...posts].sort((a, b) => promiseOf(b) - promiseOf(a) || a.score - b.score || (a.title < b.title ? -1 : 1));

/** A fault that several posts have. */
export interface SharedFault {
  id: string;
  title: string;
  posts: number;
  /** Points that it costs in all of them together. */
  points: number;
}

/** A site in figures. */
export interface AuditTotals {
  posts: number;
  /** Mean of the scores; null: there is no post. */
  mean: number | null;
  /** Mean share of each group over the posts to which it applies, 0-1. */
  groups: { group: Group; share: number | null }[];
  /** Faults by the points that they cost. */
  faults: SharedFault[];
}

const TITLES = new Map<string, string>(CRITERIA.map(({ id, title }) => [id, title]));
/** What a criterion is called; one that is not known any more by its id. */
export const criterionTitle = (id: string): string => TITLES.get(id) ?? id;

const meanOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** The figures of the posts of a site. */
export function auditTotals(posts: readonly AuditedPost[]): AuditTotals {
  const faults = new Map<string, SharedFault>();
  for (const { gains } of posts)
    for (const [id, gain] of gains) {
      const fault = faults.get(id) ?? { id, title: criterionTitle(id), posts: 0, points: 0 };
      faults.set(id, { ...fault, posts: fault.posts + 1, points: fault.points + gain });
    }
  return {
    posts: posts.length,
    mean: meanOf(posts.map(({ score }) => score)),
    groups: GROUPS.map((group, at) => ({
      group,
      share: meanOf(posts.flatMap(({ groups }) => groups[at] ?? [])),
    })),
    faults: [...faults.values()].sort((a, b) => b.points - a.points || (a.id < b.id ? -1 : 1)),
  };
}
