import { DESCRIPTION_SIZE, pixelWidth } from './widths.ts';

/** The words of a text's opening that a results page would take where no description is written. No more of it is read. */
export function openingWords(paragraphs: Iterable<string>, words = 60): string {
  const taken: string[] = [];
  for (const paragraph of paragraphs) {
    // A paragraph of any length ends in sight: no word worth showing is longer than this.
    const start = paragraph.slice(0, words * 40);
    taken.push(...start.split(/\s+/).filter(Boolean));
    if (taken.length >= words) break;
  }
  return taken.slice(0, words).join(' ');
}

/** Whole sentences from the opening, as many as fit a width in pixels; empty where even the first is too wide. */
export function openingSentences(sentences: readonly string[], limit: number): string {
  let taken = '';
  for (const sentence of sentences) {
    const next = taken === '' ? sentence.trim() : `${taken} ${sentence.trim()}`;
    if (pixelWidth(next, DESCRIPTION_SIZE) > limit) break;
    taken = next;
  }
  return taken;
}
