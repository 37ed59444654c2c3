import type { PostDocument, PostFields, Status } from '../draft/index.ts';
import { isForReaders, publishingNeeds } from '../site/index.ts';

/** How a post stands towards its readers. */
export type Standing = Status | 'changed' | 'withdrawn';

export interface StandingAccount {
  standing: Standing;
  /** What keeps it from going on, in the words of the trade; empty: nothing. */
  lacks: string[];
  /** What comes next, one sentence. */
  next: string;
}

/** Fields that readers never see: a change of them leaves what is published as it is. */
const UNSEEN: ReadonlySet<keyof PostFields> = new Set([
  'status',
  'updated',
  'keyword',
  'supporting',
  'targetWords',
  'goal',
  'audience',
  'tone',
  'style',
  'points',
  'nextStep',
  'questions',
  'ownFigures',
  'unknown',
]);

/** Fields in which two states of a post differ for readers. */
export const changedForReaders = (a: PostFields, b: PostFields): (keyof PostFields)[] =>
  (Object.keys(a) as (keyof PostFields)[]).filter(
    (key) => !UNSEEN.has(key) && JSON.stringify(a[key]) !== JSON.stringify(b[key]),
  );

/** Whether readers would see a difference between what is published and what is written. */
export const differsForReaders = (published: PostDocument, written: PostDocument): boolean =>
  changedForReaders(published.fields, written.fields).length > 0 ||
  JSON.stringify(published.draft.blocks) !== JSON.stringify(written.draft.blocks);

const NEXT: Record<Standing, string> = {
  draft: 'Give it the last look, or hand it to somebody for review.',
  'in-review': 'Wait for the reviewer, or take the last look yourself.',
  scheduled: 'It goes out by itself. Until then it can be changed, moved or stopped.',
  published: 'It stands as it was sent. What you write from now on is kept apart until you publish again.',
  changed: 'Readers see the text as it was sent last. Publish it again to bring them the new one.',
  withdrawn: 'Readers are told that it is gone. Put it back, or publish it anew.',
};

/**
 * How a post stands, what it lacks and what comes next. `sent` is what readers have of it (null: nothing was sent from here),
 * `out` the instant from which they can open it, `now` this one.
 */
export function standingOf(
  post: PostDocument,
  sent: { document: PostDocument; out: string; withdrawn: boolean } | null,
  now: string,
): StandingAccount {
  const { status } = post.fields;
  let standing: Standing = status;
  if (sent?.withdrawn) standing = 'withdrawn';
  else if (sent && isForReaders(status)) {
    const isOut = Date.parse(sent.out) <= Date.parse(now);
    standing = !isOut ? 'scheduled' : differsForReaders(sent.document, post) ? 'changed' : 'published';
  }
  return { standing, lacks: publishingNeeds(post), next: NEXT[standing] };
}
