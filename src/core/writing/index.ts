/**
 * Writing: texts that are handed on and come back.
 *
 * `brief` gathers what another writer needs to know of a post, `brief-markdown` writes it to be read, and
 * `brief-instructions` as plain text for whoever or whatever writes it elsewhere; `unedited` finds what came back and was
 * not touched since; `sources` tells whose words and figures a draft holds; `titles` makes titles out of
 * what a post says, and tells how like others they are; `find-in-parts` finds words beside the text.
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
export * from './sources/index.ts';
export * from './titles/index.ts';
export { uneditedBlocks } from './unedited.ts';
