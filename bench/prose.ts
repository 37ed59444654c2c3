import { demoBundle } from '../src/demo/bundle.ts';
import { place } from './place.ts';

/** A seeded random number in 0..1 (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const sentences: string[] = demoBundle(place('src/demo/'))
  .posts.flatMap(({ draft }) => draft.blocks.filter((block) => block.kind === 'paragraph'))
  .flatMap((block) => block.text.split(/(?<=[.!?])\s+/))
  .filter((sentence) => sentence.split(' ').length > 4);

const SYLLABLES =
  'bar cor den el far gil hol in jas ker lor mar nor os pel quin ros sal tor ul ven wick yar'.split(' ');

/**
 * Markdown of about so many words: demo sentences with some of their words exchanged for names that were not there
 * before, so that the vocabulary grows with the length as that of real prose does (about the square root).
 */
export function proseOf(words: number, seed: number): string {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const names: string[] = [];
  const parts: string[] = [];
  let written = 0;
  for (let paragraph = 0; written < words; paragraph++) {
    if (paragraph % 4 === 0) {
      parts.push(`## ${pick(sentences).split(' ').slice(0, 5).join(' ')} ${paragraph}`);
      written += 6;
    }
    const own: string[] = [];
    for (let count = 3 + Math.floor(random() * 3); count > 0; count--) {
      const sentence = pick(sentences)
        .split(' ')
        .map((word) => {
          if (word.length < 5 || random() > 0.12) return word;
          if (names.length > 40 && random() > 0.35) return pick(names);
          const name = pick(SYLLABLES) + pick(SYLLABLES) + pick(SYLLABLES);
          names.push(name);
          return name;
        });
      own.push(sentence.join(' '));
      written += sentence.length;
    }
    parts.push(own.join(' '));
  }
  return parts.join('\n\n');
}

/** Two- and three-word phrases out of the demo prose, all different: the terms that are tracked. */
export function termsOf(count: number, seed: number): string[] {
  const random = seeded(seed);
  const terms = new Set<string>();
  while (terms.size < count) {
    const words = sentences[Math.floor(random() * sentences.length)]
      .toLowerCase()
      .replace(/[^a-z ]/g, '')
      .split(' ')
      .filter((word) => word.length > 3);
    const at = Math.floor(random() * Math.max(1, words.length - 2));
    const term = words.slice(at, at + 2 + Math.floor(random() * 2)).join(' ');
    if (term.includes(' ')) terms.add(term);
  }
  return [...terms];
}
