import type { OutlineItem } from '../../../../core/outline/index.ts';
import type { TextInHand } from '../../../state/writing/text-run.ts';

export const GUIDED_STEPS = ['about', 'titles', 'outline', 'introduction', 'text'] as const;
export type GuidedStep = (typeof GUIDED_STEPS)[number];

export const GUIDED_NAMES: Record<GuidedStep, string> = {
  about: 'What it is about',
  titles: 'Title',
  outline: 'Outline',
  introduction: 'Introduction',
  text: 'The text',
};

/** What was asked for on the way, kept while the page is open: whoever leaves comes back to it. What is taken is in the post. */
export interface Guided {
  titles: TextInHand | null;
  outline: OutlineItem[] | null;
  introduction: TextInHand | null;
  /** The introduction as the writer changed it; null: as it came. */
  opening: string | null;
  text: TextInHand | null;
}

const kept = new Map<string, Guided>();

export function guidedOf(postId: string): Guided {
  let guided = kept.get(postId);
  if (!guided) {
    guided = { titles: null, outline: null, introduction: null, opening: null, text: null };
    kept.set(postId, guided);
  }
  return guided;
}

export const keepGuided = (postId: string, patch: Partial<Guided>): void => {
  kept.set(postId, { ...guidedOf(postId), ...patch });
};
