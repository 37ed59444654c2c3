import type { ComposeOrder, WritingRecipe } from '../patterns/index.ts';
import { composeAlt, composeDescriptions, composeExcerpt, composePicture } from './compose-listing.ts';
import {
  composeGaps,
  composeOutline,
  composeQuestions,
  composeTakeaways,
  composeTopics,
} from './compose-lists.ts';
import { composePlainer, composeShorter, composeTone } from './compose-rewrites.ts';
import {
  composeAnswer,
  composeConclusion,
  composeContinue,
  composeExample,
  composeFaq,
  composeIntroduction,
  composeLonger,
  composeSection,
} from './compose-sections.ts';
import { composeReuse, composeTalk } from './compose-spoken.ts';
import { composeIdeas, composeMetaTitles, composeShares, composeTitles } from './compose-titles.ts';
import type { Composed } from './composed.ts';

const COMPOSERS: Record<WritingRecipe, (order: ComposeOrder) => Composed> = {
  titles: composeTitles,
  'meta-title': composeMetaTitles,
  'meta-description': composeDescriptions,
  introduction: composeIntroduction,
  section: composeSection,
  example: composeExample,
  shorter: composeShorter,
  longer: composeLonger,
  plainer: composePlainer,
  tone: composeTone,
  conclusion: composeConclusion,
  answer: composeAnswer,
  faq: composeFaq,
  alt: composeAlt,
  excerpt: composeExcerpt,
  topics: composeTopics,
  questions: composeQuestions,
  takeaways: composeTakeaways,
  outline: composeOutline,
  ideas: composeIdeas,
  gaps: composeGaps,
  shares: composeShares,
  continue: composeContinue,
  picture: composePicture,
  talk: composeTalk,
  reuse: composeReuse,
};

/**
 * A text without a model: composed by rule and extraction out of what goes along. The same order is answered with the same text.
 * It states no figure, name or quotation that does not stand in a page of the study or a post of the site, and names that page.
 */
export const compose = (order: ComposeOrder): Composed => COMPOSERS[order.recipe](order);

/** A text in small pieces, as a model would send it: about a word each, nothing lost. */
export const inPieces = (text: string): string[] => text.match(/\s*\S{1,24}/g) ?? [];
