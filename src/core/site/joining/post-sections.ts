import { type Block, type Draft, footnotesOf, wordsIn } from '../../draft/index.ts';

/** A part of a post that begins with a heading of the level that parts its text; the first may begin without one. */
export interface PostSection {
  /** The id of its first block. */
  id: string;
  /** Empty: what stands before the first of those headings, with the title where the text has it. */
  heading: string;
  blocks: Block[];
  words: number;
}

const isParting = ({ kind, path }: Block): boolean => kind === 'heading' && path.length === 0;
const levelOf = ({ level }: Block): number => level ?? 2;

/** The highest level of which a text has several headings: one alone is its title. */
function partingLevel(blocks: readonly Block[]): number {
  const levels = blocks.filter(isParting).map(levelOf);
  for (let level = 1; level < 6; level++) if (levels.filter((one) => one === level).length > 1) return level;
  return Math.max(2, Math.min(6, ...levels));
}

/**
 * The sections of a text in order, its footnotes left out: they go with what refers to them. An empty text has none.
 *
 * "Intro", "## Routes", "### By train", "## Ferries" are three sections.
 */
export function postSections(draft: Draft): PostSection[] {
  const { lists } = footnotesOf(draft);
  const parting = partingLevel(draft.blocks);
  const parts: Block[][] = [];
  for (const block of draft.blocks) {
    if (lists.has(block.path[0]?.key ?? '')) continue;
    const begins = isParting(block) && levelOf(block) <= parting;
    if (begins || parts.length === 0) parts.push([block]);
    else parts.at(-1)!.push(block);
  }
  return parts.map((blocks) => ({
    id: blocks[0].id,
    heading: isParting(blocks[0]) && levelOf(blocks[0]) === parting ? blocks[0].text : '',
    blocks,
    words: blocks.reduce((sum, { text }) => sum + wordsIn(text), 0),
  }));
}
