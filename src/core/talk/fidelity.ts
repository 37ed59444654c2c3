import { baseForm, isFunctionWord } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import { type ComparableWord, comparableWords } from './comparable.ts';
import type { LeftWhy } from './marking.ts';
import { sentencesWithin } from './sentences-within.ts';
import type { SpokenWord } from './spoken-words.ts';

/** Where a word of a draft comes from. */
export type WordOrigin =
  /** The speaker said it. */
  | 'said'
  /** A small repair: another form of what was said, or a word that joins. */
  | 'repaired'
  /** Nobody said it. */
  | 'added';

/** A word of a text, and where it comes from. */
export interface TracedWord {
  start: number;
  end: number;
  origin: WordOrigin;
  /** Index of the spoken word; -1 where none was. */
  spoken: number;
  /** An added number, name or negation: it changes what was said. */
  weighty: boolean;
}

/** How many words come from where. */
export interface OriginCounts {
  said: number;
  repaired: number;
  added: number;
}

/** Share of a text that the speaker said, 0-1, small repairs with it; 1 for a text without words. */
export const fidelityOf = ({ said, repaired, added }: OriginCounts): number =>
  said + repaired + added === 0 ? 1 : (said + repaired) / (said + repaired + added);

/** Sentences of which less was found, by weight, hold the speaker's words only by chance. */
const COVERED = 0.6;
/** A sentence of which so many words were found, by number, is the speaker's too: small words weigh little. */
const MOST_OF = 0.8;
/** A run of so many words in a row is the speaker's wherever it stands. */
const RUN = 3;
/** Words that are met oftener than this point nowhere. */
const COMMON = 80;
/** Words of speech around what was found, for fillers that the text does not have. */
const AROUND = 8;
/** Units that may be left out between two words, where a text follows what was said. */
const SKIPPED = 6;
const BUCKET = 8;
const CANDIDATES = 3;
/** A joining word between words of the speaker is a small repair; so many in a row at most. */
const JOINED = 2;
const JOINING =
  /^(?:a|an|the|and|or|but|so|that|which|who|of|to|in|on|at|for|with|by|from|as|is|are|was|were|be|it|this|then|because|when|if|while|also)$/;
const NEGATION = anyOf('not no never without nobody nothing none neither nor hardly cannot');

interface Found {
  /** Pairs of draft word and spoken unit, ascending in both. */
  pairs: [number, number][];
  weight: number;
}

/** What was said, ready to be looked up. */
export class SpokenIndex {
  private readonly keys: number[] = [];
  private readonly bases: number[] = [];
  /** Index of the spoken word of each unit. */
  private readonly wordOf: number[] = [];
  private readonly numbers = new Map<string, number>();
  private readonly places: number[][] = [];
  private readonly weights: number[] = [];
  private readonly traced = new Map<string, TracedWord[]>();

  /** Units of words that no text needs: of two ways the one without them. */
  private readonly spare: boolean[] = [];

  /** @param left which of the words no text needs */
  constructor(
    readonly words: readonly SpokenWord[],
    left: readonly (LeftWhy | null)[] = [],
  ) {
    let text = '';
    const starts: number[] = [];
    for (const { form, glued } of words) {
      starts.push(text.length);
      text += form + (glued ? '-' : ' ');
    }
    let word = 0;
    for (const { key, start } of comparableWords(text)) {
      while (word + 1 < starts.length && starts[word + 1] <= start) word += 1;
      const number = this.numberOf(key);
      this.places[number].push(this.keys.length);
      this.keys.push(number);
      this.bases.push(this.baseOf(key));
      this.wordOf.push(word);
      this.spare.push((left[word] ?? null) !== null);
    }
    for (let number = 0; number < this.places.length; number++)
      this.weights[number] = Math.log(1 + (this.keys.length + 1) / (this.places[number].length + 0.5));
  }

  private numberOf(key: string): number {
    let number = this.numbers.get(key);
    if (number === undefined) {
      number = this.places.length;
      this.numbers.set(key, number);
      this.places.push([]);
    }
    return number;
  }

  private readonly baseNumbers = new Map<string, number>();
  private baseOf(key: string): number {
    const base = baseForm(key);
    let number = this.baseNumbers.get(base);
    if (number === undefined) {
      number = this.baseNumbers.size;
      this.baseNumbers.set(base, number);
    }
    return number;
  }

  /** Whether a word was said anywhere, in this form or another of it. */
  holds(key: string): boolean {
    return (this.places[this.numbers.get(key) ?? -1]?.length ?? 0) > 0 || this.baseNumbers.has(baseForm(key));
  }

  /**
   * Traces each word of a text to what was said: per sentence the stretches of speech that share its rare words most are found by
   * votes on diagonals, and the best of them aligned (weighted longest common subsequence). Words that stand in order there are
   * said; other forms of them, and up to two joining words between them, are repaired; the rest is added. Numbers, names and
   * negations that were not said are never a repair.
   */
  trace(text: string): TracedWord[] {
    const known = this.traced.get(text);
    if (known) return known;
    let said = -1;
    const words: ComparableWord[] = [];
    const matched: number[] = [];
    for (const [from, to] of sentencesWithin(text)) {
      const own = comparableWords(text.slice(from, to));
      const found = this.matchSentence(own, said);
      for (const [at, unit] of found.entries()) {
        if (unit >= 0) said = this.wordOf[unit];
        words.push({ ...own[at], start: own[at].start + from, end: own[at].end + from });
        matched.push(unit);
      }
    }
    this.fill(words, matched);
    const out = this.judged(text, words, matched);
    if (this.traced.size > REMEMBERED) this.traced.clear();
    this.traced.set(text, out);
    return out;
  }

  /** The spoken unit of each word of a sentence; -1 where none was said. */
  private matchSentence(words: readonly ComparableWord[], said: number): number[] {
    const goesOn = this.follow(words, said, true) ?? this.follow(words, said, false);
    if (goesOn) return goesOn;
    const found = this.align(words, 0, words.length);
    const matched: number[] = words.map(() => -1);
    const total = words.reduce((sum, { key }) => sum + this.weightOf(key), 0);
    const covers =
      found.weight >= COVERED * total || found.pairs.length >= Math.max(RUN, MOST_OF * words.length);
    this.accept(words, found, matched, covers);
    // What two places of the talk were joined into: each stretch that is left is looked for by itself.
    for (const [from, to] of gapsOf(matched, RUN + 1))
      this.accept(words, this.align(words, from, to), matched, false);
    return matched;
  }

  /** Telling words that stand where the words around them were said, in their order: those of a short sentence that much was added to. */
  private fill(words: readonly ComparableWord[], matched: number[]): void {
    for (const [from, to] of gapsOf(matched, 1)) {
      const low = from > 0 ? matched[from - 1] + 1 : Math.max(0, (matched[to] ?? 0) - SKIPPED);
      const high = to < matched.length ? matched[to] : low + SKIPPED;
      if (high <= low || high - low > 2 * SKIPPED + (to - from)) continue;
      let unit = low;
      for (let at = from; at < to; at++) {
        if (isFunctionWord(words[at].key)) continue;
        const number = this.numbers.get(words[at].key);
        let here = unit;
        while (here < high && this.keys[here] !== number) here += 1;
        if (number === undefined || here >= Math.min(high, this.keys.length)) continue;
        matched[at] = here;
        unit = here + 1;
      }
    }
  }

  /** Where every word of a sentence stands right behind what was said before it, with no more than fillers between: the common case. */
  private follow(words: readonly ComparableWord[], said: number, passSpare: boolean): number[] | null {
    if (said < 0) return null;
    const units: number[] = [];
    let at = this.unitAfter(said);
    for (const { key } of words) {
      const number = this.numbers.get(key);
      if (number === undefined) return null;
      const most = Math.min(this.keys.length, at + (units.length === 0 ? SKIPPED * 3 : SKIPPED));
      while (at < most && (this.keys[at] !== number || (passSpare && this.spare[at]))) at += 1;
      if (at === most) return null;
      units.push(at);
      at += 1;
    }
    return units;
  }

  /** The first unit behind a spoken word. */
  private unitAfter(word: number): number {
    let [low, high] = [0, this.wordOf.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.wordOf[middle] <= word) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private weightOf(key: string): number {
    const number = this.numbers.get(key);
    return number === undefined ? Math.log(2 + this.keys.length) : this.weights[number];
  }

  /** The best alignment of words with a stretch of speech. */
  private align(words: readonly ComparableWord[], from: number, to: number): Found {
    const votes = new Map<number, number>();
    for (let at = from; at < to; at++) {
      const number = this.numbers.get(words[at].key);
      if (number === undefined) continue;
      const places = this.places[number];
      if (places.length > COMMON && to - from > 3) continue;
      for (const place of places) {
        const bucket = Math.floor((place - (at - from)) / BUCKET);
        votes.set(bucket, (votes.get(bucket) ?? 0) + this.weights[number]);
      }
    }
    const rated = [...votes].map(
      ([bucket, value]) => [bucket, value + (votes.get(bucket + 1) ?? 0)] as const,
    );
    rated.sort((a, b) => b[1] - a[1] || a[0] - b[0]);
    let best: Found = { pairs: [], weight: 0 };
    const tried = new Set<number>();
    for (const [bucket] of rated) {
      if (tried.size === CANDIDATES) break;
      if (tried.has(bucket - 1) || tried.has(bucket + 1)) continue;
      tried.add(bucket);
      const start = Math.max(0, bucket * BUCKET - AROUND);
      const end = Math.min(
        this.keys.length,
        bucket * BUCKET + 2 * BUCKET + Math.ceil((to - from) * 1.6) + AROUND,
      );
      const found = this.common(words, from, to, start, end);
      if (found.weight > best.weight + 1e-9) best = found;
      if (found.pairs.length === to - from) break;
    }
    return best;
  }

  /** Weighted longest common subsequence of words and a stretch of speech. */
  private common(
    words: readonly ComparableWord[],
    from: number,
    to: number,
    start: number,
    end: number,
  ): Found {
    const [rows, columns] = [to - from, end - start];
    const width = columns + 1;
    const table = new Float64Array((rows + 1) * width);
    const value = new Float64Array(rows * columns);
    for (let row = 0; row < rows; row++) {
      const { key } = words[from + row];
      const number = this.numbers.get(key) ?? -1;
      const base = this.baseNumbers.get(baseForm(key)) ?? -1;
      const weight = this.weightOf(key);
      for (let column = 0; column < columns; column++) {
        const at = start + column;
        let match = 0;
        if (this.keys[at] === number) match = weight;
        else if (base >= 0 && this.bases[at] === base && !/\d/.test(key)) match = weight * 0.8;
        if (match > 0 && !this.spare[at]) match += 0.005;
        // Of two ways that are worth the same the one without a gap: neighbours count a little more.
        if (match > 0 && row > 0 && column > 0 && value[(row - 1) * columns + column - 1] > 0) match += 0.01;
        value[row * columns + column] = match;
        const here = (row + 1) * width + column + 1;
        table[here] = Math.max(
          table[here - 1],
          table[here - width],
          match > 0 ? table[here - width - 1] + match : 0,
        );
      }
    }
    const pairs: [number, number][] = [];
    let [row, column] = [rows, columns];
    while (row > 0 && column > 0) {
      const here = row * width + column;
      const match = value[(row - 1) * columns + column - 1];
      if (match > 0 && Math.abs(table[here] - table[here - width - 1] - match) < 1e-9) {
        pairs.push([from + row - 1, start + column - 1]);
        row -= 1;
        column -= 1;
      } else if (table[here - width] >= table[here - 1]) row -= 1;
      else column -= 1;
    }
    return { pairs: pairs.reverse(), weight: table[rows * width + columns] };
  }

  /** Takes over what was found: all of it where it covers the sentence, else only runs that no chance makes. */
  private accept(words: readonly ComparableWord[], { pairs }: Found, matched: number[], all: boolean): void {
    if (all) {
      for (const [word, unit] of pairs) matched[word] = unit;
      return;
    }
    for (let from = 0; from < pairs.length; ) {
      let to = from + 1;
      while (
        to < pairs.length &&
        pairs[to][0] === pairs[to - 1][0] + 1 &&
        pairs[to][1] - pairs[to - 1][1] <= 3
      )
        to += 1;
      const run = pairs.slice(from, to);
      if (run.length >= RUN && run.some(([word]) => !isFunctionWord(words[word].key)))
        for (const [word, unit] of run) matched[word] = unit;
      from = to;
    }
  }

  private judged(text: string, words: readonly ComparableWord[], matched: readonly number[]): TracedWord[] {
    const out: TracedWord[] = [];
    words.forEach(({ key, start, end }, at) => {
      const unit = matched[at];
      let origin: WordOrigin = 'added';
      let weighty = false;
      if (unit >= 0) origin = this.numbers.get(key) === this.keys[unit] ? 'said' : 'repaired';
      else if (this.joins(words, matched, at)) origin = 'repaired';
      else weighty = isWeighty(text, key, start) && !(/\p{Lu}/u.test(text[start]) && this.holds(key));
      const last = out.at(-1);
      // Two parts of one written word ("don't"): the worse one counts.
      if (last && last.start === start && last.end === end) {
        if (RANK[origin] > RANK[last.origin]) last.origin = origin;
        last.weighty ||= weighty;
        if (last.spoken < 0 && unit >= 0) last.spoken = this.wordOf[unit];
        return;
      }
      out.push({ start, end, origin, spoken: unit >= 0 ? this.wordOf[unit] : -1, weighty });
    });
    return out;
  }

  /** Whether an unsaid word only joins what was said on both sides of it. */
  private joins(words: readonly ComparableWord[], matched: readonly number[], at: number): boolean {
    if (!JOINING.test(words[at].key)) return false;
    let from = at;
    while (from > 0 && matched[from - 1] < 0) from -= 1;
    let to = at + 1;
    while (to < words.length && matched[to] < 0) to += 1;
    return (
      to - from <= JOINED &&
      to < words.length &&
      (from > 0 || to - from === 1) &&
      words.slice(from, to).every(({ key }) => JOINING.test(key))
    );
  }
}

/** Traced texts that are remembered: those of a long draft, with some that were changed. */
const REMEMBERED = 4000;
const RANK: Record<WordOrigin, number> = { said: 0, repaired: 1, added: 2 };

/** Stretches of so many words and more that nothing was found for. */
function gapsOf(matched: readonly number[], least: number): [number, number][] {
  const out: [number, number][] = [];
  let from = 0;
  for (let at = 0; at <= matched.length; at++) {
    if (at < matched.length && matched[at] < 0) continue;
    if (at - from >= least) out.push([from, at]);
    from = at + 1;
  }
  return out;
}

/** Whether a word that nobody said changes what was said: a number, a negation, a name within a sentence. */
const isWeighty = (text: string, key: string, start: number): boolean =>
  /\d/.test(key) ||
  NEGATION.test(key) ||
  (/\p{Lu}/u.test(text[start]) &&
    key !== 'i' &&
    start > 0 &&
    !/[.!?:…]["”’)\]]*\s+["“‘(]*$/.test(text.slice(Math.max(0, start - 6), start)));

/** How many words of a traced text come from where. */
export function originCounts(words: Iterable<TracedWord>): OriginCounts {
  const counts = { said: 0, repaired: 0, added: 0 };
  for (const { origin } of words) counts[origin] += 1;
  return counts;
}
