import type { PostDocument, Status } from '../draft/index.ts';
import { slugOf } from '../listing/index.ts';

/** What a post cannot go out without. */
export type PublishingNeed = 'a title' | 'a slug' | 'a text';

/** Statuses that bring a post before readers, now or on a date. */
export const isForReaders = (status: Status): boolean => status === 'published' || status === 'scheduled';

/** Which statuses readers can open, now or on a date; where nothing is published, no account is kept of it and all are. */
export function openToReaders(statuses: readonly Status[]): (status: Status | null) => boolean {
  const keepsStatus = statuses.includes('published');
  return (status) => !keepsStatus || status === null || isForReaders(status);
}

/**
 * What a post still lacks before it can go out, in the order in which it is written; empty where it lacks nothing.
 * A text is a word in any block, or a picture. `publishingNeeds({ fields: emptyFields(), draft: emptyDraft() })` is
 * `['a title', 'a slug', 'a text']`.
 */
export function publishingNeeds({ fields, draft }: PostDocument): PublishingNeed[] {
  const needs: PublishingNeed[] = [];
  if (fields.title.trim() === '') needs.push('a title');
  if (slugOf(fields.slug) === '') needs.push('a slug');
  if (!draft.blocks.some(({ text, image }) => /[\p{L}\p{N}]/u.test(text) || image)) needs.push('a text');
  return needs;
}
