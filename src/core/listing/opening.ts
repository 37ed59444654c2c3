import { DESCRIPTION_SIZE, pixelWidth } from './widths.ts';

/** The words of a text's opening that a results page would take where no description is written. */
export const openingWords = (paragraphs: readonly string[], words = 60): string =>
  paragraphs.join(' ').replace(/\s+/g, ' ').trim().split(' ').slice(0, words).join(' ');

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
