import { CORPUS_WORDS, isMostlyVerb, wordCount } from '../language/index.ts';
import { type Band, bandOf } from './bands.ts';
import type { GramTable } from './gram-table.ts';
import { NAMELESS } from './nameless.ts';

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
/** A single word names the subject only where it is used so many times as often as in general English. */
const OFTENER = 2.5;
/** Verbs stand everywhere: theirs is a higher bar. */
const VERB_OFTENER = 12;
/** A term is no term of its own when so much of its use sits within one longer term. */
const WITHIN = 0.6;
/** Reciprocal rank fusion: how much the first ranks stand out (Cormack, Clarke and Buettcher, 2009, use 60). */
const FUSION = 60;
/** One page must not carry a term: uses beyond this quantile of the using pages do not count. */
const CAP = 0.9;

/** Dunning's log-likelihood ratio of a word's count here against its count in general English. */
function logLikelihood(here: number, all: number, there: number): number {
  const share = (here + there) / (all + CORPUS_WORDS);
  const part = (seen: number, expected: number) => (seen === 0 ? 0 : seen * Math.log(seen / expected));
  return 2 * (part(here, share * all) + part(there, share * CORPUS_WORDS));
}

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
    found = { count: wordCount(table.keys[gram]), verb: isMostlyVerb(table.keys[gram]) };
    known.set(gram, found);
  }
  return found;
}

/** Whether a gram may be a term; looked up once for each table. */
const nameable = new WeakMap<GramTable, Uint8Array>();

function nameableOf(table: GramTable): Uint8Array {
  let flags = nameable.get(table);
  if (!flags) {
    flags = Uint8Array.from(table.keys, (key) => {
      const words = key.split(' ');
      const ends = [words[0], words[words.length - 1]];
      // "Want to carry" and "quicker to open" name nothing; a single verb may.
      return ends.some((word) => NAMELESS.has(word)) || (words.length > 1 && isMostlyVerb(ends[1])) ? 0 : 1;
    });
    nameable.set(table, flags);
  }
  return flags;
}

/**
 * Terms of the pages taken in (by their index), best first. Single words are ranked by the root of their log-likelihood
 * against general English times the share of pages, verbs counting half; phrases (those that begin with a verb counting half) by C-value (K. Frantzi et al., 2000:
 * what they are used beside longer phrases that hold them) times the share of pages; the two lists are merged by
 * reciprocal rank times the root of the share of pages. A term of which six uses in ten sit within one longer term is left out. What the writer dropped is
 * not there; what is pinned or added comes first.
 */
export function termsOf(
  table: GramTable,
  taken: readonly number[],
  choices: TermChoices = noChoices(),
): Term[] {
  const total = taken.length;
  if (total === 0) return [];
  const { counts, inHeadings, pages, lengths } = table;
  const words = taken.reduce((sum, page) => sum + table.readings[page].figures.words, 0);
  const least = Math.max(Math.min(2, total), Math.ceil(total * SUPPORTING));
  const mayName = nameableOf(table);
  const candidates: number[] = [];
  const spread = new Uint8Array(table.keys.length);
  const uses = new Float64Array(table.keys.length);
  const using: number[] = [];
  for (let gram = 0; gram < table.keys.length; gram++) {
    if (mayName[gram] === 0) continue;
    using.length = 0;
    for (let at = 0; at < total; at++) {
      const count = counts[gram * pages + taken[at]];
      if (count > 0) using.push(count);
    }
    if (using.length < least) continue;
    spread[gram] = using.length;
    uses[gram] = cappedSum(using);
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
  for (const gram of candidates) {
    const share = spread[gram] / total;
    if (lengths[gram] === 1) {
      const { count, verb } = generalOf(table, gram);
      if (uses[gram] * CORPUS_WORDS < (verb ? VERB_OFTENER : OFTENER) * count * words) continue;
      const likelihood = logLikelihood(uses[gram], words, count);
      singles.push({ gram, score: Math.sqrt(Math.max(0, likelihood)) * share * (verb ? 0.5 : 1) });
    } else {
      const alone = uses[gram] - (holders[gram] ? held[gram] / holders[gram] : 0);
      const verb = isMostlyVerb(table.keys[gram].slice(0, table.keys[gram].indexOf(' ')));
      phrases.push({ gram, score: Math.log2(lengths[gram] + 1) * alone * share * (verb ? 0.5 : 1) });
    }
  }
  const weights = new Map<number, number>();
  for (const list of [singles, phrases])
    list
      .filter(({ score }) => score > 0)
      .sort((a, b) => b.score - a.score || (table.keys[a.gram] < table.keys[b.gram] ? -1 : 1))
      .forEach(({ gram }, rank) => {
        weights.set(gram, Math.sqrt(spread[gram] / total) / (FUSION + rank + 1));
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
