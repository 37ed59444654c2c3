import { type ForeignStems, foreignStems } from './foreign-stems.ts';
import { baseForm } from './inflections.ts';
import { languageRules } from './languages/index.ts';
import { normalForm } from './normal.ts';
import { perVocabulary } from './per-vocabulary.ts';
import { stem } from './stems.ts';
import { isStopWord } from './stop-words.ts';
import { tokenize } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Whether a term may begin or end with a word: read off the word alone, so that nothing read earlier changes it. */
const isEdge = (text: string, normal: string): boolean =>
  !isStopWord(text) && (text === normal || !isStopWord(normal)) && hasLetters(text);

const LETTERS = /\p{L}{2}/u;

/** Whether two letters stand beside each other; of words that begin with two of a to z, at a look. */
function hasLetters(text: string): boolean {
  const [first, second] = [text.charCodeAt(0), text.charCodeAt(1)];
  return (first >= 97 && first <= 122 && second >= 97 && second <= 122) || LETTERS.test(text);
}

const UNKNOWN = -2;

const codeOf = (language: string): string => languageRules(language)?.code ?? 'en';

/**
 * Base forms by which uses of words are counted, and stems by which texts are grouped, each as a number that is the same
 * for the life of the vocabulary. Beside English, in languages of which rules are known, both are the stem.
 */
export class WordBases {
  private readonly numbers = new Map<string, number>();
  private readonly texts: string[] = [];
  private readonly edges: boolean[] = [];
  /** By the number of a word: one more than that of its base; 0 where nobody has asked yet. */
  private byId = new Int32Array(1024);
  private readonly stemNumbers = new Map<string, number>();
  private readonly stemTexts: string[] = [];
  /** By the number of a base. */
  private readonly stemByBase: number[] = [];

  private readonly foreign: ForeignStems | null;
  /** `en`, or a language of which rules are known. */
  readonly code: string;

  /** `language`: a BCP 47 tag; of languages without rules words are taken as English has them. */
  constructor(
    readonly vocabulary: Vocabulary,
    language = 'en',
  ) {
    this.foreign = foreignStems(language);
    this.code = codeOf(language);
  }

  /** The bases of a vocabulary's words in a language, the same for all who ask: a site's posts share most of their words. */
  static of(vocabulary: Vocabulary, language = 'en'): WordBases {
    return basesFor(vocabulary, codeOf(language));
  }

  /** These, or those of another language for the same vocabulary. */
  in(language: string): WordBases {
    return codeOf(language) === this.code ? this : WordBases.of(this.vocabulary, language);
  }

  /** The number of a base form by its text. */
  numberOf(text: string): number {
    return this.numbers.get(text) ?? this.add(text, normalForm(text));
  }

  private add(text: string, normal: string): number {
    const number = this.texts.length;
    this.numbers.set(text, number);
    this.texts.push(text);
    this.edges.push(this.foreign ? this.isContent(text) : isEdge(text, normal));
    this.stemByBase.push(UNKNOWN);
    return number;
  }

  private isContent(form: string): boolean {
    return hasLetters(form) && !this.foreign!.isStop(form);
  }

  private baseText(id: number): string {
    const form = this.vocabulary.form(id);
    if (this.foreign) return this.isContent(form) ? this.foreign.stem(form) : form;
    const normal = this.vocabulary.normal(id);
    if (!isEdge(form, normal)) return form;
    const base = baseForm(normal);
    return isEdge(base, base) ? base : normal;
  }

  /** The base form of a vocabulary word; function words and figures are their own. */
  base(id: number): number {
    const known = this.byId[id];
    return known > 0 ? known - 1 : this.readBase(id);
  }

  private readBase(id: number): number {
    const text = this.baseText(id);
    // What differs from the word as written is a normal form.
    const number =
      this.numbers.get(text) ??
      this.add(text, text === this.vocabulary.form(id) ? this.vocabulary.normal(id) : text);
    if (id >= this.byId.length) {
      const more = new Int32Array(2 * (id + 1));
      more.set(this.byId);
      this.byId = more;
    }
    this.byId[id] = number + 1;
    return number;
  }

  text(base: number): string {
    return this.texts[base];
  }

  /** Whether a term may begin or end with it: no function word, no figure. */
  isEdge(base: number): boolean {
    return this.edges[base];
  }

  /** The stem of a vocabulary word; -1 for function words and figures. */
  stem(id: number): number {
    const base = this.base(id);
    const known = this.stemByBase[base];
    if (known !== UNKNOWN) return known;
    let number = -1;
    if (this.edges[base]) number = this.stemNumber(this.foreign ? this.texts[base] : stem(this.texts[base]));
    this.stemByBase[base] = number;
    return number;
  }

  /** The number of a stem by its text. */
  stemNumber(text: string): number {
    let number = this.stemNumbers.get(text);
    if (number === undefined) {
      number = this.stemTexts.length;
      this.stemNumbers.set(text, number);
      this.stemTexts.push(text);
    }
    return number;
  }

  stemText(stemNumber: number): string {
    return this.stemTexts[stemNumber];
  }

  /** Stems of a text in order, function words and figures left out. */
  stemsOf(text: string): number[] {
    const { ids, length } = tokenize(text, this.vocabulary);
    const out: number[] = [];
    for (let at = 0; at < length; at++) {
      const each = this.stem(ids[at]);
      if (each >= 0) out.push(each);
    }
    return out;
  }

  /** The key of a phrase: its base forms in order, without function words at its ends; empty where nothing is left. */
  keyOf(phrase: string): string {
    const { ids, length } = tokenize(phrase, this.vocabulary);
    const bases = Array.from({ length }, (_, at) => this.base(ids[at]));
    while (bases.length && !this.edges[bases[0]]) bases.shift();
    while (bases.length && !this.edges[bases[bases.length - 1]]) bases.pop();
    return bases.map((base) => this.texts[base]).join(' ');
  }
}

const basesFor = perVocabulary((vocabulary, code: string) => new WordBases(vocabulary, code));
