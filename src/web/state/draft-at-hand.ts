import type { PostDocument } from '../../core/draft/index.ts';

let reader: (() => PostDocument) | null = null;

/** Lends what reads the post in hand, for when a screen fails; null when it is closed. */
export const lendDraft = (read: (() => PostDocument) | null): void => {
  reader = read;
};

/** The post in hand as it stands, where one is open and can still be read. */
export function draftAtHand(): PostDocument | null {
  try {
    return reader?.() ?? null;
  } catch {
    return null;
  }
}
