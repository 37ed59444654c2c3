import type { PostDocument } from '../draft/index.ts';

/** What a page that was read again has that it had not, and the reverse. */
export interface PageChange {
  wordsBefore: number;
  wordsNow: number;
  headingsIn: string[];
  headingsOut: string[];
}

const wordsOf = ({ draft }: PostDocument): number =>
  draft.blocks.reduce((sum, { text }) => sum + (text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0), 0);

const headingsOf = ({ draft }: PostDocument): string[] =>
  draft.blocks
    .filter(({ kind, text }) => kind === 'heading' && text.trim())
    .map(({ text }) => text.replace(/\s+/g, ' ').trim());

/** Compares two readings of one page by its words and headings; null where its text is the same. */
export function pageChange(before: PostDocument, now: PostDocument): PageChange | null {
  const text = ({ draft }: PostDocument) => draft.blocks.map((block) => block.text).join('\n');
  if (text(before) === text(now)) return null;
  const [was, is] = [headingsOf(before), headingsOf(now)];
  return {
    wordsBefore: wordsOf(before),
    wordsNow: wordsOf(now),
    headingsIn: is.filter((heading) => !was.includes(heading)),
    headingsOut: was.filter((heading) => !is.includes(heading)),
  };
}
