import type { PostFields } from '../../../core/draft/index.ts';
import type { PostContent } from '../../data/post-content.ts';
import { takeBackInRow } from '../../data/posts.ts';

/** A post that is open in this tab, as far as an undo needs it. */
interface OpenSession {
  id: string;
  /** Takes a change of its post back; answers in words what stays, empty where nothing does. */
  takeBack(before: PostContent, after: PostContent): string;
  /** Resolves when what was written so far is kept, or could not be. */
  saved(): Promise<void>;
  setFields(fields: Partial<PostFields>): void;
}

const open = new Set<OpenSession>();
const closing = new Map<string, Promise<unknown>>();

/** Resolves when everything written in this tab is kept: before a step that replaces much. */
export async function allWritten(): Promise<void> {
  await Promise.all([...closing.values(), ...[...open].map((session) => session.saved())]);
}

/** A post is open from now on. */
export const sessionOpened = (session: OpenSession): void => {
  open.add(session);
};

/** A post is left; `written` resolves when its last words are. */
export function sessionClosed(session: OpenSession, written: Promise<unknown>): void {
  open.delete(session);
  const known = closing.get(session.id);
  const all = Promise.allSettled([known, written]).then(() => {
    if (closing.get(session.id) === all) closing.delete(session.id);
  });
  closing.set(session.id, all);
}

/** Resolves when nothing of an earlier visit to a post is still being written. */
export const lastVisitWritten = async (id: string): Promise<void> => {
  await closing.get(id);
};

/**
 * Takes a change of a post back, whichever post is open by now: in the session that has it, else in its row. Answers
 * in words what stays, empty where all of it went back.
 */
export async function takeBackInPost(id: string, before: PostContent, after: PostContent): Promise<string> {
  await lastVisitWritten(id);
  const session = [...open].find((one) => one.id === id);
  return session
    ? session.takeBack(before, after)
    : takeBackInRow(id, before, after, new Date().toISOString());
}

/** Sets fields of a post in the session that has it open; false where none in this tab has. */
export function setFieldsOfOpen(id: string, fields: Partial<PostFields>): boolean {
  const session = [...open].find((one) => one.id === id);
  session?.setFields(fields);
  return session !== undefined;
}
