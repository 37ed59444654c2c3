import { fold } from './normal.ts';
import { type SentenceRules, sentenceBreaks } from './sentences.ts';
import type { Vocabulary } from './vocabulary.ts';

/** What stands between a word and the one before it. */
export const Gap = {
  /** White space only. */
  Space: 0,
  /** A hyphen, nothing else: the two are written as one. */
  Hyphen: 1,
  /** A slash, ampersand or other light mark: no pause. */
  Mark: 2,
  /** A comma, colon, dash, bracket or line end: a new clause. */
  Clause: 3,
  /** Nothing at all (scripts without spaces). */
  None: 4,
} as const;

/** The words of one text as parallel arrays; offsets are UTF-16 code units relative to the text. */
export interface Tokens {
  length: number;
  /** Vocabulary ids. */
  ids: Int32Array;
  starts: Int32Array;
  ends: Int32Array;
  /** Index of the sentence that the word stands in. */
  sentences: Int32Array;
  /** {@link Gap} before the word. */
  gaps: Uint8Array;
  /** Number of sentences that hold at least one word. */
  sentenceCount: number;
  /** Words as a reader counts them: parts joined by a hyphen are one. */
  words: number;
}

const CLAUSE = /[,;:()[\]{}«»„“”"|\n–—…!?。、，．]|\s-+\s|\.(?=\s)/;

// One byte per UTF-16 unit: 0 other, 1 letter or digit, 2 letter of a script written without spaces.
const unitKinds = new Uint8Array(65_536);
/** Which 256 units of that table are worked out: all at once would cost more than reading a short text does. */
const knownPages = new Uint8Array(256);

const WORD = /[\p{L}\p{N}\p{M}]/u;
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

function workOut(page: number): void {
  knownPages[page] = 1;
  for (let code = page * 256; code < (page + 1) * 256; code++) {
    // Surrogate halves count as letters when they form one; tested by pair in the scanner.
    if (code >= 0xd800 && code <= 0xdfff) continue;
    const char = String.fromCharCode(code);
    if (WORD.test(char)) unitKinds[code] = UNSPACED.test(char) || code === 0x30fc ? 2 : 1;
  }
}

const BEYOND_LATIN = /[\u0100-\uffff]/;

/** The kinds of all units that stand in a text. */
function kindsIn(text: string): Uint8Array {
  if (knownPages[0] === 0) workOut(0);
  if (BEYOND_LATIN.test(text))
    for (let at = 0; at < text.length; at++) {
      const page = text.charCodeAt(at) >> 8;
      if (knownPages[page] === 0) workOut(page);
    }
  return unitKinds;
}

const ASTRAL_WORD = /[\p{L}\p{N}\p{M}]/u;

const isDigit = (code: number) => code >= 48 && code <= 57;

/**
 * True where the mark at `at` belongs to the word around it: an apostrophe or underscore between letters, a
 * point or comma between digits, a point between letters that is no sentence end (`example.com`, `e.g`).
 */
function joins(text: string, at: number, table: Uint8Array): boolean {
  const code = text.charCodeAt(at);
  const before = text.charCodeAt(at - 1);
  const after = text.charCodeAt(at + 1);
  if (table[after] !== 1) return false;
  if (code === 0x27 || code === 0x2019 || code === 0x5f || code === 0xb7) return true;
  if (code === 0x2c) return isDigit(before) && isDigit(after);
  if (code !== 0x2e) return false;
  if (isDigit(before) && isDigit(after)) return true;
  const capital = text[at + 1] !== text[at + 1].toLowerCase();
  // "U.S" is one word, "end.Next" (a missing space) is two.
  return !isDigit(after) && (!capital || (at >= 2 ? table[text.charCodeAt(at - 2)] === 0 : true));
}

let segmenters: Map<string, Intl.Segmenter> | null = null;

function segmenter(language: string): Intl.Segmenter {
  segmenters ??= new Map();
  let found = segmenters.get(language);
  if (!found) {
    found = new Intl.Segmenter(language, { granularity: 'word' });
    segmenters.set(language, found);
  }
  return found;
}

function languageOfUnspaced(run: string): string {
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]/u.test(run)) return 'ja';
  if (/\p{Script=Thai}/u.test(run)) return 'th';
  return 'zh';
}

/** Units of a run without spaces that are segmented in one go: the platform's work grows with the square of their number. */
const PIECE = 1000;
/** No word is longer: what begins within so many units of a piece's end is looked at again with what follows. */
const LONGEST_WORD = 40;

/** Words of a run in a script without spaces, from `start` to `end` of a text: where each begins and ends. */
function* segmented(text: string, start: number, end: number): Iterable<[start: number, end: number]> {
  const words = segmenter(languageOfUnspaced(text.slice(start, end)));
  for (let from = start; from < end; ) {
    const to = Math.min(end, from + PIECE);
    let next = to;
    for (const { index, segment, isWordLike } of words.segment(text.slice(from, to))) {
      if (to < end && index > PIECE - LONGEST_WORD) {
        next = from + index;
        break;
      }
      if (isWordLike) yield [from + index, from + index + segment.length];
    }
    from = next;
  }
}

function gapBetween(text: string, from: number, to: number): number {
  if (from === to) return Gap.None;
  if (to - from === 1) {
    const code = text.charCodeAt(from);
    if (code === 0x20 || code === 0xa0 || code === 9) return Gap.Space;
    if (code === 0x2d || code === 0x2010 || code === 0x2011 || code === 0xad) return Gap.Hyphen;
    if (code === 0x2f || code === 0x26) return Gap.Mark;
  }
  const between = text.slice(from, to);
  if (between.trim() === '' && !between.includes('\n')) return Gap.Space;
  return CLAUSE.test(between) ? Gap.Clause : Gap.Mark;
}

// Where the words of the text that is being read begin and end: lists that grow would be made anew for every block.
let places = new Int32Array(4096);
let endPlaces = new Int32Array(4096);

function put(word: number, start: number, end: number): void {
  if (word === places.length) {
    const [starts, ends] = [places, endPlaces];
    places = new Int32Array(2 * word);
    endPlaces = new Int32Array(2 * word);
    places.set(starts);
    endPlaces.set(ends);
  }
  places[word] = start;
  endPlaces[word] = end;
}

/** Finds the words of a text; how many there are. */
function findWords(text: string): number {
  const table = kindsIn(text);
  const size = text.length;
  let found = 0;
  let at = 0;
  while (at < size) {
    const code = text.charCodeAt(at);
    const kind = code >= 0xd800 && code <= 0xdbff ? astralKind(text, at) : table[code];
    if (kind === 0) {
      at += 1;
      continue;
    }
    let end = at + (kind === 3 ? 2 : 1);
    if (kind === 2) {
      while (end < size && table[text.charCodeAt(end)] === 2) end += 1;
      for (const [from, to] of segmented(text, at, end)) {
        put(found, from, to);
        found += 1;
      }
      at = end;
      continue;
    }
    while (end < size) {
      const next = text.charCodeAt(end);
      if (table[next] === 1) end += 1;
      else if (table[next] === 2) break;
      else if (next >= 0xd800 && next <= 0xdbff && astralKind(text, end) === 3) end += 2;
      else if (next !== 0x20 && joins(text, end, table)) end += 1;
      else break;
    }
    put(found, at, end);
    found += 1;
    at = end;
  }
  return found;
}

/**
 * Splits a text into words, sentences and what stands between them.
 * Scripts with spaces are scanned by character code; Chinese, Japanese, Thai and their like go through the
 * platform's Unicode segmentation. Never throws; lone surrogates are no words.
 */
export function tokenize(text: string, vocabulary: Vocabulary, rules: SentenceRules | null = null): Tokens {
  const length = findWords(text);
  const ids = new Int32Array(length);
  const starts = places.slice(0, length);
  const ends = endPlaces.slice(0, length);
  for (let at = 0; at < length; at++) ids[at] = vocabulary.idOf(text.slice(starts[at], ends[at]));
  const gaps = new Uint8Array(length);
  const sentences = new Int32Array(length);
  const breaks = length ? sentenceBreaks(text, rules) : [];
  let sentence = -1;
  let nextBreak = 0;
  let words = 0;
  let fresh = true;
  for (let i = 0; i < length; i++) {
    while (nextBreak < breaks.length && breaks[nextBreak] <= starts[i]) {
      nextBreak += 1;
      fresh = true;
    }
    if (fresh) {
      sentence += 1;
      fresh = false;
    }
    sentences[i] = sentence;
    gaps[i] = i === 0 ? Gap.Clause : gapBetween(text, ends[i - 1], starts[i]);
    if (gaps[i] !== Gap.Hyphen) words += 1;
  }
  return {
    length,
    ids,
    starts,
    ends,
    sentences,
    gaps,
    sentenceCount: sentence + 1,
    words,
  };
}

function astralKind(text: string, at: number): number {
  const point = text.codePointAt(at) ?? 0;
  return point > 0xffff && ASTRAL_WORD.test(String.fromCodePoint(point)) ? 3 : 0;
}

/** The lower-cased words of a short text (a title, a slug, a phrase) without a vocabulary. */
export function plainWords(text: string): string[] {
  return fold(text).match(/[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu) ?? [];
}
