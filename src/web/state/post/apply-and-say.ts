import type { ReactNode } from 'react';
import { toast } from 'sonner';
import type { DraftEdit } from '../../../core/criteria/index.ts';
import { offerUndo } from '../undo.ts';
import type { PostSession } from './post-session.ts';

/**
 * Applies edits and says what was done, with its way back; where nothing changed (the words are gone, the post was left or is
 * written in another tab by now) says `late` instead. Answers whether something changed.
 */
export function applyAndSay(
  session: PostSession,
  edits: readonly DraftEdit[],
  said: ReactNode,
  late: string,
  duration = 8000,
): boolean {
  const { fields, draft } = session.document;
  const takeBack = session.apply(edits);
  const after = session.document;
  const isChanged = after.draft !== draft || after.fields !== fields;
  if (isChanged) offerUndo(said, takeBack, duration);
  else toast(late);
  return isChanged;
}
