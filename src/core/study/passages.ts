import type { WordBases } from '../language/index.ts';
import { SAYS_IN_TEXT, type Want } from '../meaning/index.ts';
import type { PageReading } from './study-page.ts';

/** About three sentences: blocks that follow each other are read together until they have so many words. */
const PASSAGE_WORDS = 45;

/** Passages of pages with their words, to be asked which pages say a thing. */
export class Passages {
  /** For each stem the passages that hold it. */
  private readonly holders = new Map<number, number[]>();
  /** Page of each passage. */
  private readonly pageOf: number[] = [];
  private readonly said = new Map<string, readonly boolean[]>();

  constructor(
    readings: readonly PageReading[],
    private readonly bases: WordBases,
  ) {
    const hold = (stem: number, passage: number) => {
      const list = this.holders.get(stem);
      if (!list) this.holders.set(stem, [passage]);
      else if (list[list.length - 1] !== passage) list.push(passage);
    };
    readings.forEach(({ page, blocks, sections }, at) => {
      const title = bases.stemsOf(page.document.fields.title);
      const holding: { passage: number; section: number; words: number }[] = [];
      for (const { tokens, section } of blocks) {
        const stems = new Set<number>();
        for (let token = 0; token < tokens.length; token++) {
          const stem = bases.stem(tokens.ids[token]);
          if (stem >= 0) stems.add(stem);
        }
        const passage = this.pageOf.length;
        this.pageOf.push(at);
        while (holding.length && (holding[0].section !== section || holding[0].words > PASSAGE_WORDS))
          holding.shift();
        holding.push({ passage, section, words: 0 });
        for (const stem of title) hold(stem, passage);
        for (const stem of sections[section].headingStems) hold(stem, passage);
        // A passage may come to stand in a list twice; it is met once all the same.
        for (const open of holding) {
          open.words += tokens.words;
          for (const stem of stems) hold(stem, open.passage);
        }
      }
    });
  }

  /** For each page how far its best passage says what is wanted, 0-1. */
  best(want: Want, pages: number): Float64Array {
    const sums = new Float64Array(this.pageOf.length);
    const told = new Uint8Array(this.pageOf.length);
    const met: number[] = [];
    const here = new Float64Array(this.pageOf.length);
    for (const { stem, weight, ordinary, kin } of want.parts) {
      const touched: number[] = [];
      const credit = (text: string, value: number) => {
        for (const passage of this.holders.get(this.bases.stemNumber(text)) ?? []) {
          if (here[passage] === 0) touched.push(passage);
          if (value > here[passage]) here[passage] = value;
        }
      };
      credit(stem, 1);
      for (const [other, nearness] of kin) credit(other, nearness);
      for (const passage of touched) {
        if (sums[passage] === 0) met.push(passage);
        sums[passage] += weight * here[passage];
        if (!ordinary) told[passage] = 1;
        here[passage] = 0;
      }
    }
    const out = new Float64Array(pages);
    const any = want.parts.every(({ ordinary }) => ordinary);
    for (const passage of met) {
      const page = this.pageOf[passage];
      if ((any || told[passage]) && sums[passage] > out[page]) out[page] = sums[passage];
    }
    return out;
  }

  /** For each page whether one of its passages says what is wanted; worked out once for each text. */
  saying(want: Want, pages: number): readonly boolean[] {
    let known = this.said.get(want.text);
    if (!known) {
      known = [...this.best(want, pages)].map((value) => value >= SAYS_IN_TEXT);
      this.said.set(want.text, known);
    }
    return known;
  }
}
