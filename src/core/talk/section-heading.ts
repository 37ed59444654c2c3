import { CORPUS_WORDS, wordCount } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import type { HeadingWord, HeadingWords } from './heading-words.ts';

/** A sentence that a heading may be taken from. */
export interface HeadingSource {
  words: readonly HeadingWord[];
  /** A comma or other mark stands behind the word. */
  parted: readonly boolean[];
  asks: boolean;
}

/** Where a heading was found: the sentence, and its words from and up to. */
export interface HeadingPlace {
  sentence: number;
  from: number;
  to: number;
}

/** Words of the longest heading, and sentences of a section that are looked at. */
const MOST_WORDS = 8;
const MOST_SENTENCES = 12;
/** Leads of what a talk announces: what follows is its name. */
const ANNOUNCES =
  /\b(?:talk(?:ing)? (?:a (?:bit|little) )?about|look at|move on to|start with|begin with|get to|turn to|come to|tell you about|(?:thing|question|part|point|mistake|topic|step|rule|one|piece)(?: (?:i|you|we|people) (?:\w+ ){0,3})? is|number \w+ is|what about|how about|as for|when it comes to|speaking of)$/;
/** What is announced is the name of what comes, however common its words. */
const ANNOUNCED = 3;
/** Sentences at a section's beginning in which something is announced, or asked. */
const AT_FIRST = 4;
const OPENERS = anyOf('so and but now okay then well');
const FOLLOWS = anyOf('and but because so first now when if which today');

/** Weights of the words of each section by their stems: frequent in it, seldom elsewhere in the talk and in English. */
export function sectionWeights(
  sections: readonly (readonly string[])[],
  words: HeadingWords,
): ReadonlyMap<string, number>[] {
  const holders = new Map<string, number>();
  const uses = sections.map((forms) => {
    const own = new Map<string, { count: number; form: string }>();
    for (const form of forms) {
      const { key, telling } = words.of(form);
      if (!telling) continue;
      const known = own.get(key);
      if (known) known.count += 1;
      else {
        own.set(key, { count: 1, form });
        holders.set(key, (holders.get(key) ?? 0) + 1);
      }
    }
    return own;
  });
  return uses.map(
    (own) =>
      new Map(
        [...own].map(([key, { count, form }]) => {
          const rare = Math.log(CORPUS_WORDS / (wordCount(form) + 30)) / 14;
          const seldom = Math.log(1 + sections.length / (holders.get(key) ?? 1));
          return [key, Math.log(1 + count) * seldom * Math.max(0.05, rare - 0.25)] as const;
        }),
      ),
  );
}

/** How well a heading may begin with a word. */
function beginning(run: readonly HeadingWord[]): number {
  const [first] = run;
  if (first.lead) {
    const asks =
      run.length >= 3 &&
      run.slice(1).some(({ form, auxiliary }) => auxiliary || /^(?:to|you|we|i)$/.test(form));
    return asks ? 1.45 : 0.4;
  }
  if (first.gerund && first.part !== 'n') return run.length === 1 ? 0.3 : 1.25;
  if (first.told) return 0.3;
  if (first.part === 'v' || first.part === 'r') return 0.7;
  if (first.determiner) return /^(?:the|your|my|our)$/.test(first.form) ? 0.97 : 0.6;
  return first.stop ? 0.7 : 1;
}

/** How much a run of words names of its section; 0 where it is no heading. */
function rate(
  { words, parted }: HeadingSource,
  from: number,
  to: number,
  weights: ReadonlyMap<string, number>,
): number {
  const last = words[to - 1];
  if (!words[from].starts || !last.telling || last.part === 'v' || last.told || last.auxiliary) return 0;
  let sum = 0;
  let verbs = 0;
  let contracted = false;
  for (let at = from; at < to; at++) {
    const word = words[at];
    if (at > from && word.determiner && word.form !== 'that' && words[at - 1].closes) return 0;
    if (word.auxiliary || word.told) verbs += 1;
    contracted ||= word.contracted;
    if (!word.telling) continue;
    let again = false;
    for (let before = from; before < at; before++) again ||= words[before].key === word.key;
    if (!again) sum += weights.get(word.key) ?? 0;
  }
  if (sum === 0) return 0;
  const run = words.slice(from, to);
  let value = (sum / Math.sqrt(run.length + 1.5)) * beginning(run);
  // A finite verb makes a sentence of it, and a heading names.
  if (verbs > 0 && !words[from].lead) value *= 0.55;
  if (contracted) value *= 0.4;
  if (run.length === 1) value *= 0.8;
  // Cut out of the middle of a phrase.
  const after = words[to];
  if (after && !parted[to - 1] && after.telling && after.name && last.name) value *= 0.6;
  const before = words[from - 1];
  if (before && !parted[from - 1] && before.telling && (before.part === 'a' || before.part === 'n'))
    value *= 0.75;
  return value;
}

/** A phrase ends where its sentence does, or where something else begins. */
const isWhole = ({ words, parted }: HeadingSource, to: number): boolean =>
  to === words.length || parted[to - 1] || FOLLOWS.test(words[to].form);

const textOf = (words: readonly HeadingWord[]) => words.map(({ form }) => form).join(' ');

/** The heading that a sentence offers: the whole of it where it asks, else the best run of its words. */
function offerOf(
  source: HeadingSource,
  sentence: number,
  weights: ReadonlyMap<string, number>,
  taken: ReadonlySet<string>,
): (HeadingPlace & { rate: number }) | null {
  const { words, parted, asks } = source;
  const opener = OPENERS.test(words[0]?.form ?? '') ? 1 : 0;
  const wonders =
    sentence < AT_FIRST && (words[opener]?.lead ?? false) && (words[opener + 1]?.auxiliary ?? false);
  const near = sentence < 3 ? 1.5 - 0.15 * sentence : 1;
  let best: (HeadingPlace & { rate: number }) | null = null;
  const offer = (from: number, to: number, value: number) => {
    if (value > (best?.rate ?? 0) && !taken.has(textOf(words.slice(from, to))))
      best = { sentence, from, to, rate: value };
  };
  if (asks && sentence < AT_FIRST - 1 && words.length >= 4 && words.length <= 13) {
    let sum = 0;
    for (const key of new Set(words.map((word) => word.key))) sum += weights.get(key) ?? 0;
    if (sum > 0)
      offer(opener, words.length, ANNOUNCED * (1 + sum / Math.sqrt(words.length)) - 0.2 * sentence);
  }
  for (let from = 0; from < words.length; from++) {
    if (!words[from].starts) continue;
    const announced =
      (wonders && from === opener) ||
      (sentence < AT_FIRST && from > 0 && ANNOUNCES.test(textOf(words.slice(Math.max(0, from - 10), from))));
    for (let to = from + 1; to <= Math.min(words.length, from + MOST_WORDS); to++) {
      if (to - 1 > from && parted[to - 2]) break;
      const rated = rate(source, from, to, weights);
      if (rated === 0) continue;
      offer(from, to, announced ? ANNOUNCED * (1 + rated) * (isWhole(source, to) ? 1.3 : 1) : rated * near);
    }
  }
  return best;
}

/**
 * A heading for a section in the speaker's own words: a run of up to eight words as they were said, the one that names most of
 * what the section tells and the others do not. What the speaker announces ("let's talk about …"), and a question near the
 * beginning, come first. Null where the section tells nothing.
 *
 * @param taken headings that other sections have, folded
 */
export function sectionHeading(
  sources: readonly HeadingSource[],
  weights: ReadonlyMap<string, number>,
  taken: ReadonlySet<string>,
): HeadingPlace | null {
  let best: (HeadingPlace & { rate: number }) | null = null;
  for (const [sentence, source] of sources.slice(0, MOST_SENTENCES).entries()) {
    const offer = offerOf(source, sentence, weights, taken);
    if (offer && offer.rate > (best?.rate ?? 0)) best = offer;
  }
  return best;
}
