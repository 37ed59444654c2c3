/**
 * Known: what texts for a post can stand on.
 *
 * `known` says what there is, `known-study` takes it from a study, `known-post` from a post and its site, `known-of` puts it together; `central-sentences`
 * chooses the sentences that say most, `best-said` those that say a certain thing.
 */
export { saysSame } from './best-said.ts';
export { centralSentences, standsAlone, subjectOfPhrase } from './central-sentences.ts';
export {
  type Known,
  type KnownAbout,
  type KnownPlace,
  type KnownPost,
  type KnownQuestion,
  type KnownSection,
  type KnownStudy,
  type KnownTopic,
  nothingKnown,
  type Quoted,
} from './known.ts';
export { type KnownFrom, knownOf } from './known-of.ts';
export { knownPlace, knownSections, sectionsText, subjectOfPlace } from './known-post.ts';
