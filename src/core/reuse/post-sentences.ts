import { chapterOfLine, type Draft, isFaqHeading, NOTE_SIGN } from '../draft/index.ts';
import { type PlacedSentence, sentencesIn } from '../writing/index.ts';

/** A sentence of a post, with the heading it stands under. */
export interface PostSentence extends PlacedSentence {
  heading: string;
  /** It stands in a list. */
  item: boolean;
}

/** A post's own sentences in order: of running text and lists, without tables, quotes, steps to press, and lines of chapters. */
export function postSentences({ blocks }: Draft): PostSentence[] {
  const out: PostSentence[] = [];
  let section = 0;
  let paragraph = 0;
  let heading = '';
  let isFaq = false;
  for (const block of blocks) {
    if (block.kind === 'heading' && block.path.length === 0) {
      heading = block.text.replace(/\s+/g, ' ').trim();
      isFaq = isFaqHeading(heading) || (isFaq && (block.level ?? 2) > 2);
      section += 1;
      paragraph = 0;
      continue;
    }
    if (block.kind !== 'paragraph' || block.step || chapterOfLine(block)) continue;
    if (block.path.some(({ type }) => type === 'cell' || type === 'quote')) continue;
    const item = block.path.some(({ type }) => type === 'item');
    const sentences = sentencesIn(block.text.replaceAll(NOTE_SIGN, ''));
    sentences.forEach((text, inParagraph) => {
      out.push({ text, section, paragraph, inParagraph, heading, item });
    });
    if (sentences.length > 0) paragraph += 1;
  }
  return out;
}

/** Headings of a post's sections, by their index; the first is what stands above all headings. */
export function sectionHeadings(sentences: readonly PostSentence[]): string[] {
  const out: string[] = [];
  for (const { section, heading } of sentences) out[section] = heading;
  return Array.from(out, (heading) => heading ?? '');
}
