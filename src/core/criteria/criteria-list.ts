import { altKeyword } from './rules/alt-keyword.ts';
import { altPresent } from './rules/alt-present.ts';
import { altQuality } from './rules/alt-quality.ts';
import { answer } from './rules/answer.ts';
import { bodyLength } from './rules/body-length.ts';
import { claimsSourced } from './rules/claims-sourced.ts';
import { headingDistinct } from './rules/heading-distinct.ts';
import { headingKeyword } from './rules/heading-keyword.ts';
import { headingOrder } from './rules/heading-order.ts';
import { headingSpacing } from './rules/heading-spacing.ts';
import { houseVoice } from './rules/house-voice.ts';
import { imageNames } from './rules/image-name.ts';
import { imagePresent } from './rules/image-present.ts';
import { imageWeight } from './rules/image-weight.ts';
import { keywordFree } from './rules/keyword-free.ts';
import { keywordIntro } from './rules/keyword-intro.ts';
import { keywordRate } from './rules/keyword-rate.ts';
import { keywordSpread } from './rules/keyword-spread.ts';
import { keywordTitle } from './rules/keyword-title.ts';
import { linkWords } from './rules/link-words.ts';
import { linksExternal } from './rules/links-external.ts';
import { linksInternal } from './rules/links-internal.ts';
import { linksLive } from './rules/links-live.ts';
import { metaDescriptionKeyword } from './rules/meta-description-keyword.ts';
import { metaDescriptionWidth } from './rules/meta-description-width.ts';
import { metaTitleDistinct } from './rules/meta-title-distinct.ts';
import { metaTitleKeyword } from './rules/meta-title-keyword.ts';
import { metaTitleWidth } from './rules/meta-title-width.ts';
import { nextStep } from './rules/next-step.ts';
import { onSubject } from './rules/on-subject.ts';
import { ownWords } from './rules/own-words.ts';
import { paragraphLength } from './rules/paragraph-length.ts';
import { postSize } from './rules/post-size.ts';
import { prose } from './rules/prose.ts';
import { questionsAnswered } from './rules/questions-answered.ts';
import { readingEase } from './rules/reading-ease.ts';
import { scannable } from './rules/scannable.ts';
import { sentenceLength } from './rules/sentence-length.ts';
import { sentenceOrder } from './rules/sentence-order.ts';
import { slugKeyword } from './rules/slug-keyword.ts';
import { slugShape } from './rules/slug-shape.ts';
import { stapleTerms } from './rules/staple-terms.ts';
import { stockPhrases } from './rules/stock-phrases.ts';
import { supportingKeywords } from './rules/supporting-keywords.ts';
import { supportingTerms } from './rules/supporting-terms.ts';
import { timely } from './rules/timely.ts';
import { titleSingle } from './rules/title-single.ts';
import { topicsCovered } from './rules/topics-covered.ts';

/** Every criterion, in the order of every report. */
export const CRITERIA = [
  metaTitleWidth,
  metaTitleKeyword,
  metaTitleDistinct,
  metaDescriptionWidth,
  metaDescriptionKeyword,
  slugShape,
  slugKeyword,
  titleSingle,
  headingOrder,
  headingSpacing,
  headingKeyword,
  headingDistinct,
  keywordTitle,
  keywordIntro,
  keywordRate,
  keywordSpread,
  supportingKeywords,
  keywordFree,
  stapleTerms,
  supportingTerms,
  topicsCovered,
  questionsAnswered,
  prose,
  sentenceOrder,
  onSubject,
  ownWords,
  stockPhrases,
  postSize,
  answer,
  nextStep,
  timely,
  imagePresent,
  altPresent,
  altQuality,
  altKeyword,
  imageNames,
  imageWeight,
  linksInternal,
  linksExternal,
  linkWords,
  linksLive,
  bodyLength,
  readingEase,
  paragraphLength,
  sentenceLength,
  scannable,
  claimsSourced,
  houseVoice,
] as const;

export type CriterionId = (typeof CRITERIA)[number]['id'];

/** The ids of all criteria, in the order of every report. */
export const CRITERION_IDS: readonly CriterionId[] = CRITERIA.map(({ id }) => id);
