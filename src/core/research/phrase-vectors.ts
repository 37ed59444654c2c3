import { isOrdinary, kinOf } from '../meaning/index.ts';
import { meaningStems } from './phrase-meaning.ts';
import { researchStem } from './phrase-stems.ts';

/** A phrase as numbers: dimensions with their parts; its length is 1, or 0 where nothing is left of it. */
export interface PhraseVector {
  dims: Int32Array;
  parts: Float32Array;
  /** Its own words among the dimensions, the weightiest first. */
  own: readonly number[];
}

/** Kin that stand for a word with less than this are no sign that two phrases mean the same. */
const NEAR_ENOUGH = 0.6;
/** What every word weighs at least. */
const LEAST = 0.1;
/** How something is asked for tells less than what it is. */
const ORDINARY = 0.35;
/** Measures of time stand beside anything. */
const TIMES = new Set('day week month year hour minute time'.split(' ').map(researchStem));
/** Where it is asked for is no matter of its own. */
const NEAR_ME = /\b(?:near|close to|around) (?:me|here|you|us)\b|\bnear ?by\b/gi;

/**
 * Phrases as vectors of their word stems and of the kin of these, so that "mend a flat" and "fix a puncture" lie near each
 * other: a stem weighs the logarithm of how rare it is among the phrases, and shares its weight out to its kin by how near
 * they are. Two phrases are as alike as the product of their vectors, 0-1.
 */
export class PhraseVectors {
  private readonly numbers = new Map<string, number>();
  private readonly spread: number[] = [];
  private readonly blocks = new Map<number, { dims: number[]; parts: number[] }>();
  private readonly stems: Int32Array[] = [];

  private numberOf(stem: string): number {
    let number = this.numbers.get(stem);
    if (number === undefined) {
      number = this.numbers.size;
      this.numbers.set(stem, number);
      this.spread.push(0);
    }
    return number;
  }

  /** Takes a phrase in; answers its index. All are taken in before the first vector is asked for. */
  add(phrase: string): number {
    const own = Int32Array.from(meaningStems(phrase.replace(NEAR_ME, ' ')), (stem) => this.numberOf(stem));
    for (const stem of own) this.spread[stem] += 1;
    this.stems.push(own);
    return this.stems.length - 1;
  }

  /** A stem with its kin, as parts of a block of length 1. */
  private blockOf(stem: number, text: string): { dims: number[]; parts: number[] } {
    let block = this.blocks.get(stem);
    if (!block) {
      const parts = new Map([[stem, 1]]);
      for (const [other, near] of kinOf(text)) {
        // A word that no phrase has, and that is kin of several, still brings them together.
        const at = this.numberOf(researchStem(other));
        if (near >= NEAR_ENOUGH && at !== stem) parts.set(at, Math.max(parts.get(at) ?? 0, near));
      }
      const length = Math.hypot(...parts.values());
      block = { dims: [...parts.keys()], parts: [...parts.values()].map((part) => part / length) };
      this.blocks.set(stem, block);
    }
    return block;
  }

  private texts: string[] = [];

  /** The vector of a phrase. */
  vector(index: number): PhraseVector {
    if (this.texts.length === 0) this.texts = [...this.numbers.keys()];
    const sum = new Map<number, number>();
    const weights: [stem: number, weight: number][] = [];
    for (const stem of this.stems[index]) {
      const text = this.texts[stem];
      const names = isOrdinary(text) || TIMES.has(text) ? ORDINARY : 1;
      const weight = names * (Math.log(1 + this.stems.length / this.spread[stem]) + LEAST);
      weights.push([stem, weight]);
      const { dims, parts } = this.blockOf(stem, text);
      for (let at = 0; at < dims.length; at++)
        sum.set(dims[at], (sum.get(dims[at]) ?? 0) + weight * parts[at]);
    }
    let squares = 0;
    for (const part of sum.values()) squares += part * part;
    const length = Math.sqrt(squares) || 1;
    return {
      dims: Int32Array.from(sum.keys()),
      parts: Float32Array.from(sum.values(), (part) => part / length),
      own: weights.sort((a, b) => b[1] - a[1] || a[0] - b[0]).map(([stem]) => stem),
    };
  }
}
