import { quantile } from './bands.ts';
import type { SectionLikeness } from './section-likeness.ts';
import { isNaming, isOwnVoice, nameOne, topicName } from './topic-name.ts';

/** A section of one page, as a topic lists it. */
export interface TopicSection {
  address: string;
  publisher: string;
  heading: string;
  words: number;
}

/** What several pages have a section about. */
export interface Topic {
  /** What most of its headings name, in the form of a heading. */
  name: string;
  sections: TopicSection[];
  /** Addresses of the pages that have it. */
  pages: string[];
  /** Share of the pages taken in that have it, 0-1. */
  share: number;
  /** Where it begins on a page, as a share of the page: the median. */
  position: number;
  /** Words: the median. */
  words: number;
  /** Stems by which its sections are known, with their parts of the weight. */
  stems: [stem: string, weight: number][];
}

/** Sections that are less alike on average are two topics. */
const ALIKE = 0.17;
/** How much less alike sections of one page are taken to be: its writer parted them. */
const APART = 0.02;
/** So much of a topic's weight lies in words of the subject. */
const ABOUT = 0.12;
/** Pages of the smallest topic. */
const FEWEST = 2;
/** Stems by which a topic is known. */
const KNOWN_BY = 12;

/** Groups of indices by average linkage: the two nearest groups become one until none are alike enough. */
function linked(members: readonly number[], likeness: SectionLikeness): number[][] {
  /** Pages of each group, a bit each: a page that has a section of both groups tells them apart. */
  const width = Math.ceil(likeness.readings.length / 32);
  const bits = new Uint32Array(members.length * width);
  members.forEach((member, at) => {
    const { page } = likeness.pieces[member];
    bits[at * width + (page >> 5)] |= 1 << (page & 31);
  });
  const ones = (a: number, b: number) => {
    let count = 0;
    for (let word = 0; word < width; word++) {
      let both = bits[a * width + word] & bits[b * width + word];
      for (; both !== 0; both &= both - 1) count += 1;
    }
    return count;
  };
  const apart = (a: number, b: number) => (APART * ones(a, b)) / Math.min(ones(a, a), ones(b, b));
  const groups: (number[] | null)[] = members.map((each) => [each]);
  const size = groups.length;
  // Sums of likeness between groups; the mean decides.
  const sums = new Float64Array(size * size);
  const nearest = new Int32Array(size).fill(-1);
  const nearness = new Float64Array(size);
  const sizes = new Float64Array(size).fill(1);
  for (let a = 0; a < size; a++)
    for (let b = 0; b < size; b++) {
      if (a === b) continue;
      const alike = likeness.between(members[a], members[b]);
      sums[a * size + b] = alike;
      const value = alike === 0 ? 0 : alike - apart(a, b);
      if (value > nearness[a]) {
        nearest[a] = b;
        nearness[a] = value;
      }
    }
  const nearnessOf = (a: number, b: number) => {
    const alike = sums[a * size + b] / (sizes[a] * sizes[b]);
    return alike < ALIKE ? 0 : alike - apart(a, b);
  };
  const look = (a: number) => {
    nearest[a] = -1;
    nearness[a] = 0;
    for (let b = 0; b < size; b++) {
      if (b === a || sizes[b] === 0) continue;
      const value = nearnessOf(a, b);
      if (value > nearness[a]) {
        nearest[a] = b;
        nearness[a] = value;
      }
    }
  };
  for (;;) {
    let best = -1;
    for (let a = 0; a < size; a++)
      if (sizes[a] > 0 && nearest[a] >= 0 && (best < 0 || nearness[a] > nearness[best])) best = a;
    if (best < 0 || nearness[best] < ALIKE) break;
    const other = nearest[best];
    groups[best] = [...groups[best]!, ...groups[other]!];
    groups[other] = null;
    sizes[best] += sizes[other];
    sizes[other] = 0;
    for (let word = 0; word < width; word++) bits[best * width + word] |= bits[other * width + word];
    for (let b = 0; b < size; b++) {
      sums[best * size + b] += sums[other * size + b];
      sums[b * size + best] = sums[best * size + b];
    }
    look(best);
    for (let a = 0; a < size; a++)
      if (
        sizes[a] > 0 &&
        a !== best &&
        (nearest[a] === other || nearest[a] === best || nearnessOf(a, best) > nearness[a])
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

/** The stems that weigh most over the sections of a group; those of a single section are its own affair. */
function stemsOf(group: readonly number[], likeness: SectionLikeness): [string, number][] {
  const sums = new Map<number, { weight: number; sections: number }>();
  for (const at of group)
    for (const [stem, weight] of likeness.vectors[at]) {
      const sum = sums.get(stem);
      if (sum) {
        sum.weight += weight;
        sum.sections += 1;
      } else sums.set(stem, { weight, sections: 1 });
    }
  const best = [...sums]
    .filter(([, { sections }]) => sections > 1 || group.length === 1)
    .map(([stem, { weight, sections }]): [string, number] => [
      likeness.bases.stemText(stem),
      weight * sections,
    ])
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, KNOWN_BY);
  const all = best.reduce((sum, [, weight]) => sum + weight, 0) || 1;
  return best.map(([stem, weight]) => [stem, weight / all]);
}

/** Whether a heading of one page of a pair names what one of the other page names. */
function pairNames(group: readonly number[], { pieces, mattersOf, bases }: SectionLikeness): boolean {
  const textOf = (matter: number) => bases.stemText(matter);
  return group.some((a) =>
    group.some(
      (b) =>
        pieces[a].page < pieces[b].page && nameOne(pieces[a].heading, pieces[b].heading, mattersOf, textOf),
    ),
  );
}

/**
 * Sections of the pages taken in (by their index), grouped by what they say (average linkage over 0.55 x likeness of
 * texts and 0.45 x likeness of headings, stems weighed by how rare they are, cut at 0.17) and named by `topicName`.
 * Topics of at least two publishers that speak of the subject, those that most of the pages have first, each page by how
 * near it is to the subject.
 */
export function topicsOf(
  likeness: SectionLikeness,
  taken: readonly number[],
  { subject, near }: { subject: ReadonlyMap<string, number>; near: readonly number[] },
): Topic[] {
  const { pieces, readings } = likeness;
  const isTaken = new Set(taken);
  const members = pieces.flatMap(({ page }, at) => (isTaken.has(page) ? [at] : []));
  const whole = taken.reduce((sum, page) => sum + near[page], 0) || 1;
  const topics: Topic[] = [];
  for (const group of linked(members, likeness)) {
    const pages = [...new Set(group.map((at) => pieces[at].page))];
    const publishers = new Set(
      pages.map((page) => readings[page].page.publisher || readings[page].page.address),
    );
    if (publishers.size < 2) continue;
    const stems = stemsOf(group, likeness);
    // What the subject has no word for is the pages' own affair.
    const about = stems.reduce((sum, [stem, weight]) => sum + (subject.has(stem) ? weight : 0), 0);
    if (about < ABOUT) continue;
    const sections = group.map((at) => readings[pieces[at].page].sections[pieces[at].section]);
    const name = topicName(
      group.map((at) => pieces[at].heading),
      likeness.mattersOf,
    );
    if (!isNaming(name)) continue;
    // Two sections that are alike by chance share no word by which anybody would call them.
    if (pages.length === FEWEST && (isOwnVoice(name) || !pairNames(group, likeness))) continue;
    topics.push({
      name,
      sections: group.map((at, index) => ({
        address: readings[pieces[at].page].page.address,
        publisher: readings[pieces[at].page].page.publisher,
        heading: sections[index].heading,
        words: sections[index].words,
      })),
      pages: pages.map((page) => readings[page].page.address),
      share: pages.reduce((sum, page) => sum + near[page], 0) / whole,
      position: median(sections.map(({ begins }) => begins)),
      words: median(sections.map(({ words }) => words)),
      stems,
    });
  }
  return topics.sort((a, b) => b.share - a.share || a.position - b.position || (a.name < b.name ? -1 : 1));
}
