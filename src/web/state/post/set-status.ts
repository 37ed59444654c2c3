import type { Status } from '../../../core/draft/index.ts';
import { isForReaders, publishingNeeds } from '../../../core/site/index.ts';
import { listInWords } from '../../ui/figures.ts';
import type { PostSession } from './post-session.ts';

/** Gives a post another status; answers in words why it cannot have it, or nothing. */
export function setStatus(session: PostSession, status: Status): string {
  const needs = isForReaders(status) ? publishingNeeds(session.finished) : [];
  if (needs.length > 0) return `It cannot go out yet: it needs ${listInWords(needs)}.`;
  session.setFields({ status });
  return '';
}
