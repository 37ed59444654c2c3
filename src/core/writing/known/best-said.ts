import { tellingStems, type WordBases } from '../../language/index.ts';
import { SAYS, SAYS_IN_TEXT, saying, stemsSaid, type Want, wantOf } from '../../meaning/index.ts';
import type { PageReading } from '../../study/index.ts';
import { sentencesIn } from '../sentences.ts';
import { standsAlone } from './central-sentences.ts';

/** A section of a text that is searched: its heading and its sentences in order. */
export interface SaidSection {
  heading: string;
  sentences: string[];
}

/** A sentence that says what was wanted, with how well it does. */
export interface BestSaid {
  text: string;
  /** Above 0; comparable between texts for one want. */
  value: number;
  /** How far the sentence says it by itself, 0-1. */
  alone: number;
}

/** Below a heading that says what is wanted the first sentences answer it. */
const BELOW_HEADING = 0.6;
/** What a figure counts where an amount is asked for. */
const FIGURE = 0.7;
const ASKS_AMOUNT =
  /^how (?:much|many|long|far|often|heavy|big|large|old|fast|high|wide|deep|hot|cold|hard|tight)\b/i;
/** What it counts that a sentence tells what to do, where that is asked. */
const TELLS = 0.35;
const ASKS_HOW = /^how (?:to|do|can|should|does) (?:i|you|we|one)?\b/i;
const TELLS_HOW =
  /\b(?:you can|you (?:need|have) to|by \p{Ll}+ing|use|run|type|press|set|put|take|make sure|with the)\b/iu;
/** Two sentences that share so many of the shorter one's stems say the same. */
const SAME = 0.6;

/** The sections of a page of a study, without what stands in tables and quotes. */
export function saidSections({ blocks, sections }: PageReading): SaidSection[] {
  const out = sections.map(({ heading }): SaidSection => ({ heading, sentences: [] }));
  for (const { block, section } of blocks) {
    if (block.kind !== 'paragraph' || block.path.some(({ type }) => type === 'cell' || type === 'quote'))
      continue;
    out[section]?.sentences.push(...sentencesIn(block.text));
  }
  return out;
}

/** What is wanted of a text: beside the query that all of it is about, and with it. */
export interface Wanted {
  beyond: Want;
  whole: Want;
}

export const wantedOf = (text: string, query: string, bases: WordBases): Wanted => ({
  beyond: wantOf(text, new Set(stemsSaid(query, bases)), bases),
  whole: wantOf(text, new Set(), bases),
});

/**
 * The sentences of a text that say what is wanted, the best first, none twice: each stands alone, and says it together with its
 * neighbour and its heading as far as passages have to ({@link SAYS_IN_TEXT}), or stands near the top below a heading that does.
 */
export function bestSaid(
  { beyond, whole }: Wanted,
  sections: readonly SaidSection[],
  most: number,
  bases: WordBases,
): BestSaid[] {
  const found: BestSaid[] = [];
  const asksHow = ASKS_HOW.test(whole.text.trim());
  const isAmount = ASKS_AMOUNT.test(whole.text.trim());
  for (const { heading, sentences } of sections) {
    const head = new Set(stemsSaid(heading, bases));
    const headed = saying(beyond, (each) => head.has(each)) >= SAYS;
    const stems = sentences.map((text) => new Set(stemsSaid(text, bases)));
    sentences.forEach((text, at) => {
      if (!standsAlone(text)) return;
      const alone = saying(beyond, (each) => stems[at].has(each));
      const near = saying(
        beyond,
        (each) => stems[at].has(each) || head.has(each) || (stems[at + 1]?.has(each) ?? false),
      );
      if (!headed && (near < SAYS_IN_TEXT || alone === 0)) return;
      // A sentence that names the query too is about it: others only happen to hold the rest.
      const all = saying(whole, (each) => stems[at].has(each));
      // Whoever asks how much wants a figure: where it stands in the next sentence, both are the answer.
      const next = sentences[at + 1] ?? '';
      const isFigured = /\d/.test(text);
      const withNext = isAmount && !isFigured && /\d/.test(next) && !next.endsWith('?');
      const told = asksHow && TELLS_HOW.test(text) ? TELLS : 0;
      const figure = !isAmount ? 0 : isFigured ? FIGURE : withNext ? FIGURE / 2 : 0;
      found.push({
        text: withNext ? `${text} ${next}` : text,
        value: near + 1.6 * alone + 0.5 * all + figure + told + (headed ? BELOW_HEADING / (1 + at) : 0),
        alone,
      });
    });
  }
  found.sort((a, b) => b.value - a.value || (a.text < b.text ? -1 : 1));
  const chosen: BestSaid[] = [];
  for (const one of found) {
    if (chosen.length === most) break;
    if (!chosen.some(({ text }) => saysSame(text, one.text))) chosen.push(one);
  }
  return chosen;
}

/** Whether two sentences say the same, as far as their telling words go. */
export function saysSame(one: string, other: string): boolean {
  const [a, b] = [tellingStems(one), tellingStems(other)];
  const least = Math.min(a.size, b.size);
  if (least === 0) return one === other;
  return [...a].filter((each) => b.has(each)).length / least >= SAME;
}
