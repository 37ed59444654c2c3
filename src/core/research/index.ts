/**
 * Research: what people type, and what of it is worth writing for.
 *
 * `keyword` is a phrase with its figures, `sources` who knows them; `phrase-stems` tells what a phrase is about.
 * `squareness` and `difficulty` judge the pages found, `intent` what is wanted, `season` and `opportunity` what there is
 * to win; `related` finds phrases around a seed.
 */
export { type Difficulty, type DifficultyShare, difficultyOf } from './difficulty.ts';
export { type IntentReading, intentOf } from './intent.ts';
export {
  type FigureSource,
  type FoundPage,
  INTENTS,
  type Intent,
  type Keyword,
  type ListedPage,
  type PublisherKind,
  phraseKey,
  QUESTION_PLACES,
  type Question,
  type QuestionPlace,
} from './keyword.ts';
export {
  defaultOpportunityWeights,
  type Opportunity,
  type OpportunityWeights,
  opportunityOf,
  type SiteStems,
  siteStems,
} from './opportunity.ts';
export { isQuestion, phraseStems, researchStem } from './phrase-stems.ts';
export { type Related, type Relation, relatedPhrases } from './related.ts';
export { MONTH_NAMES, type Season, seasonAhead, seasonOf, weeksUntil } from './season.ts';
export type { KeywordSource, QuestionSource, ResultPage, ResultSource } from './sources.ts';
export { type PageText, squareness } from './squareness.ts';
