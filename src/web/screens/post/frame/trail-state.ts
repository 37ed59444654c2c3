import type { ScoreReport } from '../../../../core/criteria/index.ts';
import type { PostFields } from '../../../../core/draft/index.ts';
import { isForReaders } from '../../../../core/site/index.ts';

export const STEPS = ['target', 'study', 'outline', 'write', 'release', 'reuse'] as const;
export type Step = (typeof STEPS)[number];
export const STEP_NAMES: Record<Step, string> = {
  target: 'Target',
  study: 'Study',
  outline: 'Outline',
  write: 'Write',
  release: 'Release',
  reuse: 'Reuse',
};

/** How far a step has come. */
export type StepState = 'empty' | 'begun' | 'ready';

const stateOf = (done: number, of: number): StepState =>
  done === 0 ? 'empty' : done >= of ? 'ready' : 'begun';

/** From so many pages on a band says something. */
const ENOUGH_PAGES = 5;

/** How far each step of a post has come, read off what is there. */
export function trailStates(
  fields: PostFields,
  outlined: number,
  words: number,
  report: ScoreReport | null,
  /** Null: no pages were studied. */
  study: { taken: number } | null = null,
  /** What was made of the post: how many things, and how many of them went out. */
  reused: { made: number; sent: number } = { made: 0, sent: 0 },
): Record<Step, StepState> {
  const target = [fields.keyword, fields.supporting.length, fields.goal, fields.audience.length].filter(
    Boolean,
  ).length;
  const headings = report?.criteria.find((line) => line.id === 'heading-order');
  const inDraft = headings?.applies && headings.measured !== 'no headings' ? 2 : 0;
  const wanted = fields.targetWords ?? 700;
  const listing = [fields.metaDescription, fields.slug, fields.title].filter(Boolean).length;
  return {
    target: fields.keyword ? stateOf(target, 3) : target ? 'begun' : 'empty',
    study: study === null ? 'empty' : study.taken >= ENOUGH_PAGES ? 'ready' : 'begun',
    outline: stateOf(Math.max(outlined, inDraft), 2),
    write: words === 0 ? 'empty' : words >= wanted * 0.9 ? 'ready' : 'begun',
    release:
      isForReaders(fields.status) && fields.title && fields.slug && words > 0 ? 'ready' : stateOf(listing, 4),
    reuse: reused.made === 0 ? 'empty' : reused.sent === 0 ? 'begun' : 'ready',
  };
}
