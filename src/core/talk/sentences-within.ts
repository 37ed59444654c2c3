import { sentenceBreaks } from '../language/index.ts';

/** The sentences of a text as offsets, from and up to. */
export function sentencesWithin(text: string): [number, number][] {
  const starts = [0, ...sentenceBreaks(text)];
  return starts.map((from, at): [number, number] => [from, starts[at + 1] ?? text.length]);
}
