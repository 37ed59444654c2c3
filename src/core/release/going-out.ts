import type { PostFields } from '../draft/index.ts';
import { publishingNeeds } from '../site/index.ts';
import { LEAST_WORDS } from './last-look.ts';
import { instantAt } from './local-time.ts';

/** When a post goes out: at once, or at a time on the clock of a zone. */
export type OutAt = { kind: 'now' } | { kind: 'at'; local: string; zone: string };

/**
 * Status and dates of a post that goes out. `out` is the instant since which readers have it (empty: they never did): it keeps
 * its date then, and what changed is dated beside. One that had no date, or one to come, is of now.
 */
export function datesOfGoingOut(
  { date }: Pick<PostFields, 'date'>,
  out: string,
  at: OutAt,
  now: string,
): Pick<PostFields, 'status' | 'date' | 'updated'> {
  const isPast = (instant: string) => Date.parse(instant) <= Date.parse(now);
  if (at.kind === 'at') {
    const instant = instantAt(at.zone, at.local);
    return { status: isPast(instant) ? 'published' : 'scheduled', date: instant, updated: '' };
  }
  if (out !== '' && isPast(out)) return { status: 'published', date: date || out, updated: now };
  return { status: 'published', date: isPast(date) ? date : now, updated: '' };
}

/**
 * Why a post of a list cannot be scheduled along with others, in a few words; empty: it can. `words` is null where they are not
 * counted yet; `overruled` what its writer let pass.
 */
export function keptOutOfPlan(
  fields: PostFields,
  words: number | null,
  overruled: readonly { item: string }[],
): string {
  if (fields.status === 'published') return 'it is published';
  const [need, ...more] = publishingNeeds({ fields, draft: { version: 1, blocks: [] } }).filter(
    (one) => one !== 'a text',
  );
  if (need) return `it needs ${[need, ...more].join(' and ')}`;
  const mayBeShort = overruled.some(({ item }) => item === 'words');
  return words !== null && words < LEAST_WORDS && !mayBeShort ? `it has ${words} words` : '';
}
