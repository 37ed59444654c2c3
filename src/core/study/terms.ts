import { CORPUS_WORDS, detectLanguage, isMostlyVerb, smallWordsOf, wordCount } from '../language/index.ts';
import { type Band, bandOf } from './bands.ts';
import type { GramTable } from './gram-table.ts';
import { isNamingForm, nameableValue } from './nameable.ts';
import { studyLanguage } from './study-language.ts';

/** `staple`: on at least half of the pages; `supporting`: on at least a fifth. */
export type TermGroup = 'staple' | 'supporting';

/** A word or phrase that makes the subject. */
export interface Term {
  /** Base forms of its words, by which it is counted. */
  key: string;
  /** As it is most often written. */
  form: string;
  group: TermGroup;
  /** Stands in the headings of at least a fifth of the pages. */
  heading: boolean;
  /** Addresses of the pages that use it, each with its uses. */
  pages: { address: string; uses: number }[];
  /** Share of the pages, 0-1. */
  share: number;
  /** Uses per 1,000 words over the pages that use it; null: none does. */
  band: Band | null;
  /** Where it stands without the writer's own choices; larger is better. */
  weight: number;
  /** The writer pinned or added it. */
  chosen: boolean;
}

/** What a writer decided about the terms of a study, by their keys; added ones as they were typed. */
export interface TermChoices {
  pinned: readonly string[];
  dropped: readonly string[];
  added: readonly { key: string; form: string }[];
}

export const noChoices = (): TermChoices => ({ pinned: [], dropped: [], added: [] });

export const STAPLE = 0.5;
export const SUPPORTING = 0.2;
const MAX_TERMS = 90;
/** A single word names the subject only where it is used oftener than in general English by so many doublings; verbs by more. */
const BAR = 1.3;
const VERB_BAR = 3.6;
/** Effects beyond are alike: the rarest word is not the best term. */
const MOST_EFFECT = 6;
/** Uses that every word is thought to have in general English. */
const SMOOTHING = 20;
/** One page must not carry a term: uses beyond this part of its words do not count. */
const MOST_RATE = 0.02;
/** A term is no term of its own when so much of its use sits within one longer term. */
const WITHIN = 0.6;
/** Reciprocal rank fusion: how much the first ranks stand out (Cormack, Clarke and Buettcher, 2009, use 60). */
const FUSION = 60;
/** One page must not carry a term: uses beyond this quantile of the using pages do not count. */
const CAP = 0.9;

/** General counts of single words, looked up once for each table. */
const generalCounts = new WeakMap<GramTable, Map<number, { count: number; verb: boolean }>>();

function generalOf(table: GramTable, gram: number): { count: number; verb: boolean } {
  let known = generalCounts.get(table);
  if (!known) {
    known = new Map();
    generalCounts.set(table, known);
  }
  let found = known.get(gram);
  if (!found) {
    const key = table.keys[gram];
    // A stem of another language is no English word, whatever it looks like.
    found =
      table.bases.code === 'en'
        ? { count: wordCount(key), verb: isMostlyVerb(key) }
        : { count: wordCount(''), verb: false };
    known.set(gram, found);
  }
  return found;
}

/** How far each gram may name something; looked up once for each table. */
const nameable = new WeakMap<GramTable, Float32Array>();

function nameableOf(table: GramTable, query: string): Float32Array {
  let values = nameable.get(table);
  if (!values) {
    const own = new Set(table.bases.keyOf(query).split(' '));
    const small = smallWordsOf(languageOf(table.readings));
    values = Float32Array.from(table.keys, (key) => nameableValue(key, (word) => own.has(word), small));
    nameable.set(table, values);
  }
  return values;
}

const languageOf = (readings: GramTable['readings']): string =>
  studyLanguage(
    readings.map(({ blocks }) => detectLanguage(blocks.map(({ block }) => block.text).join('\n'))),
  );

/** The part of each page in what is counted: how near it is to the subject, and its publisher once. */
function partsOf(table: GramTable, taken: readonly number[], near: readonly number[]): Float64Array {
  const publishers = new Map<string, number>();
  for (const page of taken) {
    const { publisher, address } = table.readings[page].page;
    const name = publisher || address;
    publishers.set(name, (publishers.get(name) ?? 0) + 1);
  }
  return Float64Array.from(taken, (page) => {
    const { publisher, address } = table.readings[page].page;
    return near[page] / Math.sqrt(publishers.get(publisher || address)!);
  });
}

/**
 * Terms of the pages taken in (by their index), best first. Every page counts by how near it is to the subject, the pages of
 * one publisher together by the root of their number. Single words are ranked by effect size: the binary logarithm of how
 * much oftener they are used than in general English (smoothed by 20 uses), times the root of their rate, times their
 * share of the pages; phrases by C-value (K. Frantzi et al., 2000: what they are used beside longer phrases that hold
 * them) in the same way, with the mean effect size of their words. What is no noun phrase counts less or not at all
 * (`nameable`). The two lists are merged by reciprocal rank times the root of the share of pages. A term of which six uses
 * in ten sit within one longer term is left out. What the writer dropped is not there; what is pinned or added comes first.
 */
export function termsOf(
  table: GramTable,
  taken: readonly number[],
  { query, near }: { query: string; near: readonly number[] },
  choices: TermChoices = noChoices(),
): Term[] {
  const total = taken.length;
  if (total === 0) return [];
  const { counts, inHeadings, pages, lengths } = table;
  const parts = partsOf(table, taken, near);
  const whole = parts.reduce((sum, part) => sum + part, 0) || 1;
  const perWord = taken.map((page) => 1 / Math.max(1, table.readings[page].figures.words));
  const least = Math.max(Math.min(2, total), Math.ceil(total * SUPPORTING));
  const mayName = nameableOf(table, query);
  const candidates: number[] = [];
  const spread = new Uint8Array(table.keys.length);
  const uses = new Float64Array(table.keys.length);
  /** Share of the pages that use a gram, and uses in each word of them, both by the pages' parts. */
  const shares = new Float64Array(table.keys.length);
  const rates = new Float64Array(table.keys.length);
  const using: number[] = [];
  for (let gram = 0; gram < table.keys.length; gram++) {
    if (mayName[gram] === 0) continue;
    using.length = 0;
    let share = 0;
    let rate = 0;
    for (let at = 0; at < total; at++) {
      const count = counts[gram * pages + taken[at]];
      if (count === 0) continue;
      using.push(count);
      share += parts[at];
      rate += parts[at] * Math.min(MOST_RATE, count * perWord[at]);
    }
    if (using.length < least) continue;
    spread[gram] = using.length;
    uses[gram] = cappedSum(using);
    shares[gram] = share / whole;
    rates[gram] = rate / whole;
    candidates.push(gram);
  }
  // What longer candidates hold each one, and the most that one of them takes.
  const held = new Float64Array(table.keys.length);
  const holders = new Uint16Array(table.keys.length);
  for (const gram of candidates)
    for (const part of table.parts[gram]) {
      held[part] += uses[gram];
      holders[part] += 1;
    }
  const singles: { gram: number; score: number }[] = [];
  const phrases: { gram: number; score: number }[] = [];
  /** How much oftener than in general English, as a binary logarithm; verbs stand everywhere, theirs is a higher bar. */
  const effect = (gram: number): number => {
    const { count, verb } = generalOf(table, gram);
    const general = (count + SMOOTHING) / CORPUS_WORDS;
    return Math.log2(rates[gram] / general) - (verb ? VERB_BAR : BAR);
  };
  for (const gram of candidates) {
    const may = mayName[gram];
    if (lengths[gram] === 1) {
      const size = effect(gram);
      if (size <= 0) continue;
      singles.push({
        gram,
        score: may * Math.min(MOST_EFFECT, size) * Math.sqrt(rates[gram]) * shares[gram],
      });
    } else {
      const alone = uses[gram] - (holders[gram] ? held[gram] / holders[gram] : 0);
      if (alone <= 0) continue;
      const own = table.parts[gram].filter((part) => lengths[part] === 1 && rates[part] > 0);
      const sizes = own.map((part) => Math.min(MOST_EFFECT, Math.max(0, effect(part))));
      const mean = sizes.length ? sizes.reduce((sum, size) => sum + size, 0) / sizes.length : 1;
      const rate = (rates[gram] * alone) / uses[gram];
      phrases.push({
        gram,
        score: may * Math.log2(lengths[gram] + 1) * (0.5 + mean) * Math.sqrt(rate) * shares[gram],
      });
    }
  }
  const weights = new Map<number, number>();
  for (const list of [singles, phrases])
    list
      .filter(({ score }) => score > 0)
      .sort((a, b) => b.score - a.score || (table.keys[a.gram] < table.keys[b.gram] ? -1 : 1))
      .forEach(({ gram }, rank) => {
        weights.set(gram, Math.sqrt(shares[gram]) / (FUSION + rank + 1));
      });
  const within = new Float64Array(table.keys.length);
  for (const gram of candidates)
    if (weights.has(gram))
      for (const part of table.parts[gram]) within[part] = Math.max(within[part], uses[gram]);

  const term = (gram: number, weight: number, chosen: boolean): Term =>
    termOf(table, gram, taken, { weight, chosen, inHeadings });
  const dropped = new Set(choices.dropped);
  const first = new Map<string, Term>();
  for (const { key, form } of [
    ...choices.pinned.map((key) => ({ key, form: key })),
    ...choices.added.filter(({ key }) => key !== ''),
  ]) {
    if (first.has(key) || dropped.has(key)) continue;
    const gram = table.gram(key);
    first.set(
      key,
      gram === undefined
        ? addedTerm(key, form, table, taken)
        : { ...term(gram, weights.get(gram) ?? 0, true), ...(form === key ? {} : { form }) },
    );
  }
  const met = new Set<string>();
  const rest = [...weights]
    .filter(([gram]) => within[gram] < uses[gram] * WITHIN)
    .sort(
      ([a, left], [b, right]) =>
        right - left || uses[b] - uses[a] || (table.keys[a] < table.keys[b] ? -1 : 1),
    )
    .filter(([gram]) => {
      if (dropped.has(table.keys[gram]) || first.has(table.keys[gram])) return false;
      // The same words in another order are no further term.
      const words = table.keys[gram].split(' ').sort().join(' ');
      const page = taken.find((each) => counts[gram * pages + each] > 0)!;
      if (!isNamingForm(table.formOn(gram, page), table.keys[gram])) return false;
      return !met.has(words) && met.add(words);
    })
    .slice(0, MAX_TERMS)
    .map(([gram, weight]) => term(gram, weight, false));
  return [...first.values(), ...rest];
}

/** The sum of some counts, each at most their 90th percentile. */
function cappedSum(using: number[]): number {
  using.sort((a, b) => a - b);
  const place = (using.length - 1) * CAP;
  const low = Math.floor(place);
  const cap = Math.max(
    1,
    using[low] + (using[Math.min(low + 1, using.length - 1)] - using[low]) * (place - low),
  );
  let sum = 0;
  for (const count of using) sum += Math.min(cap, count);
  return sum;
}

function termOf(
  table: GramTable,
  gram: number,
  taken: readonly number[],
  { weight, chosen, inHeadings }: { weight: number; chosen: boolean; inHeadings: Uint8Array },
): Term {
  const forms = new Map<string, number>();
  const pages: Term['pages'] = [];
  const rates: number[] = [];
  let headed = 0;
  for (const page of taken) {
    const cell = gram * table.pages + page;
    const uses = table.counts[cell];
    if (uses === 0) continue;
    const reading = table.readings[page];
    pages.push({ address: reading.page.address, uses });
    rates.push((1000 * uses) / Math.max(1, reading.figures.words));
    if (inHeadings[cell] > 0) headed += 1;
    const form = table.formOn(gram, page);
    forms.set(form, (forms.get(form) ?? 0) + 1);
  }
  const form = [...forms].reduce((best, next) => (next[1] > best[1] ? next : best), ['', 0])[0];
  const share = pages.length / taken.length;
  return {
    key: table.keys[gram],
    form: form || table.keys[gram],
    group: share >= STAPLE ? 'staple' : 'supporting',
    heading: headed / taken.length >= SUPPORTING,
    pages,
    share,
    band: bandOf(rates),
    weight,
    chosen,
  };
}

/** A term that a writer added and that one page at most uses. */
function addedTerm(key: string, form: string, table: GramTable, taken: readonly number[]): Term {
  const pages: Term['pages'] = [];
  const rates: number[] = [];
  const wanted = key.split(' ').map((word) => table.bases.numberOf(word));
  for (const page of taken) {
    const { stream, page: from, figures } = table.readings[page];
    let uses = 0;
    for (let at = 0; at + wanted.length <= stream.length; at++)
      if (wanted.every((word, step) => stream[at + step] === word)) uses += 1;
    if (uses === 0) continue;
    pages.push({ address: from.address, uses });
    rates.push((1000 * uses) / Math.max(1, figures.words));
  }
  return {
    key,
    form,
    group: 'supporting',
    heading: false,
    pages,
    share: pages.length / taken.length,
    band: bandOf(rates),
    weight: 0,
    chosen: true,
  };
}
