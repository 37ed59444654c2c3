import type { Block, Draft } from './draft.ts';
import { addressOfLine, embedAddress } from './embed-address.ts';

/** A pasted piece made fit for the draft, and what was done to it. */
export interface CleanedPaste {
  draft: Draft;
  /** Set where the first level 1 heading became the title. */
  title: string | null;
  /** What was cleaned, each a short phrase such as "4 empty paragraphs". */
  account: string[];
}

const MOST_HEADING_WORDS = 12;

const many = (n: number, one: string, more = `${one}s`) => `${n} ${n === 1 ? one : more}`;

/** True for a paragraph by itself that is bold from end to end and short: a heading in disguise. */
function isBoldLine(block: Block, next: Block | undefined): boolean {
  if (block.kind !== 'paragraph' || block.path.length || block.text === '' || block.text.includes('\n'))
    return false;
  const bold = block.marks.filter((mark) => mark.type === 'bold');
  if (bold.length !== 1 || bold[0].start > 0 || bold[0].end < block.text.length) return false;
  return (
    next !== undefined && block.text.split(/\s+/).length <= MOST_HEADING_WORDS && !/[.,;:!]$/.test(block.text)
  );
}

/** The embed of a paragraph that is nothing but an address which can be embedded; null for all others. */
function embedOfLine(block: Block): Block | null {
  if (block.kind !== 'paragraph' || block.path.length > 0) return null;
  const address = addressOfLine(block.text);
  const found = address === null ? null : embedAddress(address);
  return found && { id: block.id, kind: 'embed', path: [], text: '', marks: [], embed: { ...found } };
}

/**
 * Mends the structure of a pasted piece: an address on a line of its own becomes an embed, bold-only lines become headings, a first level 1 heading becomes the title
 * (where `titleIsEmpty`) or a level 2 heading, no heading skips a level.
 */
export function cleanPaste(draft: Draft, titleIsEmpty: boolean): CleanedPaste {
  let boldLines = 0;
  const hadHeadings = draft.blocks.some((block) => block.kind === 'heading' && block.level !== 1);
  let blocks = draft.blocks.map((block, at): Block => {
    if (!isBoldLine(block, draft.blocks[at + 1])) return block;
    boldLines += 1;
    return {
      ...block,
      kind: 'heading',
      level: hadHeadings ? 3 : 2,
      marks: block.marks.filter((mark) => mark.type === 'link'),
    };
  });
  let embeds = 0;
  if (blocks.length > 1)
    blocks = blocks.map((block) => {
      const embed = embedOfLine(block);
      if (embed) embeds += 1;
      return embed ?? block;
    });
  let title: string | null = null;
  const firstH1 = blocks.findIndex((block) => block.kind === 'heading' && block.level === 1);
  if (firstH1 >= 0 && titleIsEmpty) {
    title = blocks[firstH1].text;
    blocks = blocks.toSpliced(firstH1, 1);
  }
  let before = 1;
  let lowered = 0;
  let skips = 0;
  blocks = blocks.map((block) => {
    if (block.kind !== 'heading') return block;
    let level = block.level ?? 2;
    if (level === 1) {
      level = 2;
      lowered += 1;
    }
    if (level > before + 1) {
      level = before + 1;
      skips += 1;
    }
    before = level;
    return level === block.level ? block : { ...block, level };
  });
  return {
    draft: { version: 1, blocks },
    title,
    account: [
      ...(embeds
        ? [`${many(embeds, 'address', 'addresses')} made ${embeds === 1 ? 'an embed' : 'embeds'}`]
        : []),
      ...(title !== null ? ['the first heading became the title'] : []),
      ...(lowered ? [`${many(lowered, 'level 1 heading')} made level 2`] : []),
      ...(skips ? [`${many(skips, 'skipped heading level')} mended`] : []),
      ...(boldLines
        ? [`${many(boldLines, 'bold line')} made ${boldLines === 1 ? 'a heading' : 'headings'}`]
        : []),
    ],
  };
}
