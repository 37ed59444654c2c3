import { standsAlone, tellingStems } from './known/index.ts';

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

/** Parts of a sentence's rate, which add up to 1. */
const CENTRAL = 0.45;
const ABOUT = 0.25;
const PLACED = 0.3;
/** Two sentences that share so much of the shorter one say the same. */
const SAME = 0.55;
/** Telling words without which a sentence says little. */
const LEAST_STEMS = 3;
/** How much of its rate a sentence loses for what was said by those chosen before it. */
const NOVELTY = 0.6;

interface Rated {
  at: number;
  stems: ReadonlySet<string>;
  rate: number;
}

/**
 * The sentences that say most of a text, the best first: central to it (degree in the graph of likeness, after G. Erkan and
 * D. Radev, "LexRank", JAIR 22, 2004), about its title and headings, near the beginning of the text, of a section or of a paragraph; each
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
    const { section, paragraph, inParagraph } = sentences[at];
    const ofTitle = shareOf(subject, stems);
    const ofHeading = shareOf(heads[section] ?? new Set(), stems);
    const lead = inParagraph === 0 ? 0.5 : inParagraph === 1 ? 0.2 : 0;
    const opens = paragraph === 0 ? 0.3 : 0;
    const placed =
      lead + opens + (section === 0 && paragraph === 0 ? 0.2 : section === lastSection ? 0.1 : 0);
    return {
      at,
      stems,
      rate:
        CENTRAL * (degrees[index] / highest) +
        ABOUT * (0.65 * ofTitle + 0.35 * ofHeading) +
        PLACED * Math.min(1, placed),
    };
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
