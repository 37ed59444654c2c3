import type { BlockReading } from './block-reader.ts';
import { TRAITS } from './sentence-style.ts';
import { NO_STEMS } from './stem-counts.ts';

/** A heading (or the opening) with what follows it. */
interface Section {
  members: readonly BlockReading[];
  sentences: number;
  /** By the numbers of its words: how many of its sentences hold each. */
  counts: Map<number, number>;
  /** By trait: how many of its sentences have it. */
  traits: Int32Array;
  /** The words of its heading. */
  heading: readonly number[];
}

/** Words for which there is room at first. */
const FIRST = 256;

/** Sums over cells (sections or paragraphs) of their sizes, from which chance is worked out. */
interface Cells {
  /** Ordered pairs and triples of sentences that stand in one cell. */
  pairs: number;
  triples: number;
}

/** What a draft shows as a whole. */
export interface WholeTextReading {
  /** Sentences that were looked at. */
  sentences: number;
  /**
   * How far the sentences stand together as they would not by chance, in standard deviations: about 0 for sentences
   * shuffled over a text, whatever its length; the more the longer a text that is in order.
   */
  deviation: number;
  /** Words in sentences that were said before, and how many such sentences there are. */
  repeatedWords: number;
  repeatedSentences: number;
  /** Sentences that had been said twice already. */
  wornSentences: number;
  /** Sentences of running text that hold a word of a stem. */
  sentencesWith(stem: number): number;
  /** The stems of its words. */
  stems(): Iterable<number>;
  /** Sections of at least so many sentences in which none of some stems stands: the places of their first blocks. */
  sectionsWithout(stems: readonly number[], sentences: number): number[];
  /** Whether a sentence stands more than once. */
  isRepeated(key: number): boolean;
}

/**
 * Tells whether the sentences of a draft stand in order: whether sentences of one paragraph, and of one section, share
 * words, or are alike (in whom they speak of, in time, beginning and length), oftener than sentences drawn by chance would;
 * whether sections speak of their headings; whether paragraphs begin with sentences that lean on one before. The chance is
 * worked out, not drawn: for a word in k of M sentences the number of pairs in one cell has mean k(k-1)/2 p and the variance
 * of draws without replacement. What was counted for the last draft is kept, so that a change costs only the sections it
 * touches. Sentences that stand more than once are counted on the way.
 */
export class WholeText {
  /** Words are numbered anew for each text: stems are numbered over all that was ever read. */
  private readonly numbers = new Map<number, number>();
  /** By the number of a word: sentences that hold it, pairs of them in one section, and in one paragraph; headings that hold it. */
  private uses = new Int32Array(FIRST);
  private inSection = new Int32Array(FIRST);
  private inParagraph = new Int32Array(FIRST);
  private inHeadings = new Int32Array(FIRST);
  /** By how many sentences hold a word: how many such words there are, and their pairs. Whole numbers: no order changes them. */
  private words = new Int32Array(FIRST);
  private sectionPairs = new Float64Array(FIRST);
  private paragraphPairs = new Float64Array(FIRST);
  /** The greatest count that any word has had. */
  private greatest = 0;
  private readonly sections: Cells = { pairs: 0, triples: 0 };
  private readonly paragraphs: Cells = { pairs: 0, triples: 0 };
  /** By trait: sentences that have it, pairs of them in one section, and in one paragraph. */
  private readonly traits = new Int32Array(TRAITS);
  private readonly traitsInSection = new Float64Array(TRAITS);
  private readonly traitsInParagraph = new Float64Array(TRAITS);
  private all = 0;
  private leaning = 0;
  private openings = 0;
  private leaningOpenings = 0;
  private readonly said = new Map<number, number>();
  private repeatedWords = 0;
  private repeatedSentences = 0;
  private wornSentences = 0;
  private current: Section[] = [];

  /** What a draft shows by its readings; `titleBlock` stands outside. */
  read(readings: readonly BlockReading[], titleBlock: number): WholeTextReading {
    this.update(readings, titleBlock);
    const { current } = this;
    const deviation =
      (this.togetherness(this.sectionPairs, this.sections) +
        this.togetherness(this.paragraphPairs, this.paragraphs) +
        this.alikeness(this.traitsInSection, this.sections) +
        this.alikeness(this.traitsInParagraph, this.paragraphs) +
        this.headingFit() +
        this.openingFit()) /
      // Of six measures that are independent by chance.
      Math.sqrt(6);
    const { all: sentences, repeatedWords, repeatedSentences, wornSentences, said, numbers, uses } = this;
    return {
      sentences,
      deviation,
      repeatedWords,
      repeatedSentences,
      wornSentences,
      sentencesWith(stem) {
        const number = numbers.get(stem);
        return number === undefined ? 0 : uses[number];
      },
      stems() {
        return numbers.keys();
      },
      sectionsWithout(stems, least) {
        const places: number[] = [];
        const wanted = stems.map((stem) => numbers.get(stem) ?? -1);
        let from = 0;
        for (const section of current) {
          if (section.sentences >= least && !holdsAny(section, wanted)) places.push(from);
          from += section.members.length;
        }
        return places;
      },
      isRepeated(key) {
        return (said.get(key) ?? 0) > 1;
      },
    };
  }

  /** Brings the counts from the last draft to this one: of sections at both ends that are the same, nothing is counted. */
  private update(readings: readonly BlockReading[], titleBlock: number): void {
    const ends: number[] = [];
    for (let from = 0; from < readings.length; ) {
      let to = from + 1;
      while (to < readings.length && (readings[to].level === 0 || to === titleBlock)) to += 1;
      ends.push(to);
      from = to;
    }
    const before = this.current;
    const shared = Math.min(before.length, ends.length);
    let head = 0;
    while (head < shared && isSection(before[head], readings, ends, head)) head += 1;
    let tail = 0;
    while (
      tail < shared - head &&
      isSection(before[before.length - 1 - tail], readings, ends, ends.length - 1 - tail)
    )
      tail += 1;
    const gone = before.slice(head, before.length - tail);
    const fresh: Section[] = [];
    for (let at = head; at < ends.length - tail; at++) {
      // A section that was written in keeps what it shares with itself.
      const kept = gone.length === ends.length - tail - head ? gone[at - head] : emptySection();
      this.become(kept, readings.slice(at === 0 ? 0 : ends[at - 1], ends[at]));
      fresh.push(kept);
    }
    if (gone.length !== fresh.length) for (const section of gone) this.become(section, []);
    this.current = [...before.slice(0, head), ...fresh, ...before.slice(before.length - tail)];
  }

  /** Makes a section that of other blocks; only where they differ is counted. */
  private become(section: Section, members: readonly BlockReading[]): void {
    const before = section.members;
    const shared = Math.min(before.length, members.length);
    let head = 0;
    while (head < shared && before[head] === members[head]) head += 1;
    let tail = 0;
    while (tail < shared - head && before[before.length - 1 - tail] === members[members.length - 1 - tail])
      tail += 1;
    for (let at = head; at < before.length - tail; at++) this.count(section, before[at], -1);
    for (let at = head; at < members.length - tail; at++) this.count(section, members[at], 1);
    section.members = members;
    if (head > 0) return;
    for (const number of section.heading) this.inHeadings[number] -= 1;
    const first = members[0];
    const stems = first && first.level > 1 && first.order !== null ? first.order.words.stems : NO_STEMS.stems;
    section.heading = Array.from(stems, (stem) => this.numberOf(stem));
    for (const number of section.heading) this.inHeadings[number] += 1;
  }

  private numberOf(stem: number): number {
    let number = this.numbers.get(stem);
    if (number === undefined) {
      number = this.numbers.size;
      this.numbers.set(stem, number);
      if (number >= this.uses.length) this.makeRoom();
    }
    return number;
  }

  /** Adds a block's counts to its section and to all, or takes them away. */
  private count(section: Section, { order, level, said }: BlockReading, sign: 1 | -1): void {
    for (const { key, words } of said) this.say(key, words, sign);
    if (order === null || level > 0 || order.sentences === 0) return;
    addCell(this.sections, section.sentences, -1);
    section.sentences += sign * order.sentences;
    addCell(this.sections, section.sentences, 1);
    addCell(this.paragraphs, order.sentences, sign);
    this.all += sign * order.sentences;
    this.leaning += sign * order.style.leaning;
    this.openings += sign;
    this.countTraits(section, order.style.traits, sign);
    if (order.style.opensLeaning) this.leaningOpenings += sign;
    const { stems, counts } = order.words;
    for (let at = 0; at < stems.length; at++) {
      const number = this.numberOf(stems[at]);
      const own = counts[at];
      const here = section.counts.get(number) ?? 0;
      const now = here + sign * own;
      this.sum(number, -1);
      this.uses[number] += sign * own;
      this.inSection[number] += (now * (now - 1) - here * (here - 1)) / 2;
      if (own > 1) this.inParagraph[number] += (sign * own * (own - 1)) / 2;
      this.sum(number, 1);
      if (now > 0) section.counts.set(number, now);
      else section.counts.delete(number);
    }
  }

  private countTraits(section: Section, own: Uint32Array, sign: 1 | -1): void {
    for (let trait = 0; trait < TRAITS; trait++) {
      const count = own[trait];
      if (count === 0) continue;
      const here = section.traits[trait];
      const now = here + sign * count;
      this.traits[trait] += sign * count;
      this.traitsInSection[trait] += (now * (now - 1) - here * (here - 1)) / 2;
      this.traitsInParagraph[trait] += (sign * count * (count - 1)) / 2;
      section.traits[trait] = now;
    }
  }

  private makeRoom(): void {
    const most = this.uses.length;
    const grown = (before: Int32Array) => {
      const after = new Int32Array(2 * most);
      after.set(before);
      return after;
    };
    this.uses = grown(this.uses);
    this.inSection = grown(this.inSection);
    this.inParagraph = grown(this.inParagraph);
    this.inHeadings = grown(this.inHeadings);
  }

  /** Adds a word to the sums by how often words stand, or takes it away. */
  private sum(stem: number, sign: 1 | -1): void {
    const count = this.uses[stem];
    if (count < 2) return;
    if (count >= this.words.length) {
      const [words, sections, paragraphs] = [this.words, this.sectionPairs, this.paragraphPairs];
      this.words = new Int32Array(2 * count);
      this.sectionPairs = new Float64Array(2 * count);
      this.paragraphPairs = new Float64Array(2 * count);
      this.words.set(words);
      this.sectionPairs.set(sections);
      this.paragraphPairs.set(paragraphs);
    }
    if (count > this.greatest) this.greatest = count;
    this.words[count] += sign;
    this.sectionPairs[count] += sign * this.inSection[stem];
    this.paragraphPairs[count] += sign * this.inParagraph[stem];
  }

  private say(key: number, words: number, sign: 1 | -1): void {
    const before = this.said.get(key) ?? 0;
    const now = before + sign;
    // The first of several is no repetition.
    const more = Math.max(0, now - 1) - Math.max(0, before - 1);
    this.repeatedSentences += more;
    this.repeatedWords += more * words;
    this.wornSentences += Math.max(0, now - 2) - Math.max(0, before - 2);
    if (now > 0) this.said.set(key, now);
    else this.said.delete(key);
  }

  /** Standard deviations by which pairs of sentences that share a word stand in one cell oftener than by chance. */
  private togetherness(found: Float64Array, cells: Cells): number {
    const chance = new Chance(this.all, cells);
    // What half of all sentences say binds none of them.
    const most = Math.min(this.greatest, Math.floor(this.all / 2));
    for (let count = 2; count <= most; count++)
      if (this.words[count]) chance.add(count, this.words[count], found[count]);
    return chance.deviation;
  }

  /** The same for pairs of sentences that have a trait in common. */
  private alikeness(found: Float64Array, cells: Cells): number {
    const chance = new Chance(this.all, cells);
    for (let trait = 0; trait < TRAITS; trait++)
      if (this.traits[trait] > 1) chance.add(this.traits[trait], 1, found[trait]);
    return chance.deviation;
  }

  /** The same for the words of headings in the sentences below them. */
  private headingFit(): number {
    const { all, uses, current, inHeadings } = this;
    const most = Math.max(1, current.length / 2);
    let excess = 0;
    let variance = 0;
    for (const { heading, counts, sentences } of current) {
      if (sentences === 0) continue;
      const share = sentences / all;
      for (const number of heading) {
        const count = uses[number];
        if (count < 1 || count > all / 2 || inHeadings[number] > most) continue;
        excess += (counts.get(number) ?? 0) - count * share;
        if (all > 1) variance += (count * share * (1 - share) * (all - count)) / (all - 1);
      }
    }
    return variance > 0 ? excess / Math.sqrt(variance) : 0;
  }

  /** The same for paragraphs that open with a sentence that leans on another: the fewer the better. */
  private openingFit(): number {
    const { all, leaning, openings, leaningOpenings } = this;
    if (all < 3 || openings >= all) return 0;
    const rate = leaning / all;
    const variance = (openings * rate * (1 - rate) * (all - openings)) / (all - 1);
    return variance > 0 ? (openings * rate - leaningOpenings) / Math.sqrt(variance) : 0;
  }
}

/** How far pairs stand in one cell oftener than they would by chance, in standard deviations; 0 where nothing can be told. */
class Chance {
  private readonly pair: number;
  private readonly triple: number;
  private excess = 0;
  private variance = 0;

  constructor(
    private readonly all: number,
    { pairs, triples }: Cells,
  ) {
    this.pair = all < 3 ? 0 : pairs / (all * (all - 1));
    this.triple = all < 3 ? 0 : triples / (all * (all - 1) * (all - 2));
  }

  /** Counts what stands in `count` sentences each, so many of them, of which `found` pairs were met in one cell. */
  add(count: number, number: number, found: number): void {
    if (this.all < 3) return;
    const { pair, triple } = this;
    const weight = 1 / (count - 1);
    const pairs = (count * (count - 1)) / 2;
    this.excess += weight * (found - number * pairs * pair);
    this.variance +=
      number *
      weight *
      weight *
      Math.max(0, pairs * pair * (1 - pair) + count * (count - 1) * (count - 2) * (triple - pair * pair));
  }

  get deviation(): number {
    return this.variance > 0 ? this.excess / Math.sqrt(this.variance) : 0;
  }
}

/** Whether any of some words stands in a section or in its heading. */
function holdsAny({ counts, heading }: Section, numbers: readonly number[]): boolean {
  for (const number of numbers) if (counts.has(number) || heading.includes(number)) return true;
  return false;
}

const emptySection = (): Section => ({
  members: [],
  sentences: 0,
  counts: new Map(),
  traits: new Int32Array(TRAITS),
  heading: [],
});

/** Whether a section of the last draft is one of this: the one at a place among those that end at `ends`. */
function isSection(
  { members }: Section,
  readings: readonly BlockReading[],
  ends: readonly number[],
  place: number,
): boolean {
  const [from, to] = [place === 0 ? 0 : ends[place - 1], ends[place]];
  if (members.length !== to - from) return false;
  for (let at = from; at < to; at++) if (members[at - from] !== readings[at]) return false;
  return true;
}

function addCell(cells: Cells, size: number, sign: 1 | -1): void {
  cells.pairs += sign * size * (size - 1);
  cells.triples += sign * size * (size - 1) * (size - 2);
}
