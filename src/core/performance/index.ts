/**
 * Performance: what came of posts in search, over time.
 *
 * `figure-parts` are search figures as they are kept, merged without doubling; `spans` chooses days of which none counts twice, and
 * `search-history` is all of it by page, query and day. `page-changes` tells what of a page readers saw change; `change-effect`
 * what came of it, by `effect` (difference in differences, with `student-t`) and `demand` (season). `losing` tells which
 * pages lose and why, `click-curve` what ranks give, `under-curve` whose titles are opened too seldom, `unanswered` which
 * queries a post does not answer yet, and `three-things` what of all that matters now.
 */
export {
  type ChangeEffect,
  type ControlPage,
  changeEffect,
  controlsOf,
  type EffectFigure,
  type NoWindows,
  type PagesInTime,
  type PositionEffect,
  seasonRowsOf,
} from './change-effect.ts';
export { asksForSite, type CurveRank, ownCurve, rankOf } from './click-curve.ts';
export { demandRatio, type MonthsOf, type SeasonRow } from './demand.ts';
export { type BeforeAfter, type Effect, effectOf, isClear, type TooLittle } from './effect.ts';
export {
  assumedPeriod,
  type FigurePart,
  isSoundPart,
  joinedPart,
  type MergeCount,
  partId,
  partOfUndated,
  rowsOfPart,
  withExport,
  withPeriod,
} from './figure-parts.ts';
export {
  type LosingPage,
  type LosingQuery,
  type LossCause,
  type LossParts,
  latestAndBefore,
  losingPages,
} from './losing.ts';
export {
  type ChangeKind,
  type ChangePart,
  changeParts,
  type PageChange,
  pageChanges,
  type SentState,
} from './page-changes.ts';
export {
  type HistoryRow,
  type QuerySum,
  SearchHistory,
  type SearchSum,
  sumOfRows,
  type WeekSum,
  type Window,
} from './search-history.ts';
export { countedSpans, type Span } from './spans.ts';
export { seasonGain, type Thing, type ThingReason, thingsThatMatter } from './three-things.ts';
export { SaidByPost, type UnansweredQuery, unansweredQueries } from './unanswered.ts';
export { type UnderCurve, underCurve } from './under-curve.ts';
