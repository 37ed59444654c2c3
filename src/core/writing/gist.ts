import { tellingStems } from '../language/index.ts';
import { standsAlone } from './known/index.ts';

/** A sentence of a text with where it stands. */
export interface PlacedSentence {
  text: string;
  /** Index of the section. */
  section: number;
  /** Place within its paragraph; 0 is the first. */
  inParagraph: number;
  /** Place of its paragraph within the section; 0 is the first. */
  paragraph: number;
}

/** What a text is about beside its sentences: its title and keyword, and the heading of each section. */
export interface GistSubject {
  title: string;
  headings: readonly string[];
}

/** What a sentence's rate is made of: how central it is, how much of the title and of its heading it holds, that it tells a figure, and its length. */
const CENTRAL = 0.15;
const OF_TITLE = 0.3;
const OF_HEADING = 0.1;
const TELLS_FIGURE = 0.15;
const FULL = 0.1;
/** Telling words from which a sentence is as full as it needs to be. */
const FULL_STEMS = 12;
/** What its place adds: in the text's first paragraph, at the head of a section, of a paragraph, behind that; and takes at the text's end. */
const OPENS_TEXT = 0.35;
const OPENS_SECTION = 0.1;
const OPENS_PARAGRAPH = 0.06;
const SECOND = 0.05;
const AT_END = -0.15;
/** What a sentence loses that only asks the reader to come, book or read elsewhere. */
const CALLING = -0.3;
/** Two sentences that share so much of the shorter one say the same. */
const SAME = 0.55;
/** Telling words without which a sentence says little. */
const LEAST_STEMS = 3;
/** How much of its rate a sentence loses for what was said by those chosen before it. */
const NOVELTY = 0.6;

/** A number, in digits or in words. */
const FIGURE =
  /\d|\b(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|hundred|half|a (?:third|quarter|fifth|sixth|tenth)|twice|every)\b/i;
/** What asks the reader to do something with the house. */
const CALLS =
  /\b(?:tell us|send us|write to us|call us|come to (?:the|our)|book (?:a|your|now)|rent (?:a|one|whatever)|our (?:rental|shop|page|newsletter)|reserve it|(?:is|are) (?:explained|described|given) (?:under|below|there))\b/i;

/** What a sentence's place in its text is worth. */
function placeOf({ section, paragraph, inParagraph }: PlacedSentence, lastSection: number): number {
  const end = section === lastSection && section > 0 ? AT_END : 0;
  if (section === 0 && paragraph === 0)
    return OPENS_TEXT * (inParagraph === 0 ? 1 : inParagraph < 3 ? 0.7 : 0.3) + end;
  if (inParagraph > 1) return end;
  if (inParagraph === 1) return SECOND + end;
  return (paragraph === 0 ? OPENS_SECTION : OPENS_PARAGRAPH) + end;
}

interface Rated {
  at: number;
  stems: ReadonlySet<string>;
  rate: number;
}

/**
 * The sentences that say most of a text, the best first: central to it (degree in the graph of likeness, after G. Erkan and
 * D. Radev, "LexRank", JAIR 22, 2004), about its title and headings, telling a figure, near the beginning of the text, of a section or of a paragraph; each
 * one saying something that those before it do not (maximal marginal relevance, J. Carbonell and J. Goldstein, SIGIR 1998). Only
 * sentences that can stand alone.
 *
 * @returns indices into `sentences`, at most `most`
 */
export function gistOf(
  sentences: readonly PlacedSentence[],
  { title, headings }: GistSubject,
  most: number,
  mayStand: (text: string) => boolean = standsAlone,
): number[] {
  const everywhere = sentences.map(({ text }) => tellingStems(text));
  const usable = sentences.flatMap(({ text }, at) =>
    everywhere[at].size >= LEAST_STEMS && mayStand(text) ? [{ at, stems: everywhere[at] }] : [],
  );
  if (usable.length === 0 || most <= 0) return [];
  const holders = new Map<string, number>();
  for (const stems of everywhere) for (const each of stems) holders.set(each, (holders.get(each) ?? 0) + 1);
  const rarity = (each: string) => Math.log(1 + sentences.length / (holders.get(each) ?? 1));
  // Degree by an inverted index: the weight that a sentence shares with all others.
  const lengths = everywhere.map(
    (stems) => Math.sqrt([...stems].reduce((sum, each) => sum + rarity(each) ** 2, 0)) || 1,
  );
  const reach = new Map<string, number>();
  everywhere.forEach((stems, at) => {
    for (const each of stems) reach.set(each, (reach.get(each) ?? 0) + rarity(each) ** 2 / lengths[at]);
  });
  const subject = tellingStems(title);
  const heads = headings.map((heading) => tellingStems(heading));
  const degrees = usable.map(({ at, stems }) => {
    let sum = 0;
    for (const each of stems) sum += (reach.get(each) ?? 0) - rarity(each) ** 2 / lengths[at];
    return sum / lengths[at];
  });
  const highest = Math.max(...degrees, 1e-9);
  const lastSection = sentences[sentences.length - 1].section;
  const rated: Rated[] = usable.map(({ at, stems }, index) => {
    const { section, text } = sentences[at];
    const rate =
      CENTRAL * (degrees[index] / highest) +
      OF_TITLE * shareOf(subject, stems) +
      OF_HEADING * shareOf(heads[section] ?? new Set(), stems) +
      FULL * Math.min(1, stems.size / FULL_STEMS) +
      (FIGURE.test(text) ? TELLS_FIGURE : 0) +
      (CALLS.test(text) ? CALLING : 0) +
      placeOf(sentences[at], lastSection);
    return { at, stems, rate };
  });
  // How much of each was said by those chosen so far.
  const said = new Float64Array(rated.length);
  const chosen: number[] = [];
  while (chosen.length < most) {
    let best = -1;
    let bestValue = Number.NEGATIVE_INFINITY;
    rated.forEach(({ rate, at }, index) => {
      if (said[index] >= SAME) return;
      const value = rate * (1 - NOVELTY * said[index]);
      if (value > bestValue || (value === bestValue && sentences[at].text < sentences[rated[best].at].text)) {
        best = index;
        bestValue = value;
      }
    });
    if (best === -1) break;
    chosen.push(rated[best].at);
    const last = rated[best].stems;
    rated.forEach(({ stems }, index) => {
      if (said[index] < SAME) said[index] = Math.max(said[index], overlap(stems, last));
    });
    said[best] = 1;
  }
  return chosen;
}

function shareOf(wanted: ReadonlySet<string>, stems: ReadonlySet<string>): number {
  if (wanted.size === 0) return 0;
  let both = 0;
  for (const each of wanted) if (stems.has(each)) both += 1;
  return both / wanted.size;
}

/** Share of the shorter one's telling words that both hold. */
function overlap(one: ReadonlySet<string>, other: ReadonlySet<string>): number {
  const [short, long] = one.size < other.size ? [one, other] : [other, one];
  return shareOf(short, long);
}
