import nspell from 'nspell';
import { isFunctionWord, wordCount } from '../language/index.ts';
import { TRADE_WORDS } from './trade-words.ts';

/** A dictionary as two files: the rules of its endings, and its words. */
export interface DictionaryFiles {
  aff: string;
  dic: string;
}

/** Which English is written. */
export type English = 'GB' | 'US';

/**
 * The English of a text: by its language tag, else by the region of its site; British where neither says. Null: another
 * language, which is not checked.
 *
 * @example englishOf('en', 'US') // 'US'
 */
export function englishOf(language: string, region: string): English | null {
  const [tag, land] = language.toLowerCase().split(/[-_]/);
  if (tag !== 'en') return null;
  return (land || region.toLowerCase()) === 'us' ? 'US' : 'GB';
}

const IZE = /iz(?=(?:e[sdr]?|ing|ations?|ers)$)/;
const PREFIXES =
  /^(?:re|un|non|pre|sub|multi|mis|over|under|out|inter|micro|mini|semi|anti|auto|bi|co)-?(?=\p{L}{5})/u;
/** Nouns that have no plural, or another. */
const NO_PLURAL: ReadonlySet<string> = new Set(
  (
    'informations advices furnitures equipments feedbacks evidences homeworks knowledges luggages baggages softwares hardwares ' +
    'childs sheeps fishs mans womans foots tooths mices geeses traffics weathers musics moneys'
  ).split(' '),
);
/**
 * Times that a word must have been counted (of 51 million) to be what somebody meant by another. Nearly every short word is one
 * slip from some other, and the first letter is seldom wrong but where it changed places.
 */
function leastCount(written: string, meant: string): number {
  if (written.length <= 2) return Number.POSITIVE_INFINITY;
  const changedPlaces =
    written.length === meant.length && [...written].sort().join() === [...meant].sort().join();
  if (changedPlaces) return written.length <= 4 ? 500 : 40;
  if (written[0] !== meant[0]) return Number.POSITIVE_INFINITY;
  return written.length <= 3 ? Number.POSITIVE_INFINITY : written.length === 4 ? 30_000 : 40;
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

function oneSlipAway(word: string): string[] {
  const found = new Set<string>();
  for (let at = 0; at <= word.length; at++) {
    const [head, tail] = [word.slice(0, at), word.slice(at)];
    if (tail) found.add(head + tail.slice(1));
    if (tail.length > 1) found.add(head + tail[1] + tail[0] + tail.slice(2));
    for (const letter of LETTERS) {
      found.add(head + letter + tail);
      if (tail) found.add(head + letter + tail.slice(1));
    }
  }
  found.delete(word);
  return [...found];
}

/** Times that each part of a compound must have been counted: "thresh-hold" is none. */
const COMMON = 1500;
/** Letters of each part of a compound. */
const LEAST_PART = 4;

/** Tells whether words are written right, by a dictionary, the words of the trade and the house's own. Words asked for are remembered. */
export class Speller {
  private readonly checker: ReturnType<typeof nspell>;
  private readonly known = new Map<string, boolean>();
  private readonly slips = new Map<string, string[]>();
  private readonly english: English;
  private own: ReadonlySet<string> = new Set();

  constructor(files: DictionaryFiles, english: English) {
    this.checker = nspell(files.aff, files.dic);
    this.english = english;
  }

  /** Words that are right besides, in any case of letters. */
  accept(words: Iterable<string>): void {
    this.own = new Set([...words].map((word) => word.normalize('NFC').toLowerCase()));
    this.known.clear();
    this.slips.clear();
  }

  /**
   * Whether a word is written right. Words made of two others ("whitespace"), of a prefix and another, and the other ending of
   * British verbs ("organize") are; typographic apostrophes are as good as plain ones.
   */
  isRight(word: string): boolean {
    let right = this.known.get(word);
    if (right === undefined) {
      right = this.judge(word.normalize('NFC').replaceAll('’', "'"));
      this.known.set(word, right);
    }
    return right;
  }

  /** Right words that are one slip away (a letter more, less, other, two that changed places), the commonest first; at once. */
  near(word: string): string[] {
    const lower = word.replaceAll('’', "'").toLowerCase();
    let found = this.slips.get(lower);
    if (!found) {
      found = oneSlipAway(lower)
        .map((one): [string, number] => [one, wordCount(one)])
        .filter(([one, count]) => count >= leastCount(lower, one) && this.isRight(one))
        .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
        .slice(0, 4)
        .map(([one]) => one);
      this.slips.set(lower, found);
    }
    return /^\p{Lu}/u.test(word) ? found.map((one) => one.charAt(0).toUpperCase() + one.slice(1)) : found;
  }

  /** What could have been meant, the likeliest first. May take half a second for one word. */
  suggest(word: string): string[] {
    const plain = word.replaceAll('’', "'");
    const found = this.checker.suggest(plain).slice(0, 5);
    return word.includes('’') ? found.map((one) => one.replaceAll("'", '’')) : found;
  }

  private judge(plain: string): boolean {
    const lower = plain.toLowerCase();
    if (this.own.has(lower) || this.own.has(lower.replace(/'s$/, ''))) return true;
    const bare = lower.replace(/'s?$/, '');
    if (this.checker.correct(plain) || TRADE_WORDS.has(bare)) return true;
    // British books write -ize as well as -ise.
    const ise = lower.replace(IZE, 'is');
    if (this.english === 'GB' && ise !== lower && this.checker.correct(ise)) return true;
    const prefix = PREFIXES.exec(bare)?.[0];
    if (prefix && this.checker.correct(bare.slice(prefix.length))) return true;
    return this.isPlural(bare) || this.isCompound(bare);
  }

  /** Dictionaries do not list the plural of every noun. */
  private isPlural(word: string): boolean {
    return (
      word.length > 4 &&
      /[^s]s$/.test(word) &&
      !NO_PLURAL.has(word) &&
      this.checker.correct(word.slice(0, -1))
    );
  }

  private isCompound(word: string): boolean {
    for (let at = LEAST_PART; at <= word.length - LEAST_PART; at++) {
      const [head, tail] = [word.slice(0, at), word.slice(at)];
      if (isFunctionWord(head) || isFunctionWord(tail)) continue;
      if (wordCount(head) < COMMON || wordCount(tail) < COMMON) continue;
      if (this.checker.correct(head) && this.checker.correct(tail)) return true;
    }
    return false;
  }
}
