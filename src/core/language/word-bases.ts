import { inflectionCandidates } from './inflections.ts';
import { stem } from './stems.ts';
import { isStopWord } from './stop-words.ts';
import { Gap, type Tokens, tokenize } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Everyday words that are written in two ways on two sides of an ocean; they count as one word. */
const SPELLINGS = new Map(
  (
    'tire:tyre liter:litre milliliter:millilitre meter:metre kilometer:kilometre centimeter:centimetre millimeter:millimetre ' +
    'center:centre color:colour gray:grey aluminum:aluminium favorite:favourite neighbor:neighbour harbor:harbour ' +
    'flavor:flavour odor:odour fiber:fibre theater:theatre traveler:traveller jewelry:jewellery mold:mould plow:plough ' +
    'pajama:pyjama catalog:catalogue license:licence defense:defence'
  )
    .split(' ')
    .map((pair) => pair.split(':') as [string, string]),
);

const BRITISH = new Set(SPELLINGS.values());

/** A form with those words spelled as a model spells them that can be spelled in two ways: "flat tire" after "tyre" is "flat tyre". */
export function spelledLike(form: string, model: string): string {
  const wanted = new Set(
    model
      .toLowerCase()
      .split(/[^a-z]+/)
      .map((word) => word.replace(/s$/, ''))
      .filter((word) => BRITISH.has(word)),
  );
  if (wanted.size === 0) return form;
  return form.replace(/[a-z]+/gi, (word) => {
    const plural = /s$/i.test(word) ? word.slice(-1) : '';
    const other = SPELLINGS.get(word.slice(0, word.length - plural.length));
    return other !== undefined && wanted.has(other) ? other + plural : word;
  });
}

/**
 * Base forms by which uses of words are counted, and stems by which texts are grouped, each as a number that is the same
 * for the life of the vocabulary.
 */
export class WordBases {
  private readonly numbers = new Map<string, number>();
  private readonly texts: string[] = [];
  private readonly edges: boolean[] = [];
  private readonly byId: number[] = [];
  private readonly stemNumbers = new Map<string, number>();
  private readonly stemTexts: string[] = [];
  private readonly stemById: number[] = [];

  constructor(readonly vocabulary: Vocabulary) {}

  /** The number of a base form by its text. */
  numberOf(text: string, edge = true): number {
    let number = this.numbers.get(text);
    if (number === undefined) {
      number = this.texts.length;
      this.numbers.set(text, number);
      this.texts.push(text);
      this.edges.push(edge);
    }
    return number;
  }

  /** The base form of a vocabulary word; function words and figures are their own. */
  base(id: number): number {
    const known = this.byId[id];
    if (known !== undefined) return known;
    const form = this.vocabulary.form(id);
    const normal = this.vocabulary.normal(id);
    const edge = !isStopWord(form) && !isStopWord(normal) && /\p{L}{2}/u.test(form);
    let text = form;
    if (edge) {
      text = inflectionCandidates(normal).reduce(
        (best, next) => (next.length < best.length && next.length > 2 && !isStopWord(next) ? next : best),
        normal,
      );
      text = SPELLINGS.get(text) ?? text;
    }
    const number = this.numberOf(text, edge);
    this.byId[id] = number;
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
    const known = this.stemById[id];
    if (known !== undefined) return known;
    const base = this.base(id);
    let number = -1;
    if (this.edges[base]) number = this.stemNumber(stem(this.texts[base]));
    this.stemById[id] = number;
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

/** One use of a term in a text, by the places of its first and last word. */
export interface TermUse {
  /** Index among the keys. */
  term: number;
  first: number;
  last: number;
}

/** Finds the uses of many terms, given by their keys, within clauses. Cost grows with the text, not with the terms. */
export class TermCounter {
  private readonly byFirst = new Map<number, { term: number; words: number[] }[]>();

  constructor(
    keys: readonly string[],
    private readonly bases: WordBases,
  ) {
    keys.forEach((key, term) => {
      const words = key.split(' ').map((word) => bases.numberOf(word));
      const same = this.byFirst.get(words[0]);
      if (same) same.push({ term, words });
      else this.byFirst.set(words[0], [{ term, words }]);
    });
  }

  uses({ ids, gaps, sentences, length }: Tokens): TermUse[] {
    const found: TermUse[] = [];
    for (let first = 0; first < length; first++) {
      const terms = this.byFirst.get(this.bases.base(ids[first]));
      if (!terms) continue;
      for (const { term, words } of terms) {
        const last = first + words.length - 1;
        if (last >= length) continue;
        let at = 1;
        while (
          at < words.length &&
          this.bases.base(ids[first + at]) === words[at] &&
          gaps[first + at] !== Gap.Clause &&
          sentences[first + at] === sentences[first]
        )
          at += 1;
        if (at === words.length) found.push({ term, first, last });
      }
    }
    return found;
  }
}
