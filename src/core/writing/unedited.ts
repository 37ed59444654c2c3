import type { Draft } from '../draft/index.ts';

/** Fewer words are said alike by chance. */
const FEWEST = 4;

const bare = (text: string) => text.replace(/[\s\u00a0]+/g, ' ').trim();

/** Ids of the paragraphs of a draft that stand word by word as in texts that came from elsewhere. */
export function uneditedBlocks(draft: Draft, origins: readonly Draft[]): string[] {
  const known = new Set(
    origins.flatMap(({ blocks }) =>
      blocks.filter(({ kind }) => kind === 'paragraph').map(({ text }) => bare(text)),
    ),
  );
  if (known.size === 0) return [];
  return draft.blocks.flatMap(({ id, kind, text }) => {
    const words = bare(text);
    return kind === 'paragraph' && words.split(' ').length >= FEWEST && known.has(words) ? [id] : [];
  });
}
