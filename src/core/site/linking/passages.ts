import type { Block } from '../../draft/index.ts';
import { linksOf } from '../../draft/index.ts';
import { Gap, isDeterminer, isJoining, mayTakeArticle, type Tokens, tokenize } from '../../language/index.ts';
import { type LinkBook, MAY_LACK, type PageName } from './link-book.ts';

/** Words of a draft that speak of a page. Offsets are UTF-16 code units of the block's text. */
export interface Passage {
  /** Index of the page among the book's. */
  target: number;
  /** Index of the block in the draft. */
  block: number;
  start: number;
  end: number;
  sentenceStart: number;
  sentenceEnd: number;
  /** How surely and how fully, 0-1. */
  strength: number;
}

/** Words that do not belong to the name and may stand between its words, beside those of grammar. */
const MAY_STAND_BETWEEN = 1;
/** A name of several words is spoken of by so many at least. */
const LEAST_WORDS = 2;
/** What the name's missing words count where they stand elsewhere in the draft. */
const ELSEWHERE = 0.5;
/** Share of a name's weight that must be met, in the passage and elsewhere. */
const ENOUGH = 0.75;
/** What is left of a passage's strength with a word between, and where its words are turned round. */
const WITH_WORD_BETWEEN = 0.85;
const TURNED = 0.8;
/** What is left for each word that is only kin of the name's ("transform" for "transformation"), not a form of it. */
const KIN = 0.85;
/** Weight of the words met from which a passage speaks of its page without doubt: two rarer words, or three. */
const SURE = 18;
/** Below this strength nothing is offered: common words that happen to be a page's name. */
const LEAST_STRENGTH = 0.5;
/** What is left where the passage stands in a table or in somebody else's words. */
const IN_CELL = 0.8;
const IN_QUOTE = 0.6;

/** A word of a sentence that has a stem. */
interface Word {
  stem: number;
  base: number;
  token: number;
}

/** Blocks that may carry a link: running text, lists and cells; no headings, captions, code. */
const mayCarry = (block: Block): boolean => block.kind === 'paragraph' && block.text.trim() !== '';

/** Finds words of a text that carry no link whatever they speak of. */
export type TakenWords = (text: string, tokens: Tokens) => readonly { start: number; end: number }[];

/**
 * All passages of a draft that speak of pages of the book (or `only` of one, by its index), words that are linked already left
 * out. Words that are `taken` (the draft's own keyword) carry no link: it would send readers away from what the draft is about.
 */
export function passagesIn(
  blocks: readonly Block[],
  book: LinkBook,
  { taken = () => [], only = null }: { taken?: TakenWords; only?: number | null } = {},
): Passage[] {
  const { vocabulary, bases } = book;
  const read = blocks.map((block) => (mayCarry(block) ? tokenize(block.text, vocabulary) : null));
  const said = new Set<number>();
  for (const tokens of read)
    if (tokens) for (let at = 0; at < tokens.length; at++) said.add(bases.stem(tokens.ids[at]));
  const passages: Passage[] = [];
  blocks.forEach((block, index) => {
    const tokens = read[index];
    if (!tokens) return;
    const closed = [
      ...linksOf(block),
      ...block.marks.filter(({ type }) => type === 'code'),
      ...taken(block.text, tokens),
    ];
    for (let from = 0; from < tokens.length; ) {
      let to = from;
      const words: Word[] = [];
      for (; to < tokens.length && tokens.sentences[to] === tokens.sentences[from]; to++) {
        const stem = bases.stem(tokens.ids[to]);
        if (stem >= 0) words.push({ stem, base: bases.base(tokens.ids[to]), token: to });
      }
      for (const name of namesIn(words, book, only)) {
        const found = bestWindow(name, words, tokens, book, said);
        if (!found) continue;
        const start = tokens.starts[words[found.first].token];
        const end = tokens.ends[words[found.last].token];
        const strength = found.strength * placeOf(block);
        if (strength < LEAST_STRENGTH || closed.some((mark) => mark.start < end && mark.end > start))
          continue;
        passages.push({
          target: name.target,
          block: index,
          start,
          end,
          sentenceStart: tokens.starts[from],
          sentenceEnd: endOf(block.text, tokens.ends[to - 1], tokens.starts[to]),
          strength,
        });
      }
      from = to;
    }
  });
  return passages;
}

function placeOf({ path }: Block): number {
  if (path.some(({ type }) => type === 'quote')) return IN_QUOTE;
  return path.some(({ type }) => type === 'cell') ? IN_CELL : 1;
}

/** The end of a sentence with its mark. */
const endOf = (text: string, end: number, next: number | undefined): number =>
  end + /^\S*/.exec(text.slice(end, next ?? text.length))![0].length;

/** Names of which a rare word stands in a sentence, each once. */
function namesIn(words: readonly Word[], book: LinkBook, only: number | null): PageName[] {
  const met = new Set<PageName>();
  for (const { stem } of words)
    for (const index of book.namesUnder(stem)) {
      const name = book.names[index];
      if (only === null || name.target === only) met.add(name);
    }
  return [...met];
}

/** The stretch of a sentence that speaks most surely of a page; null where none does surely enough. */
function bestWindow(
  name: PageName,
  words: readonly Word[],
  tokens: Tokens,
  book: LinkBook,
  said: ReadonlySet<number>,
): { first: number; last: number; strength: number } | null {
  const { stems, bases, weights, total } = name;
  if (name.alone === 0) return null;
  const elsewhere = weights.reduce((sum, weight, at) => sum + (said.has(stems[at]) ? weight : 0), 0);
  let best: { first: number; last: number; strength: number } | null = null;
  for (let first = 0; first < words.length; first++) {
    const place = stems.indexOf(words[first].stem);
    if (place < 0) continue;
    let met = weights[place];
    let kin = bases[place] === words[first].base ? 0 : 1;
    // One word is the name, or it is another word.
    if (kin > 0 && stems.length === 1) continue;
    const seen = [place];
    let between = 0;
    let last = first;
    let turned = false;
    // The name's words one after the other, as far as nothing stands between that parts them.
    for (let at = first; ; at++) {
      const next = at + 1;
      const share = met / total;
      const full = (met + ELSEWHERE * (elsewhere - met)) / total;
      if (
        at === last &&
        seen.length >= Math.min(LEAST_WORDS, stems.length) &&
        share >= 1 - MAY_LACK &&
        full >= ENOUGH
      ) {
        const shape = (between > 0 ? WITH_WORD_BETWEEN : 1) * (turned ? TURNED : 1) * KIN ** kin;
        const strength = name.worth * name.alone * full * shape * Math.min(1, met / SURE);
        if (!best || strength > best.strength) best = { first, last, strength };
      }
      if (next >= words.length) break;
      const link = joint(words[at].token, words[next].token, tokens, book);
      if (link === 'parted') break;
      const own = stems.indexOf(words[next].stem);
      if (own < 0 || seen.includes(own)) {
        // A word more: it may stand between, and only between.
        if (own >= 0 || between === MAY_STAND_BETWEEN) break;
        between += 1;
        continue;
      }
      if (own < seen[seen.length - 1]) {
        // "tyres for winter" is about winter tyres; "list to pack" is about no packing list.
        if (link !== 'joined') break;
        turned = true;
      }
      seen.push(own);
      met += weights[own];
      if (bases[own] !== words[next].base) kin += 1;
      last = next;
    }
  }
  return best;
}

/** What stands between two words: nothing or light words (`near`), a preposition (`joined`), or what ends a phrase. */
function joint(
  left: number,
  right: number,
  { gaps, ids }: Tokens,
  { vocabulary }: LinkBook,
): 'near' | 'joined' | 'parted' {
  let joined = false;
  let open = true;
  for (let at = left + 1; at <= right; at++) {
    if (gaps[at] === Gap.Clause) return 'parted';
    if (at === right) break;
    const form = vocabulary.form(ids[at]);
    if (isJoining(form)) {
      joined = true;
      open = mayTakeArticle(form);
    } else if (isDeterminer(form) && !open) {
      // "flour on the bread" is no bread flour.
      return 'parted';
    } else if (!isDeterminer(form) && form !== 'and' && !/^\d+$/.test(form)) return 'parted';
  }
  return joined ? 'joined' : 'near';
}
