import { CORPUS_WORDS, isMostlyVerb, wordCount } from '../language/index.ts';
import { type Band, bandOf, quantile } from './bands.ts';
import type { PageReading } from './study-page.ts';

/** `staple`: on at least half of the pages; `supporting`: on at least a fifth. */
export type TermGroup = 'staple' | 'supporting';

/** A word or phrase that makes the subject. */
export interface Term {
  /** Bases of its words, by which it is counted. */
  key: string;
  /** As it is most often written. */
  form: string;
  group: TermGroup;
  /** Stands in the headings of at least a fifth of the pages. */
  heading: boolean;
  /** Addresses of the pages that use it. */
  pages: string[];
  /** Uses per 1,000 words over those pages. */
  band: Band;
  /** By which terms are ranked; larger is better. */
  weight: number;
}

const STAPLE = 0.5;
const SUPPORTING = 0.2;
const MOST = 120;
/** Numbers written as words, and small words of denial: they stand everywhere and name nothing. */
const NAMELESS = new Set(
  'one two three four five six seven eight nine ten eleven twelve twenty thirty forty fifty hundred thousand half no not without vs versus against'.split(
    ' ',
  ),
);
/** A term is no term of its own when so much of its use sits within one longer term. */
const WITHIN = 0.6;
/** Reciprocal rank fusion: how much the first ranks stand out (Cormack, Clarke and Buettcher, 2009, use 60). */
const FUSION = 60;

/** Dunning's log-likelihood ratio of a word's count here against its count in general English. */
function logLikelihood(here: number, all: number, there: number): number {
  const share = (here + there) / (all + CORPUS_WORDS);
  const part = (seen: number, expected: number) => (seen === 0 ? 0 : seen * Math.log(seen / expected));
  return 2 * (part(here, share * all) + part(there, share * CORPUS_WORDS));
}

interface Candidate {
  key: string;
  length: number;
  pages: number[];
  /** Uses, each page counting at most the 90th percentile of the using pages. */
  uses: number;
  inHeadings: number;
}

/**
 * Terms of the pages taken in. Single words are ranked by the root of their log-likelihood against general English times
 * the share of pages, verbs counting half; phrases by C-value (K. Frantzi et al., 2000: what they are used beside longer
 * phrases that hold them) times the share of pages; the two lists are merged by reciprocal rank. A term of which six
 * uses in ten sit within one longer term is left out.
 */
export function termsOf(readings: readonly PageReading[]): Term[] {
  const total = readings.length;
  if (total === 0) return [];
  const words = readings.reduce((sum, reading) => sum + reading.words, 0);
  const least = Math.max(2, Math.ceil(total * SUPPORTING));
  const spread = new Map<string, number>();
  for (const { grams } of readings)
    for (const key of grams.keys()) spread.set(key, (spread.get(key) ?? 0) + 1);
  const candidates = new Map<string, Candidate>();
  for (const [key, pages] of spread) {
    if (pages < least || NAMELESS.has(key)) continue;
    candidates.set(key, { key, length: key.split(' ').length, pages: [], uses: 0, inHeadings: 0 });
  }
  readings.forEach(({ grams }, at) => {
    for (const [key, candidate] of candidates) {
      const uses = grams.get(key);
      if (!uses) continue;
      candidate.pages.push(at);
      if (uses.inHeadings > 0) candidate.inHeadings += 1;
    }
  });
  for (const candidate of candidates.values()) {
    const counts = candidate.pages
      .map((at) => readings[at].grams.get(candidate.key)!.count)
      .sort((a, b) => a - b);
    const cap = Math.max(1, quantile(counts, 0.9));
    candidate.uses = counts.reduce((sum, count) => sum + Math.min(cap, count), 0);
  }
  const longer = holdersOf(candidates);
  const singles: { candidate: Candidate; score: number }[] = [];
  const phrases: { candidate: Candidate; score: number }[] = [];
  for (const candidate of candidates.values()) {
    const share = candidate.pages.length / total;
    if (candidate.length === 1) {
      const likelihood = logLikelihood(candidate.uses, words, wordCount(candidate.key));
      singles.push({
        candidate,
        score: Math.sqrt(Math.max(0, likelihood)) * share * (isMostlyVerb(candidate.key) ? 0.5 : 1),
      });
    } else {
      const holders = longer.get(candidate.key) ?? [];
      const within = holders.reduce((sum, holder) => sum + holder.uses, 0);
      const value =
        Math.log2(candidate.length + 1) * (candidate.uses - (holders.length ? within / holders.length : 0));
      phrases.push({ candidate, score: value * share });
    }
  }
  const weights = new Map<Candidate, number>();
  for (const list of [singles, phrases])
    list
      .filter(({ score }) => score > 0)
      .sort((a, b) => b.score - a.score || (a.candidate.key < b.candidate.key ? -1 : 1))
      .forEach(({ candidate }, rank) => {
        weights.set(candidate, 1 / (FUSION + rank + 1));
      });
  return [...weights]
    .sort(([a, left], [b, right]) => right - left || b.uses - a.uses || (a.key < b.key ? -1 : 1))
    .filter(
      ([candidate]) =>
        !(longer.get(candidate.key) ?? []).some(
          (holder) => weights.has(holder) && holder.uses >= candidate.uses * WITHIN,
        ),
    )
    .slice(0, MOST)
    .map(([candidate, weight]) => termOf(candidate, weight, readings));
}

/** For each candidate the longer ones that hold it. */
function holdersOf(candidates: ReadonlyMap<string, Candidate>): Map<string, Candidate[]> {
  const holders = new Map<string, Candidate[]>();
  for (const candidate of candidates.values()) {
    const parts = candidate.key.split(' ');
    const inside = new Set<string>();
    for (let from = 0; from < parts.length; from++)
      for (let to = from + 1; to <= parts.length; to++)
        if (to - from < parts.length) inside.add(parts.slice(from, to).join(' '));
    for (const key of inside)
      if (candidates.has(key)) holders.set(key, [...(holders.get(key) ?? []), candidate]);
  }
  return holders;
}

function termOf(candidate: Candidate, weight: number, readings: readonly PageReading[]): Term {
  const forms = new Map<string, number>();
  const rates = candidate.pages.map((at) => {
    const { count, form } = readings[at].grams.get(candidate.key)!;
    forms.set(form, (forms.get(form) ?? 0) + 1);
    return (1000 * count) / Math.max(1, readings[at].words);
  });
  const [form] = [...forms].reduce((best, next) => (next[1] > best[1] ? next : best));
  const share = candidate.pages.length / readings.length;
  return {
    key: candidate.key,
    form,
    group: share >= STAPLE ? 'staple' : 'supporting',
    heading: candidate.inHeadings / readings.length >= SUPPORTING,
    pages: candidate.pages.map((at) => readings[at].page.address),
    band: bandOf(rates)!,
    weight,
  };
}
