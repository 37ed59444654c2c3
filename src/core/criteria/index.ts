/**
 * Criteria: what a draft is judged by.
 *
 * `limits` and `profile` hold what a house can set; `limit-meanings` and `criteria-meanings` say what each is for. `block-reader` reads one block for one target and remembers it;
 * `draft-facts` adds the readings up; each file of `rules` is one criterion (`criterion`), with what it weighs and `needs`,
 * and `criteria-list` names them all; `score` makes the report;
 * `notes` are its lines with something to win; `fixing` holds what fixes are put together from, `words-after` the words that they leave;
 * `claims`, `dated-words` and `stock-phrases` read sentences for what wants a source, what ages and what says nothing;
 * `core-version` tells reports of one way of judging from those of another.
 * `section-facts` tell what each section of a draft holds, `section-remarks` what stands out in them.
 * `term-use` and `topic-cover` compare a draft with the pages of its study. `edits` are changes to a post as data, which fixes are made of. `surroundings` declares what a criterion wants to
 * know of a site and of a study; other rooms fill it in.
 */
export { sentenceSpans } from './block-sentences.ts';
export { isClaim } from './claims.ts';
export { CORE_VERSION } from './core-version.ts';
export { CRITERIA, CRITERION_IDS, type CriterionId } from './criteria-list.ts';
export { type CriterionMeaning, criteriaMeanings } from './criteria-meanings.ts';
export type { Context, Criterion, Evidence, Fix, Place } from './criterion.ts';
export {
  type DraftFacts,
  DraftReadings,
  type DraftSettings,
  type LinkFact,
  type PictureSize,
} from './draft-facts.ts';
export { applyEdits, type DraftEdit, withNewIds } from './edits.ts';
export { type AltDraft, altDraft } from './fixing/alt-texts.ts';
export { plainerWords } from './fixing/plain-words.ts';
export { splitOf } from './fixing/sentence-splits.ts';
export { GROUPS, type Group } from './groups.ts';
export { imageName } from './image-reading.ts';
export { type KeywordStem, keywordStemsOf } from './keyword-stems.ts';
export { LIMIT_MEANINGS, type LimitMeaning, RAMP_CORNERS } from './limit-meanings.ts';
export type { Limits, Ramp } from './limits.ts';
export { isForAnyPage } from './needs.ts';
export { gainOf, isWholePost, notesOf } from './notes.ts';
export { defaultProfile, type Profile, readProfile, wholeProfile } from './profile.ts';
export { ramp } from './ramp.ts';
export { type ReportFacts, reportFacts } from './report-facts.ts';
export { ownFigure, type StatedFigure, statedFigures } from './rules/claims-sourced.ts';
export { isTellingName } from './rules/image-name.ts';
export { isVague as isVagueLink, judgedLinks, vagueLinkFixes } from './rules/link-words.ts';
export { linksToOthers, unlinked as linkSetTo, wishedInternalLinks } from './rules/links-internal.ts';
export { deadLinkFixes, isDead as isDeadLink } from './rules/links-live.ts';
export {
  type CriterionResult,
  fixesFor,
  type GroupResult,
  type ScoreReport,
  scoreDraft,
} from './score.ts';
export { type SectionFacts, sectionFacts } from './section-facts.ts';
export { sectionRemarks } from './section-remarks.ts';
export type {
  PostRef,
  SiteFacts,
  StudyBand,
  StudyFacts,
  StudyTerm,
  StudyTopic,
  VoiceFacts,
} from './surroundings.ts';
export { type TermUseInDraft, termBand, termUses } from './term-use.ts';
export { COMMON, COVERED, type TopicInDraft, topicCover } from './topic-cover.ts';
export type { ClaimWords } from './wordings/index.ts';
export { wordsAfter } from './words-after.ts';
