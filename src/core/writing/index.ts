/**
 * Writing: texts that are handed on and come back.
 *
 * `brief` gathers what another writer needs to know of a post, `brief-markdown` writes it to be read, and
 * `brief-instructions` as plain text for whoever or whatever writes it elsewhere; `unedited` finds what came back and was
 * not touched since; `sources` tells whose words and figures a draft holds; `titles` makes titles out of
 * what a post says, and tells how like others they are; `find-in-parts` finds words beside the text.
 *
 * Text that is asked for: `known` is what it can stand on, `voice` how the house writes, `patterns` what is asked and how the
 * answer is read, `stand-in` answers without a model, `text-service` is whoever answers; `text-pieces` and
 * `sentences` part any of it.
 */
export {
  BRIEF_PARTS,
  type Brief,
  type BriefChoices,
  type BriefPart,
  briefOf,
  commonTopics,
  emptyBriefChoices,
  wishedLength,
} from './brief.ts';
export { briefInstructions } from './brief-instructions.ts';
export { briefMarkdown, PART_NAMES } from './brief-markdown.ts';
export { type FoundPart, findInParts, replaceInParts, type TextQuery } from './find-in-parts.ts';
export { type GistSubject, gistOf, type PlacedSentence } from './gist.ts';
export * from './known/index.ts';
export * from './patterns/index.ts';
export { sentencesIn } from './sentences.ts';
export * from './sources/index.ts';
export * from './stand-in/index.ts';
export { readable, type TextPiece, textPieces } from './text-pieces.ts';
export {
  type Finish,
  MAX_TEXT_BYTES,
  type TextEnd,
  type TextEvent,
  type TextService,
  type TextWay,
} from './text-service.ts';
export * from './titles/index.ts';
export { type Origin, uneditedBlocks } from './unedited.ts';
export * from './voice/index.ts';
