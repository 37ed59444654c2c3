import type { Draft } from '../draft/index.ts';
import { sentencesIn } from './sentences.ts';

/** Fewer words are said alike by chance. */
const FEWEST = 4;

const bare = (text: string) => text.replace(/[\s\u00a0]+/g, ' ').trim();

/** A text that came from elsewhere. */
export interface Origin {
  draft: Draft;
  /** Blocks that it went into; null: not known, it was put in whole. */
  blocks: readonly string[] | null;
}

/** Paragraphs of a text and its single sentences, as they came. */
function wordsOf(draft: Draft): { paragraphs: Set<string>; sentences: Set<string> } {
  const paragraphs = new Set<string>();
  const sentences = new Set<string>();
  for (const { kind, text } of draft.blocks) {
    if (kind !== 'paragraph') continue;
    paragraphs.add(bare(text));
    for (const sentence of sentencesIn(text)) sentences.add(bare(sentence));
  }
  return { paragraphs, sentences };
}

/**
 * Ids of the paragraphs of a draft that stand as they came from elsewhere: word by word, or, where it is known into which blocks a
 * text went, made of its sentences alone. `read` are those of which the writer said to have read them.
 */
export function uneditedBlocks(
  draft: Draft,
  origins: readonly Origin[],
  read: ReadonlySet<string> = new Set(),
): string[] {
  const whole = new Set<string>();
  const byBlock = new Map<string, Set<string>>();
  for (const { draft: text, blocks } of origins) {
    const { paragraphs, sentences } = wordsOf(text);
    if (blocks === null) for (const paragraph of paragraphs) whole.add(paragraph);
    else
      for (const id of blocks) {
        const known = byBlock.get(id);
        if (known) for (const sentence of sentences) known.add(sentence);
        else byBlock.set(id, new Set(sentences));
      }
  }
  if (whole.size + byBlock.size === 0) return [];
  return draft.blocks.flatMap(({ id, kind, text }) => {
    const words = bare(text);
    if (kind !== 'paragraph' || read.has(id) || words.split(' ').length < FEWEST) return [];
    const came = byBlock.get(id);
    const isAsItCame =
      whole.has(words) || (came !== undefined && sentencesIn(text).every((one) => came.has(bare(one))));
    return isAsItCame ? [id] : [];
  });
}
