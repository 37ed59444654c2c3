import { hasReadingFormula } from '../language/index.ts';
import type { Context, Criterion } from './criterion.ts';
import type { DraftFacts } from './draft-facts.ts';

/** What a criterion may need beside a draft to judge. */
export type Need =
  /** Words enough that the absence of faults means something: `judgeableWords` of the profile. */
  | 'words'
  /** A text in a language of which it is known how it says things. */
  | 'wording'
  /** A text in a language that has a reading formula here. */
  | 'formula'
  /** A picture at least. */
  | 'pictures'
  /** A picture whose file is known. */
  | 'picture-files'
  /** Supporting keywords in the brief. */
  | 'supporting'
  /** Questions in the brief. */
  | 'questions'
  /** A site around the post. */
  | 'site'
  /** Result pages that were studied for it. */
  | 'study'
  /** A voice that the house chose and gives points for, and text enough to hear one. */
  | 'voice';

const IS_THERE: Record<Need, (facts: DraftFacts, context: Context) => boolean> = {
  words: ({ words, settings }) => words >= settings.limits.judgeableWords,
  wording: ({ wording }) => wording !== null,
  formula: ({ language }) => hasReadingFormula(language),
  pictures: ({ images }) => images.length > 0,
  'picture-files': ({ images, settings }) => images.some(({ src }) => settings.pictures.has(src)),
  supporting: ({ fields }) => fields.supporting.length > 0,
  questions: ({ fields }) => fields.questions.length > 0,
  site: (_facts, { site }) => site !== null,
  study: (_facts, { study }) => study !== null,
  voice: (_facts, { voice }) => voice?.near != null,
};

const NEEDS = Object.keys(IS_THERE) as Need[];

/** Which needs are met around a draft, a bit each: asked once for all criteria. */
export const needsMet = (facts: DraftFacts, context: Context): number =>
  NEEDS.reduce((bits, need, at) => (IS_THERE[need](facts, context) ? bits | (1 << at) : bits), 0);

const bits = new WeakMap<readonly Need[], number>();

function bitsOf(needs: readonly Need[]): number {
  let found = bits.get(needs);
  if (found === undefined) {
    found = needs.reduce((all, need) => all | (1 << NEEDS.indexOf(need)), 0);
    bits.set(needs, found);
  }
  return found;
}

/** Whether a criterion has something to judge: everything it needs is there (`met`), and its own conditions hold. */
export function appliesTo(
  { needs, applies }: Pick<Criterion, 'needs' | 'applies'>,
  facts: DraftFacts,
  context: Context,
  met = needsMet(facts, context),
): boolean {
  const wanted = bitsOf(needs);
  return (wanted & met) === wanted && (applies === undefined || applies(facts, context));
}

/** What only the writer of a page has. */
const OWN: ReadonlySet<Need> = new Set<Need>([
  'picture-files',
  'supporting',
  'questions',
  'site',
  'study',
  'voice',
]);

/** Whether a criterion can be judged on a page of which nothing but itself is known. */
export const isForAnyPage = ({ needs, ownOnly }: Pick<Criterion, 'needs' | 'ownOnly'>): boolean =>
  !ownOnly && !needs.some((need) => OWN.has(need));
