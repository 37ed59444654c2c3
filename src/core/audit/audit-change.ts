import { GROUPS, type Group } from '../criteria/index.ts';
import type { Audit, AuditedPost } from './audit.ts';

/** A post whose score is another. */
export interface ChangedPost {
  id: string;
  title: string;
  before: number;
  after: number;
  /** The group that changed most that way; null: none did. */
  group: Group | null;
}

/** What became of a site between two audits. */
export interface AuditChange {
  /** Day of the earlier one. */
  since: string;
  /** Mean scores of the posts that are in both; null: none is. */
  mean: { before: number; after: number } | null;
  /** Mean share of each group over the posts to which it applied both times; null: to none. */
  groups: { group: Group; before: number; after: number }[];
  /** Those that changed most first. */
  rose: ChangedPost[];
  fell: ChangedPost[];
  /** Posts that were not there before, and titles of those that are not there any more. */
  came: AuditedPost[];
  gone: string[];
  /** Pages that became fit, and such that were. */
  fit: string[];
  unfit: string[];
  /** Whether the two were judged by other criteria, weights or limits: part of the change is theirs. */
  isJudgedOtherwise: boolean;
}

/** Points from which on a change is told. */
const TOLD = 0.5;

/** The group whose share changed most in a direction. */
function mainGroup(before: AuditedPost, after: AuditedPost, direction: 1 | -1): Group | null {
  let best: Group | null = null;
  let most = 0.005;
  GROUPS.forEach((group, at) => {
    const change = direction * ((after.groups[at] ?? 0) - (before.groups[at] ?? 0));
    if (before.groups[at] !== null && after.groups[at] !== null && change > most)
      [best, most] = [group, change];
  });
  return best;
}

/** Each post of today beside itself as it was: known by its id, else by its address. */
function pairsOf(before: Audit, after: Audit): Map<AuditedPost, AuditedPost> {
  const byId = new Map(before.posts.map((post) => [post.id, post]));
  const byPath = new Map(before.posts.flatMap((post) => (post.path === null ? [] : [[post.path, post]])));
  const taken = new Set<AuditedPost>();
  const pairs = new Map<AuditedPost, AuditedPost>();
  const pair = (post: AuditedPost, was: AuditedPost | undefined) => {
    if (!was || taken.has(was) || pairs.has(post)) return;
    taken.add(was);
    pairs.set(post, was);
  };
  for (const post of after.posts) pair(post, byId.get(post.id));
  for (const post of after.posts) if (post.path !== null) pair(post, byPath.get(post.path));
  return pairs;
}

/** What rose and fell since an earlier audit. Posts that came or went count in no mean. */
export function auditChange(before: Audit, after: Audit): AuditChange {
  const pairs = pairsOf(before, after);
  const both = [...pairs];
  const mean = (of: (post: AuditedPost, was: AuditedPost) => number) =>
    both.reduce((sum, [post, was]) => sum + of(post, was), 0) / both.length;
  const groups = GROUPS.flatMap((group, at) => {
    const own = both.flatMap(([post, was]) => {
      const [now, then] = [post.groups[at], was.groups[at]];
      return now === null || then === null || now === undefined || then === undefined ? [] : [[then, now]];
    });
    const share = (side: 0 | 1) => own.reduce((sum, pair) => sum + pair[side], 0) / own.length;
    return own.length === 0 ? [] : [{ group, before: share(0), after: share(1) }];
  });
  const changed = (direction: 1 | -1) =>
    both
      .filter(([post, was]) => direction * (post.score - was.score) >= TOLD)
      .map(
        ([post, was]): ChangedPost => ({
          id: post.id,
          title: post.title,
          before: was.score,
          after: post.score,
          group: mainGroup(was, post, direction),
        }),
      )
      .sort(
        (a, b) => direction * (b.after - b.before - (a.after - a.before)) || (a.title < b.title ? -1 : 1),
      );
  const known = new Set(pairs.values());
  const faultsThen = new Map(before.pages.map(({ path, faults }) => [path, faults.length]));
  const pagesThatAre = (isFit: boolean) =>
    after.pages.flatMap(({ path, faults }) => {
      const then = faultsThen.get(path);
      return then !== undefined && (then === 0) !== isFit && (faults.length === 0) === isFit ? [path] : [];
    });
  return {
    since: before.day,
    mean:
      both.length === 0 ? null : { before: mean((_, was) => was.score), after: mean((post) => post.score) },
    groups,
    rose: changed(1),
    fell: changed(-1),
    came: after.posts.filter((post) => !pairs.has(post)),
    gone: before.posts.filter((post) => !known.has(post)).map(({ title }) => title),
    fit: pagesThatAre(true),
    unfit: pagesThatAre(false),
    isJudgedOtherwise: before.core !== after.core || before.rules !== after.rules,
  };
}
