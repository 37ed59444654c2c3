import type { PostDocument } from '../../../core/draft/index.ts';

let reader: (() => PostDocument) | null = null;

/** Lends what reads the post in hand, for when a screen fails. Answers how to take it away again. */
export function lendDraft(read: () => PostDocument): () => void {
  reader = read;
  return () => {
    if (reader === read) reader = null;
  };
}

/** The post in hand as it stands, where one is open and can still be read. */
export function draftAtHand(): PostDocument | null {
  try {
    return reader?.() ?? null;
  } catch {
    return null;
  }
}
