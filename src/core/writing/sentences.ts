import { sentenceBreaks } from '../language/index.ts';

/** The sentences of a text, each with its white space as one blank; empty ones are none. */
export function sentencesIn(text: string): string[] {
  const from = [0, ...sentenceBreaks(text)];
  return from
    .map((at, index) =>
      text
        .slice(at, from[index + 1])
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .filter(Boolean);
}
