import { hasCompounds, isPartOf, tokenize } from '../language/index.ts';
import type { BlockReader } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';
import { ramp } from './ramp.ts';

/**
 * Share of the sentences that name a word of the keyword in a text that is about it: two of forty. Writers of few words do
 * with so much; what they write of is told by other words.
 */
const NAMED = 0.05;
/** Uses of the phrase in running text that say the same, half as loud. */
const USES = 2;

/** From so many uses on the words of a phrase are looked for apart from it too. */
const LOOKED_APART = 2;
/** Share of the sentences by which words that stand apart from the phrase are counted. */
const NAMED_APART = 0.12;
/**
 * How far the words stand apart from the phrase, by that share: nothing and everything. Whoever writes of
 * waterproof panniers says "the panniers" too; into a text about something else only the phrase is put.
 */
const APART: [number, number] = [0.03, 0.12];
/** Sentences from which that, or what the study says, tells something, and all it can tell. */
const TELLS: [number, number] = [8, 20];

/** Terms that a study must have beside the keyword's own words to tell what is about its subject. */
const TERMS = 10;
/**
 * Share of those terms, weighted by the pages that use them, that a text uses: nothing and everything. Pages held back from
 * three studies used 0.39 to 0.93, pages of the other two 0.31 on average at most.
 */
const LIKE: [number, number] = [0.28, 0.45];

/** Sentences that name a word of the keyword: by its stem, or in a compound where the language writes them as one word. */
function sentencesNaming({ whole, reader: { bases } }: DraftFacts, stem: number): number {
  if (!hasCompounds(bases.code)) return whole.sentencesWith(stem);
  const text = bases.stemText(stem);
  let sum = whole.sentencesWith(stem);
  for (const other of whole.stems())
    if (isPartOf(text, bases.stemText(other))) sum += whole.sentencesWith(other);
  return Math.min(sum, whole.sentences);
}

/** By the words of the keyword, 0 to 1, the rarer the more: the share of sentences that name each, less `without` of them; `full` is all. */
function named(facts: DraftFacts, full: number, without: (at: number) => number): number {
  let sum = 0;
  let weights = 0;
  const { sentences } = facts.whole;
  for (const [at, { stem, weight }] of facts.reader.keywordStems.entries()) {
    sum += weight * Math.min(1, (sentencesNaming(facts, stem) - without(at)) / sentences / full);
    weights += weight;
  }
  return weights === 0 ? 0 : sum / weights;
}

const usesIn = ({ totals }: DraftFacts): number =>
  totals.withUses.reduce((all, { reading }) => all + (reading.prose ? reading.useCount : 0), 0);

/** How far running text names its keyword, 0 to 1: by its words, and by the phrase. */
export function aboutness(facts: DraftFacts): number {
  const byPhrase = Math.min(1, usesIn(facts) / USES);
  return facts.reader.keywordStems.length === 0
    ? byPhrase
    : (2 * named(facts, NAMED, () => 0) + byPhrase) / 3;
}

const told = ({ whole }: DraftFacts, share: number): number =>
  1 - (1 - share) * ramp(whole.sentences, [...TELLS, null, null]);

// The criterion asks when it measures and when it holds back: worked out once.
const apart = new WeakMap<DraftFacts, number>();
const like = new WeakMap<DraftFacts, number>();

/** 0 where a phrase of several words is used and none of them ever stands apart from it; 1 where they do, or none can tell. */
export function apartness(facts: DraftFacts): number {
  let found = apart.get(facts);
  if (found === undefined) {
    found = apartnessOf(facts);
    apart.set(facts, found);
  }
  return found;
}

function apartnessOf(facts: DraftFacts): number {
  if (facts.reader.keywordStems.length < 2 || usesIn(facts) < LOOKED_APART) return 1;
  const within = facts.reader.keywordStems.map(() => 0);
  for (const { reading } of facts.totals.withUses)
    for (let at = 0; at < reading.bound.length; at++) within[at] += reading.bound[at];
  return told(
    facts,
    ramp(
      named(facts, NAMED_APART, (at) => within[at]),
      [...APART, null, null],
    ),
  );
}

const others = new WeakMap<BlockReader, number[]>();

/** Indices of a study's staple terms that are not made of the keyword's own words. */
function otherStaples(reader: BlockReader): number[] {
  let found = others.get(reader);
  if (!found) {
    const { bases, keywordStems, target, vocabulary } = reader;
    const own = new Set(keywordStems.map(({ stem }) => stem));
    found = (target.study?.terms ?? []).flatMap(({ form, group }, at) =>
      group === 'staple' && Array.from(tokenize(form, vocabulary).ids).some((id) => !own.has(bases.stem(id)))
        ? [at]
        : [],
    );
    others.set(reader, found);
  }
  return found;
}

/** How far a text says what the studied pages say, 0 to 1; 1 where there is no study, or one of too few terms. */
export function studyLikeness(facts: DraftFacts): number {
  let found = like.get(facts);
  if (found === undefined) {
    found = likenessOf(facts);
    like.set(facts, found);
  }
  return found;
}

function likenessOf(facts: DraftFacts): number {
  const terms = facts.settings.study?.terms;
  if (!terms) return 1;
  const staples = otherStaples(facts.reader);
  if (staples.length < TERMS) return 1;
  let [used, all] = [0, 0];
  for (const at of staples) {
    all += terms[at].share;
    if (facts.totals.termUses[at] > 0) used += terms[at].share;
  }
  return all === 0 ? 1 : told(facts, ramp(used / all, [...LIKE, null, null]));
}
