import {
  MATCH_COUNTS,
  MATCH_VALUES,
  matchingOf,
  PhraseMatcher,
  plainWords,
  tokenize,
  type Vocabulary,
} from '../language/index.ts';
import { phraseStems, researchStem } from './phrase-stems.ts';

/** What of a page tells what it is about. */
export interface PageText {
  title: string;
  description: string;
  headings: readonly string[];
  /** Blocks of the article in order, without headings. */
  blocks: readonly string[];
}

/** What each place is worth. The title names what a page promises; the body shows whether it keeps it. */
const WORTH = { title: 0.4, headings: 0.2, opening: 0.2, body: 0.2 };
/** Uses a thousand words of somebody who writes about nothing else. */
const FULL_RATE = 6;
const OPENING_WORDS = 120;
/** Its words without the phrase itself are worth so much, where all of them are there. */
const WORDS_ALONE = 0.7;

/** What of many phrases stands in a text, 0-1 each. */
type Reader = (text: string) => Float64Array;

function readerOf(phrases: readonly string[], vocabulary: Vocabulary, matcher: PhraseMatcher): Reader {
  const wanted = phrases.map(phraseStems);
  return (text) => {
    const values = new Float64Array(phrases.length);
    const there = new Set(plainWords(text.toLowerCase()).map(researchStem));
    wanted.forEach((stems, at) => {
      const share = stems.length === 0 ? 0 : stems.filter((stem) => there.has(stem)).length / stems.length;
      values[at] = WORDS_ALONE * share * share;
    });
    for (const match of matcher.match(text, tokenize(text, vocabulary)))
      values[match.phrase] = Math.max(values[match.phrase], MATCH_VALUES[match.kind]);
    return values;
  };
}

/**
 * How squarely a page answers each of many phrases, 0-1. Title (0.4), headings (0.2) and the first 120 words (0.2) count
 * by the best match value of the phrase there, or by 0.7 times the squared share of its word stems; the body (0.2) by
 * how often it uses the phrase, up to six times in 1,000 words.
 */
export function squareness(
  page: PageText,
  phrases: readonly string[],
  vocabulary: Vocabulary,
  matcher: PhraseMatcher = new PhraseMatcher(phrases, vocabulary, matchingOf('en')),
): Float64Array {
  const out = new Float64Array(phrases.length);
  const read = readerOf(phrases, vocabulary, matcher);
  const best = (texts: readonly string[], worth: number) => {
    const values = new Float64Array(phrases.length);
    for (const text of texts) {
      if (!text) continue;
      const here = read(text);
      for (let at = 0; at < values.length; at++) values[at] = Math.max(values[at], here[at]);
    }
    for (let at = 0; at < out.length; at++) out[at] += worth * values[at];
  };
  best([page.title], WORTH.title);
  best(page.headings, WORTH.headings);
  const uses = new Float64Array(phrases.length);
  const opening: string[] = [];
  let words = 0;
  for (const text of page.blocks) {
    const tokens = tokenize(text, vocabulary);
    if (words < OPENING_WORDS) opening.push(text);
    words += tokens.words;
    for (const match of matcher.match(text, tokens)) uses[match.phrase] += MATCH_COUNTS[match.kind];
  }
  best([page.description, ...opening], WORTH.opening);
  const full = Math.max(1, (words / 1000) * FULL_RATE);
  for (let at = 0; at < out.length; at++) out[at] += WORTH.body * Math.min(1, uses[at] / full);
  return out;
}
