/**
 * Research: what people type, and what of it is worth writing for.
 *
 * `keyword` is a phrase with its figures, `sources` who knows them; `phrase-stems` tells what a phrase is about,
 * `phrase-meaning` whether two ask for the same, `own-phrases` which post of the site holds one. `squareness` and
 * `difficulty` judge the pages found, `intent` what is wanted, `season` and `opportunity` what there is to win; `related`
 * finds phrases around a seed, `did-you-mean` what a misspelt one meant; `clusters` groups what one post can answer (by
 * `phrase-vectors`), `overlap` tells where two lists compete. `keyword-csv` and `performance` read tables from outside,
 * `merge-keywords` keeps one record of each phrase, `keyword-view` filters and sorts them. `near-wins`, `ideas` (titled by
 * `working-title`) `seasons-soon` and `season-bands` tell what to do next; `research-rules` are the house's own figures for all of it.
 */
export { clusterFigures } from './cluster-figures.ts';
export { type Cluster, type Clusterable, clusterPhrases, clusterSteps } from './clusters.ts';
export { didYouMean } from './did-you-mean.ts';
export {
  type Difficulty,
  type DifficultyPrior,
  type DifficultyShare,
  difficultyOf,
  difficultyPrior,
} from './difficulty.ts';
export {
  freshIdeas,
  type IdeaDraft,
  type IdeaOrigin,
  type IdeaSite,
  ideaSite,
  ideasFromClusters,
  ideasFromHeadings,
  ideasFromOffer,
  ideasFromTitles,
  type RatedPhrase,
} from './ideas.ts';
export { type IntentReading, intentOf } from './intent.ts';
export {
  bareKeyword,
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
  type BadRow,
  type ColumnMapping,
  KEYWORD_COLUMNS,
  type KeywordColumn,
  KeywordRows,
  previewTable,
  readKeywordTable,
  readPhraseList,
  type TablePreview,
  tableBatches,
  writeKeywordTable,
} from './keyword-csv.ts';
export {
  anyKeyword,
  type KeywordFigures,
  type KeywordSort,
  type KeywordWish,
  keywordView,
} from './keyword-view.ts';
export { KeywordBook } from './merge-keywords.ts';
export {
  clickShare,
  type NearWin,
  nearWins,
  type OwnPage,
  type Targeting,
} from './near-wins.ts';
export {
  type Opportunity,
  opportunityOf,
  type PhraseSite,
  type SiteSubject,
  siteSubject,
} from './opportunity.ts';
export {
  askingOf,
  clashesAmong,
  type Holder,
  type Overlap,
  overlapOf,
  overlapsOf,
  type SameAsking,
  sameResultsBy,
} from './overlap.ts';
export { type Held, type Holding, type KnownPost, OwnPhrases } from './own-phrases.ts';
export { isConsistent, type PackedKeywords, packKeywords, unpackKeywords } from './pack-keywords.ts';
export {
  type DatedRow,
  dayOrderOfTable,
  looksLikePerformance,
  PERFORMANCE_COLUMNS,
  type PerformanceColumn,
  type PerformanceRow,
  PerformanceRows,
  previewPerformance,
  readPerformance,
} from './performance.ts';
export { fieldOf, meaningKey } from './phrase-meaning.ts';
export { phraseStems, researchStem } from './phrase-stems.ts';
export { type DayOrder, type DaySpan, dayOrderOf, periodInName, readDays } from './read-day.ts';
export { type Related, type Relation, relatedPhrases } from './related.ts';
export { defaultResearchRules, type OpportunityWeights, type ResearchRules } from './research-rules.ts';
export { MONTH_NAMES, type Season, seasonAhead, seasonOf, weeksUntil } from './season.ts';
export { type SeasonBand, seasonBands } from './season-bands.ts';
export { type SeasonSoon, seasonsSoon } from './seasons-soon.ts';
export type { KeywordSource, QuestionSource, ResultPage, ResultSource } from './sources.ts';
export { type PageText, squareness } from './squareness.ts';
export { workingTitle } from './working-title.ts';
