import type { Tokens, Vocabulary } from '../language/index.ts';
import type { StyleWords } from './wordings/index.ts';

/** Words of a sentence among which one that points is looked for. */
const NEAR = 5;

// Traits: bits 0 to 11 come of words anywhere, 12 of names, 13 to 16 of the first word, 17 to 20 of the length.
const [NUMBER_BIT, PAST_BIT, MODAL_BIT, NEGATION_BIT, CONDITION_BIT] = [7, 8, 9, 10, 11];
const NAME_BIT = 12;
const [ORDER_BIT, NOUN_BIT, ARTICLE_BIT, PREPOSITION_BIT] = [13, 14, 15, 16];
const LENGTH_BIT = 17;
/** Words of a sentence at which the next class of length begins. */
const LENGTHS = [7, 12, 20];
/** Traits that a sentence may have: whom it speaks of, in which time, how it begins, how long it is. */
export const TRAITS = 21;

// Beside the traits, how a word bears on a sentence: whether it opens one, points, was looked at, and as a first word.
const OPENS = 1 << 24;
const POINTS = 1 << 25;
const KNOWN = 1 << 26;
const KNOWN_FIRST = 1 << 27;
const ANYWHERE = (1 << NAME_BIT) - 1;
const FIRST = (1 << LENGTH_BIT) - (1 << ORDER_BIT);

const known = new WeakMap<StyleWords, ReadonlyMap<string, number>>();

/** Traits and bearing of the words that have a list; worked out once for each language. */
function listedIn(style: StyleWords): ReadonlyMap<string, number> {
  const before = known.get(style);
  if (before) return before;
  const listed = new Map<string, number>();
  for (const [list, bits] of [
    ...style.persons.map((list, at) => [list, 1 << at] as const),
    [style.modals, 1 << MODAL_BIT],
    [style.negations, 1 << NEGATION_BIT],
    [style.conditions, 1 << CONDITION_BIT],
    [style.openers, OPENS],
    [style.pointing, POINTS],
  ] as const)
    for (const word of list) listed.set(word, (listed.get(word) ?? 0) | bits);
  known.set(style, listed);
  return listed;
}

const BEGINNINGS = { order: 1 << ORDER_BIT, noun: 1 << NOUN_BIT };

/** What the sentences of a block are like. */
export interface StyleReading {
  /** By trait, how many sentences have it. */
  traits: Uint32Array;
  /** Sentences that lean on what stands before them ("It", "But", "Take it off"). */
  leaning: number;
  /** Whether the first one does. */
  opensLeaning: boolean;
}

/**
 * Tells what sentences are like beside what they speak of, and which lean on one before. Sentences that stand together are
 * alike: steps give orders, a story is told in the past, a paragraph about a reader says "you". What a word bears is worked
 * out once.
 */
export class SentenceStyles {
  private bearings = new Int32Array(4096);

  private readonly listed: ReadonlyMap<string, number>;

  constructor(
    private readonly vocabulary: Vocabulary,
    private readonly style: StyleWords,
  ) {
    this.listed = listedIn(style);
  }

  private bearingOf(form: string): number {
    let bits = KNOWN | (this.listed.get(form) ?? 0);
    if (/\d/.test(form)) bits |= 1 << NUMBER_BIT;
    else if (this.style.isPast(form)) bits |= 1 << PAST_BIT;
    return bits;
  }

  /** What a sentence that begins with a word is like; those that open are of no other kind. */
  private beginningOf(form: string, opens: boolean): number {
    if (this.style.articles.has(form)) return 1 << ARTICLE_BIT;
    if (this.style.prepositions.has(form)) return 1 << PREPOSITION_BIT;
    const as = opens ? null : this.style.beginsAs(form);
    return as === null ? 0 : BEGINNINGS[as];
  }

  private bearing(id: number): number {
    if (id >= this.bearings.length) {
      const more = new Int32Array(2 * (id + 1));
      more.set(this.bearings);
      this.bearings = more;
    }
    const known = this.bearings[id];
    if (known !== 0) return known;
    const fresh = this.bearingOf(this.vocabulary.form(id));
    this.bearings[id] = fresh;
    return fresh;
  }

  private firstBearing(id: number): number {
    let bits = this.bearing(id);
    if ((bits & KNOWN_FIRST) === 0) {
      bits |= KNOWN_FIRST | this.beginningOf(this.vocabulary.form(id), (bits & OPENS) !== 0);
      this.bearings[id] = bits;
    }
    return bits;
  }

  read(text: string, { length, ids, sentences, starts }: Tokens): StyleReading {
    const traits = new Uint32Array(TRAITS);
    let leaning = 0;
    let opensLeaning = false;
    for (let from = 0; from < length; ) {
      const opening = this.firstBearing(ids[from]);
      let bits = opening & FIRST;
      let leans = (opening & OPENS) !== 0;
      let to = from;
      for (; to < length && sentences[to] === sentences[from]; to++) {
        const word = this.bearing(ids[to]);
        bits |= word & ANYWHERE;
        leans ||= (word & POINTS) !== 0 && to - from < NEAR;
        const initial = text.charCodeAt(starts[to]);
        if (to > from && initial >= 65 && initial <= 90) bits |= 1 << NAME_BIT;
      }
      let size = 0;
      while (size < LENGTHS.length && to - from >= LENGTHS[size]) size += 1;
      bits |= 1 << (LENGTH_BIT + size);
      for (let trait = 0; trait < TRAITS; trait++) if (bits & (1 << trait)) traits[trait] += 1;
      if (leans) leaning += 1;
      if (from === 0) opensLeaning = leans;
      from = to;
    }
    return { traits, leaning, opensLeaning };
  }
}
