import type { Block } from '../../draft/index.ts';

/** A text as it is held against others. */
export interface HeldText {
  id: string;
  blocks: readonly Pick<Block, 'id' | 'text'>[];
}

/** A passage that stands in two texts. */
export interface SamePassage {
  /** As the first has it. */
  text: string;
  words: number;
  /** Ids of the blocks in which it begins. */
  blocks: [string, string];
}

/** Two texts that say the same in the same words. */
export interface SameText {
  /** Ids of the texts, the first of the two in the order that was given first. */
  ids: [string, string];
  /** Words that stand in both. */
  words: number;
  /** Those over the words of the shorter text, 0-1. */
  share: number;
  /** The longest first. */
  passages: SamePassage[];
}

/** Words of a shingle: by so many in a row a passage is known again. */
const SHINGLE = 8;
/** What so many texts have stands there on purpose: an address, an offer at the end. */
const MOST_TEXTS = 12;
/** Shingles that are looked at for pairs; of a larger site one in so many. */
const MOST_SHINGLES = 2_000_000;
/** Texts are told of that have so many words in common, or this share of the shorter and a long sentence at least. */
const MANY_WORDS = 40;
const LARGE_SHARE = 0.15;
const SENTENCE = 24;

interface Read {
  id: string;
  /** A number for each word: the same for the same one. */
  words: Int32Array;
  /** Block of each word, and where in its text it stands. */
  block: Int32Array;
  from: Int32Array;
  to: Int32Array;
  blocks: HeldText['blocks'];
}

function readTexts(texts: readonly HeldText[]): Read[] {
  const numbers = new Map<string, number>();
  return texts.map(({ id, blocks }) => {
    const [words, block, from, to]: number[][] = [[], [], [], []];
    blocks.forEach(({ text }, at) => {
      for (const match of text.toLowerCase().matchAll(/[\p{L}\p{N}]+(?:['’]\p{L}+)*/gu)) {
        let number = numbers.get(match[0]);
        if (number === undefined) {
          number = numbers.size + 1;
          numbers.set(match[0], number);
        }
        words.push(number);
        block.push(at);
        from.push(match.index);
        to.push(match.index + match[0].length);
      }
    });
    return {
      id,
      blocks,
      words: Int32Array.from(words),
      block: Int32Array.from(block),
      from: Int32Array.from(from),
      to: Int32Array.from(to),
    };
  });
}

/** The hash of the shingle that begins at a word (FNV-1a over the numbers of its words). */
function shingleAt(words: Int32Array, at: number): number {
  let hash = 0x811c9dc5;
  for (let next = at; next < at + SHINGLE; next++) hash = Math.imul(hash ^ words[next], 0x01000193);
  // The low bits of products of small numbers say little.
  hash ^= hash >>> 15;
  return Math.imul(hash, 0x2c1b3c6d) >>> 0;
}

const shinglesIn = ({ words }: Read): number => Math.max(0, words.length - SHINGLE + 1);

/** Pairs of texts that have shingles in common, as `first * texts + second`. */
function pairsOf(reads: readonly Read[]): Set<number> {
  const total = reads.reduce((sum, read) => sum + shinglesIn(read), 0);
  const every = Math.max(1, Math.ceil(total / MOST_SHINGLES));
  // Hash and text in one number, so that one sorting brings the same shingles together.
  const entries = new Float64Array(total);
  let count = 0;
  reads.forEach((read, text) => {
    for (let at = 0; at < shinglesIn(read); at++) {
      const hash = shingleAt(read.words, at);
      if (hash % every === 0) entries[count++] = hash * reads.length + text;
    }
  });
  const sorted = entries.subarray(0, count).sort();
  const pairs = new Set<number>();
  let begin = 0;
  while (begin < count) {
    const hash = Math.floor(sorted[begin] / reads.length);
    const texts = new Set<number>();
    let end = begin;
    while (end < count && Math.floor(sorted[end] / reads.length) === hash)
      texts.add(sorted[end++] % reads.length);
    begin = end;
    if (texts.size < 2 || texts.size > MOST_TEXTS) continue;
    const own = [...texts];
    own.forEach((one, at) => {
      for (const other of own.slice(at + 1)) pairs.add(one * reads.length + other);
    });
  }
  return pairs;
}

/** Where each shingle of a text begins. */
function placesOf(read: Read): Map<number, number[]> {
  const places = new Map<number, number[]>();
  for (let at = 0; at < shinglesIn(read); at++) {
    const hash = shingleAt(read.words, at);
    const list = places.get(hash);
    if (list) list.push(at);
    else places.set(hash, [at]);
  }
  return places;
}

/** The passages of one text that stand in another, the longest first; one that a text says again and again counts once. */
function passagesOf(one: Read, other: Read, places: ReadonlyMap<number, readonly number[]>): SamePassage[] {
  const found: SamePassage[] = [];
  const told = new Set<number>();
  let at = 0;
  while (at < shinglesIn(one)) {
    let best = 0;
    let where = 0;
    for (const begin of places.get(shingleAt(one.words, at)) ?? []) {
      let length = 0;
      while (
        at + length < one.words.length &&
        begin + length < other.words.length &&
        one.words[at + length] === other.words[begin + length]
      )
        length += 1;
      if (length > best) [best, where] = [length, begin];
    }
    if (best < SHINGLE) {
      at += 1;
      continue;
    }
    const last = at + best - 1;
    if (told.has(where)) {
      at = last + 1;
      continue;
    }
    told.add(where);
    const parts: string[] = [];
    for (let block = one.block[at]; block <= one.block[last]; block++) {
      const { text } = one.blocks[block];
      const start = block === one.block[at] ? one.from[at] : 0;
      parts.push(text.slice(start, block === one.block[last] ? one.to[last] : text.length));
    }
    found.push({
      text: parts.filter(Boolean).join(' / '),
      words: best,
      blocks: [one.blocks[one.block[at]].id, other.blocks[other.block[where]].id],
    });
    at = last + 1;
  }
  return found.sort((a, b) => b.words - a.words);
}

/**
 * Texts of a site that say the same in the same words, those with most in common first: passages of eight words and more that stand in
 * two of them (w-shingling; A. Z. Broder, "On the resemblance and containment of documents", 1997). What stands in more than a
 * dozen is taken to stand there on purpose. A repetition within one text is none of these.
 */
export function sameTexts(texts: readonly HeldText[]): SameText[] {
  const reads = readTexts(texts);
  const places = new Map<number, ReturnType<typeof placesOf>>();
  const found: SameText[] = [];
  for (const pair of pairsOf(reads)) {
    const [a, b] = [Math.floor(pair / reads.length), pair % reads.length];
    const [one, other] = [reads[a], reads[b]];
    let own = places.get(b);
    if (!own) {
      own = placesOf(other);
      places.set(b, own);
    }
    const passages = passagesOf(one, other, own);
    const words = passages.reduce((sum, passage) => sum + passage.words, 0);
    const share = Math.min(1, words / Math.max(1, Math.min(one.words.length, other.words.length)));
    if (words < MANY_WORDS && !(share >= LARGE_SHARE && words >= SENTENCE)) continue;
    found.push({ ids: [one.id, other.id], words, share, passages });
  }
  return found.sort((a, b) => b.words - a.words || (a.ids.join() < b.ids.join() ? -1 : 1));
}
