import type { WordBases } from '../language/index.ts';
import { matterOf, stemsSaid } from '../meaning/index.ts';
import { bareHeading } from './heading-words.ts';
import { NAMELESS } from './nameless.ts';
import type { PageReading } from './study-page.ts';

/** Shares that texts and headings have in how alike two sections are. */
const TEXT = 0.55;
const HEADING = 0.45;

/** Headings that tell nothing of what stands below them. */
const BOILERPLATE =
  /^(?:contents|conclusion|summary|final (?:thoughts|word)|wrapping up|faq|questions(?: .*)?|about us|comments?|read next|more|notes?|references|sources|limits(?: .*)?|bottom line|at a glance|in short|the short version|pro tip|checklist|afterwards|before you go|results|numbers|data|why|customers also .*|you (?:may|might) .*|read .*|delivery.*|related.*|share .*)\W*$/i;
/** Labels of a part's kind: they stand on any page and name no matter. */
const LABEL =
  /^(?:name|synopsis|description|remarks?|warnings?|caution|important|tips?|hints?|see also|authors?|credits|copyright.*|licen[cs]e|acknowledge?ments?|contribut(?:e|ing|ors?)|parameters?|arguments?|args|returns?(?: values?)?|fields?|functions?|methods?|module contents|classes|history|change ?log|revisions?|index|introduction|overview|abstract|preface|foreword|conventions?|basics|the basics|details|general|other|others|misc(?:ellaneous)?|further reading|(?:additional |recommended |further )+reading|bibliography|glossary|appendix|exercises?|support|bugs|diagnostics|exit status|example \d+|step \d+|welcome|motivation|scope|definitions?|background|(?:some )?things to keep in mind|table of contents|about (?:this|the) .*|version|state|sponsors?|prerequisites?|what this .*|types?|info|values?|what is this|when (?:should i|to) use this|why use this)\W*$/i;
/** The heading of a function or an option, not of prose. */
const SIGNATURE = /\(.*\)\s*$|^[\w.-]*[a-z][A-Z]\w*\W*$|[{}[\]`=\\]|^--?\w|^\/|::|^\w+\.\w+$/;
/** A label that a page uses so often parts nothing. */
const REPEATED = 3;
const FEWEST_WORDS = 12;
/** Words of headings that ask or order rather than name. */
const ASKING = new Set('need know use make get take best good way tip thing guide start first'.split(' '));

/** A section that may belong to a topic. */
export interface Piece {
  /** Index of its page. */
  page: number;
  section: number;
  heading: string;
  headingStems: number[];
}

/** A stem with its weight in a section. */
type Weighted = [stem: number, weight: number][];

function normed(weights: Weighted): Weighted {
  const length = Math.sqrt(weights.reduce((sum, [, weight]) => sum + weight * weight, 0)) || 1;
  for (const pair of weights) pair[1] /= length;
  return weights;
}

/** Likeness of every two sections of a set of pages; pages may be left out of it later. */
export class SectionLikeness {
  readonly pieces: Piece[] = [];
  /** For each piece its stems with their weights, of length 1. */
  readonly vectors: Weighted[];
  /** The matters that a heading names, by their stems: words of one matter as one, without the query's. */
  readonly mattersOf: (heading: string) => ReadonlySet<number>;
  private readonly matrix: Float32Array;

  constructor(
    readonly readings: readonly PageReading[],
    readonly bases: WordBases,
    query: string,
  ) {
    const subject = new Set(bases.stemsOf(query));
    /** The stem that stands for a matter; -1 for what every page of the query speaks of, and for what names nothing. */
    const matter = (each: number): number => {
      if (subject.has(each) || NAMELESS.has(bases.stemText(each))) return -1;
      const stands = matterOf(bases.stemText(each));
      return stands === bases.stemText(each) ? each : bases.stemNumber(stands);
    };
    this.mattersOf = (heading) =>
      new Set(
        stemsSaid(heading, bases)
          .map((each) => (ASKING.has(each) ? -1 : matter(bases.stemNumber(each))))
          .filter((each) => each >= 0),
      );
    readings.forEach(({ sections }, page) => {
      const met = new Map<string, number>();
      for (const { heading } of sections) {
        const key = bareHeading(heading).toLowerCase();
        met.set(key, (met.get(key) ?? 0) + 1);
      }
      sections.forEach((each, section) => {
        if (!each.heading || each.words < FEWEST_WORDS) return;
        const heading = bareHeading(each.heading);
        if (BOILERPLATE.test(heading) || LABEL.test(heading) || SIGNATURE.test(heading)) return;
        if (met.get(heading.toLowerCase())! >= REPEATED) return;
        const headingStems = [...this.mattersOf(heading)];
        this.pieces.push({ page, section, heading, headingStems });
      });
    });
    const size = this.pieces.length;
    const counts = this.pieces.map(({ page, section }) => {
      const sum = new Map<number, number>();
      for (const [each, count] of readings[page].sections[section].stems) {
        const stands = matter(each);
        if (stands >= 0) sum.set(stands, (sum.get(stands) ?? 0) + count);
      }
      return sum;
    });
    const spread = new Map<number, number>();
    for (const sum of counts) for (const each of sum.keys()) spread.set(each, (spread.get(each) ?? 0) + 1);
    const rarity = (each: number) => Math.log(1 + size / (spread.get(each) ?? 1));
    this.vectors = counts.map((sum) =>
      normed(
        [...sum]
          // What stands in one section alone is like nothing.
          .filter(([each]) => spread.get(each)! > 1)
          .map(([each, count]) => [each, (1 + Math.log(count)) * rarity(each)]),
      ),
    );
    const headings = this.pieces.map(({ headingStems }) =>
      normed(headingStems.map((each) => [each, rarity(each)])),
    );
    this.matrix = new Float32Array(size * size);
    this.addUp(this.vectors, TEXT);
    this.addUp(headings, HEADING);
  }

  /** Adds the cosines of all pairs: each stem meets only the sections that hold it. */
  private addUp(vectors: readonly Weighted[], part: number): void {
    const size = this.pieces.length;
    const holders = new Map<number, { at: number[]; weights: number[] }>();
    vectors.forEach((vector, at) => {
      for (const [stem, weight] of vector) {
        let list = holders.get(stem);
        if (!list) {
          list = { at: [], weights: [] };
          holders.set(stem, list);
        }
        list.at.push(at);
        list.weights.push(weight);
      }
    });
    for (const { at, weights } of holders.values())
      for (let a = 0; a < at.length; a++) {
        const row = at[a] * size;
        const weight = part * weights[a];
        for (let b = a + 1; b < at.length; b++) this.matrix[row + at[b]] += weight * weights[b];
      }
    for (let a = 0; a < size; a++)
      for (let b = a + 1; b < size; b++) this.matrix[b * size + a] = this.matrix[a * size + b];
  }

  between(a: number, b: number): number {
    return this.matrix[a * this.pieces.length + b];
  }
}
