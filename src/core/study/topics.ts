import { isStopWord, plainWords, stem } from '../language/index.ts';
import { quantile } from './bands.ts';
import type { PageReading } from './study-page.ts';

/** A section of one page, as a topic lists it. */
export interface TopicSection {
  address: string;
  heading: string;
  words: number;
}

/** What several pages have a section about. */
export interface Topic {
  /** The heading that is nearest to all of its headings. */
  name: string;
  sections: TopicSection[];
  /** Share of the pages that have it, 0-1. */
  share: number;
  /** Where it begins on a page, as a share of the page: the median. */
  position: number;
  /** Words: the median. */
  words: number;
}

const TEXT = 0.55;
const HEADING = 0.45;
/** Sections that are less alike on average are two topics. */
const ALIKE = 0.2;
const BOILERPLATE =
  /^(?:contents|conclusion|summary|final (?:thoughts|word)|wrapping up|faq|questions(?: .*)?|about us|comments?|read next|more|notes?|references|sources|limits|bottom line|at a glance|in short|the short version|pro tip|checklist)\W*$/i;

type Vector = Map<string, number>;

/** A section that may belong to a topic. */
interface Piece {
  reading: PageReading;
  section: number;
  heading: string;
  headingStems: string[];
  textStems: string[];
}

/** A heading without its number: "3. Tyres" and "Step 3: tyres" are about tyres. */
export const bareHeading = (heading: string): string =>
  heading
    .replace(/^(?:(?:step|chapter|part|day|tip|stage)\s+)?\d+[.):]?\s+(?=\S)/i, '')
    .replace(/^\*+|\*+$/g, '')
    .trim() || heading;

function stemsOf(text: string): string[] {
  const stems = plainWords(text.toLowerCase())
    .filter((word) => !isStopWord(word) && /\p{L}/u.test(word))
    .map(stem);
  // Two words that follow each other say more than each alone.
  return [...stems, ...stems.slice(1).map((next, at) => `${stems[at]} ${next}`)];
}

/** Sections of pages with their stems; made once for each page. */
const known = new WeakMap<PageReading, Piece[]>();

function piecesOf(reading: PageReading): Piece[] {
  let pieces = known.get(reading);
  if (!pieces) {
    pieces = reading.sections.flatMap(({ heading, text, words }, section) =>
      heading && !BOILERPLATE.test(heading) && words >= 8
        ? [
            {
              reading,
              section,
              heading: bareHeading(heading),
              headingStems: stemsOf(bareHeading(heading)),
              textStems: stemsOf(`${heading} ${text}`),
            },
          ]
        : [],
    );
    known.set(reading, pieces);
  }
  return pieces;
}

function vectorOf(stems: readonly string[], weightOf: (stem: string) => number): Vector {
  const vector: Vector = new Map();
  for (const each of stems) vector.set(each, (vector.get(each) ?? 0) + 1);
  let length = 0;
  for (const [each, count] of vector) {
    const value = (1 + Math.log(count)) * weightOf(each);
    vector.set(each, value);
    length += value * value;
  }
  const norm = Math.sqrt(length) || 1;
  for (const [each, value] of vector) vector.set(each, value / norm);
  return vector;
}

function cosine(a: Vector, b: Vector): number {
  const [small, large] = a.size < b.size ? [a, b] : [b, a];
  let sum = 0;
  for (const [each, value] of small) sum += value * (large.get(each) ?? 0);
  return sum;
}

/** Likeness of every two sections of a set of pages; pages may be left out of it later. */
export class SectionLikeness {
  readonly pieces: Piece[];
  private readonly matrix: Float32Array;

  constructor(readings: readonly PageReading[]) {
    this.pieces = readings.flatMap(piecesOf);
    const size = this.pieces.length;
    const spread = new Map<string, number>();
    for (const { textStems } of this.pieces)
      for (const each of new Set(textStems)) spread.set(each, (spread.get(each) ?? 0) + 1);
    const weightOf = (each: string) => Math.log(1 + size / (spread.get(each) ?? 1));
    // What stands in one section alone is like nothing.
    const shared = (stems: readonly string[]) => stems.filter((each) => (spread.get(each) ?? 0) > 1);
    const texts = this.pieces.map(({ textStems }) => vectorOf(shared(textStems), weightOf));
    const headings = this.pieces.map(({ headingStems }) => vectorOf(headingStems, weightOf));
    this.matrix = new Float32Array(size * size);
    for (let a = 0; a < size; a++)
      for (let b = a + 1; b < size; b++) {
        const alike = TEXT * cosine(texts[a], texts[b]) + HEADING * cosine(headings[a], headings[b]);
        this.matrix[a * size + b] = alike;
        this.matrix[b * size + a] = alike;
      }
  }

  between(a: number, b: number): number {
    return this.matrix[a * this.pieces.length + b];
  }
}

/** Groups of indices by average linkage: the two nearest groups become one until none are alike enough. */
function linked(members: readonly number[], likeness: SectionLikeness): number[][] {
  const groups: (number[] | null)[] = members.map((each) => [each]);
  const size = groups.length;
  // Sums of likeness between groups; the mean decides.
  const sums = new Float64Array(size * size);
  for (let a = 0; a < size; a++)
    for (let b = 0; b < size; b++)
      sums[a * size + b] = a === b ? 0 : likeness.between(members[a], members[b]);
  const mean = (a: number, b: number) => sums[a * size + b] / (groups[a]!.length * groups[b]!.length);
  const nearest = new Int32Array(size).fill(-1);
  const nearness = new Float64Array(size);
  const look = (a: number) => {
    nearest[a] = -1;
    nearness[a] = 0;
    for (let b = 0; b < size; b++) {
      if (b === a || !groups[b]) continue;
      const value = mean(a, b);
      if (value > nearness[a]) {
        nearest[a] = b;
        nearness[a] = value;
      }
    }
  };
  for (let a = 0; a < size; a++) look(a);
  for (;;) {
    let best = -1;
    for (let a = 0; a < size; a++)
      if (groups[a] && nearest[a] >= 0 && (best < 0 || nearness[a] > nearness[best])) best = a;
    if (best < 0 || nearness[best] < ALIKE) break;
    const other = nearest[best];
    groups[best] = [...groups[best]!, ...groups[other]!];
    groups[other] = null;
    for (let b = 0; b < size; b++) {
      sums[best * size + b] += sums[other * size + b];
      sums[b * size + best] = sums[best * size + b];
    }
    look(best);
    for (let a = 0; a < size; a++)
      if (
        groups[a] &&
        a !== best &&
        (nearest[a] === other || nearest[a] === best || mean(a, best) > nearness[a])
      )
        look(a);
  }
  return groups.filter((group): group is number[] => group !== null);
}

const median = (values: number[]) =>
  quantile(
    [...values].sort((a, b) => a - b),
    0.5,
  );

/**
 * Sections of the pages taken in, grouped by what they say (average linkage over 0.55 x likeness of texts and 0.45 x
 * likeness of headings, stems and pairs of stems weighed by how rare they are, cut at 0.2) and named by the heading
 * nearest to the others. Topics of at least two pages, those of most pages first.
 */
export function topicsOf(readings: readonly PageReading[], likeness: SectionLikeness): Topic[] {
  const taken = new Set(readings);
  const members = likeness.pieces.flatMap(({ reading }, at) => (taken.has(reading) ? [at] : []));
  return linked(members, likeness)
    .map((group): Topic => {
      const pieces = group.map((at) => likeness.pieces[at]);
      const pages = new Set(pieces.map(({ reading }) => reading));
      const central = group.reduce((best, at) => {
        const near = (each: number) =>
          group.reduce((sum, other) => sum + (other === each ? 0 : likeness.between(each, other)), 0);
        return near(at) > near(best) ? at : best;
      });
      const sections = pieces.map(({ reading, section }) => reading.sections[section]);
      return {
        name: likeness.pieces[central].heading,
        sections: pieces.map(({ reading, section }) => ({
          address: reading.page.address,
          heading: reading.sections[section].heading,
          words: reading.sections[section].words,
        })),
        share: pages.size / Math.max(1, readings.length),
        position: median(sections.map(({ begins }) => begins)),
        words: median(sections.map(({ words }) => words)),
      };
    })
    .filter(({ sections }) => new Set(sections.map(({ address }) => address)).size >= 2)
    .sort((a, b) => b.share - a.share || a.position - b.position || (a.name < b.name ? -1 : 1));
}
