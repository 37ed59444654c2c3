/**
 * Writing: texts that are handed on and come back.
 *
 * `brief` gathers what another writer needs to know of a post, `brief-markdown` writes it to be read, and
 * `brief-instructions` as plain text for whoever or whatever writes it elsewhere; `unedited` finds what came back and was
 * not touched since; `sources` tells whose words and figures a draft holds.
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

export * from './sources/index.ts';
export { uneditedBlocks } from './unedited.ts';
