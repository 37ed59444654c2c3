/**
 * Talk: a transcript becomes a text, every word of it the speaker's; and whose words a draft holds.
 *
 * In reading order: `transcript` is the model; `read-transcript` reads any form of it over `subtitle-cues` (WebVTT, SRT),
 * `stamped-lines` (times as they are copied), `speakers` and `rolling` (captions that roll). `spoken-words` are its words with
 * their times; `disfluencies` tells which of them no written text has (a `marking` on which `fillers` and `restarts` go to work),
 * `spoken-sentences` parts the rest into sentences (by `sentence-rules`, by `sentence-begin`, which was learned from prose, and by what is heard), `written-out` gives them capitals and stops. `sections`
 * parts them by their vocabulary with the help of `turns-of-talk`; `section-heading` finds words of the speaker to stand above each,
 * `enumerations` what was counted. `written-talk` puts it together.
 *
 * `talk-draft` makes a post of it, `chapters` names the parts of its recording, `picture-wish` notes where a picture belongs.
 *
 * `comparable` and `fidelity` trace a text back to what was said, `fidelity-account` a whole draft; `unspoken` tells which words of
 * a phrase nobody said, and where the speaker came near.
 */
export { chaptersOf, withChapters } from './chapters.ts';
export {
  type OriginCounts,
  SpokenIndex,
  type TracedWord,
  type WordOrigin,
} from './fidelity.ts';
export {
  type AddedRun,
  type FidelityAccount,
  fidelityAccount,
  type LeftOutRun,
  type SectionFidelity,
} from './fidelity-account.ts';
export type { LeftWhy } from './marking.ts';
export { pictureWish } from './picture-wish.ts';
export { readTranscript } from './read-transcript.ts';
export { type SpokenWord, spokenWords } from './spoken-words.ts';
export { isTranscriptFold, type TalkDraftWishes, talkDraft, transcriptFold } from './talk-draft.ts';
export {
  type Cue,
  clock,
  isTimed,
  lengthOf,
  type Transcript,
  type TranscriptForm,
  type TranscriptReading,
} from './transcript.ts';
export { type NearPlace, type Unspoken, unspoken } from './unspoken.ts';
export { type KnownNames, knownNames } from './written-out.ts';
export {
  type TalkParagraph,
  type TalkQuestion,
  type TalkSection,
  type TalkSentence,
  type WrittenTalk,
  writeTalk,
} from './written-talk.ts';
