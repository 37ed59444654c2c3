import type { Tokens } from '../language/index.ts';
import type { SaidSentence } from './order-reading.ts';

/** Words of a sentence that nobody writes twice by chance. */
const KEY_WORDS = 6;

/** The longer sentences of a block, each with a key made of its words (two FNV-1a hashes, 53 bits). */
export function saidIn(
  { length, ids, sentences }: Tokens,
  spans: readonly { start: number; end: number }[],
): SaidSentence[] {
  const out: SaidSentence[] = [];
  for (let from = 0; from < length; ) {
    let to = from;
    let low = 0x811c9dc5;
    let high = 0x1b873593;
    for (; to < length && sentences[to] === sentences[from]; to++) {
      low = Math.imul(low ^ ids[to], 0x01000193);
      high = Math.imul(high ^ (ids[to] + 7), 0x01000193) ^ (high >>> 15);
    }
    if (to - from >= KEY_WORDS)
      out.push({
        key: (low >>> 0) * 0x200000 + ((high >>> 0) & 0x1fffff),
        words: to - from,
        start: spans[sentences[from]].start,
        end: spans[sentences[from]].end,
      });
    from = to;
  }
  return out;
}

export function wordIndices(tokens: Tokens): Int32Array {
  const out = new Int32Array(tokens.length);
  let word = -1;
  for (let at = 0; at < tokens.length; at++) {
    if (tokens.gaps[at] !== 1 || at === 0) word += 1;
    out[at] = word;
  }
  return out;
}

/** The sentences of a block, from the first character of one to where the next begins, trimmed. */
export function sentenceSpans(text: string, tokens: Tokens): { start: number; end: number; words: number }[] {
  const spans: { start: number; end: number; words: number }[] = [];
  for (let at = 0; at < tokens.length; at++) {
    const sentence = tokens.sentences[at];
    if (sentence >= spans.length) spans.push({ start: tokens.starts[at], end: tokens.ends[at], words: 0 });
    const span = spans[sentence];
    span.end = tokens.ends[at];
    if (tokens.gaps[at] !== 1) span.words += 1;
  }
  // Closing marks belong to the sentence: up to the next one's first word, less white space and opening marks.
  spans.forEach((span, at) => {
    const limit = spans[at + 1]?.start ?? text.length;
    span.end += /^[^\s]*/.exec(text.slice(span.end, limit))![0].length;
  });
  return spans;
}
