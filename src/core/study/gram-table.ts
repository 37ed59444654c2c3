import type { WordBases } from '../language/index.ts';
import type { PageReading } from './study-page.ts';

/** Words of the longest phrase that is counted. */
const MAX_GRAM_WORDS = 4;
/** Room for base forms in one key; a vocabulary of a study has some ten thousand. */
const WORDS = 2 ** 21;

/** Words and phrases of one to four words that at least two pages use, each with its uses on every page. */
export class GramTable {
  /** Base forms of each gram. */
  readonly keys: string[] = [];
  /** Number of words of each gram. */
  readonly lengths: number[] = [];
  /** For each gram the shorter ones that stand in it. */
  readonly parts: number[][] = [];
  /** Uses by gram and page: `counts[gram * pages + page]`. */
  readonly counts: Uint16Array;
  /** Uses in headings, alike. */
  readonly inHeadings: Uint8Array;
  /** Place in the page's stream of the first use, alike. */
  readonly first: Int32Array;
  readonly pages: number;
  private readonly byKey = new Map<string, number>();

  constructor(
    readonly readings: readonly PageReading[],
    readonly bases: WordBases,
  ) {
    this.pages = readings.length;
    // A gram is a node below the gram without its last word. A phrase is met on two pages only where all that it begins
    // with is: what stands on one page alone is not followed any further.
    const parents: number[] = [];
    const lasts: number[] = [];
    const depths: number[] = [];
    const spread: number[] = [];
    const seenOn: number[] = [];
    const below = new Map<number, number>();
    const wordSpread: number[] = [];
    const wordSeenOn: number[] = [];
    const meet = (parent: number, word: number, page: number): number => {
      const key = (parent + 1) * WORDS + word;
      let node = below.get(key);
      if (node === undefined) {
        node = parents.length;
        below.set(key, node);
        parents.push(parent);
        lasts.push(word);
        depths.push(parent < 0 ? 1 : depths[parent] + 1);
        spread.push(0);
        seenOn.push(-1);
      }
      if (seenOn[node] !== page) {
        seenOn[node] = page;
        spread[node] += 1;
      }
      return node;
    };
    readings.forEach(({ stream }, page) => {
      for (const word of stream) {
        if (word < 0 || wordSeenOn[word] === page) continue;
        wordSeenOn[word] = page;
        wordSpread[word] = (wordSpread[word] ?? 0) + 1;
      }
    });
    const levels: Int32Array[][] = [];
    for (let length = 1; length <= MAX_GRAM_WORDS; length++) {
      const before = levels.at(-1);
      const level = readings.map(({ stream }, page) => {
        const nodes = new Int32Array(stream.length).fill(-1);
        for (let at = 0; at + length <= stream.length; at++) {
          const word = stream[at + length - 1];
          if (word < 0 || wordSpread[word] < 2) continue;
          const parent = before ? before[page][at] : -1;
          if (before ? parent < 0 || spread[parent] < 2 : !bases.isEdge(word)) continue;
          nodes[at] = meet(parent, word, page);
        }
        return nodes;
      });
      levels.push(level);
    }
    const gramOf = new Int32Array(parents.length).fill(-1);
    const nodesOf: number[] = [];
    for (let node = 0; node < parents.length; node++) {
      if (spread[node] < 2 || !bases.isEdge(lasts[node])) continue;
      gramOf[node] = nodesOf.length;
      nodesOf.push(node);
    }
    this.counts = new Uint16Array(nodesOf.length * this.pages);
    this.inHeadings = new Uint8Array(nodesOf.length * this.pages);
    this.first = new Int32Array(nodesOf.length * this.pages).fill(-1);
    for (const level of levels)
      level.forEach((nodes, page) => {
        const { inHeading } = readings[page];
        for (let at = 0; at < nodes.length; at++) {
          if (nodes[at] < 0 || gramOf[nodes[at]] < 0) continue;
          const cell = gramOf[nodes[at]] * this.pages + page;
          this.counts[cell] += 1;
          if (inHeading[at] && this.inHeadings[cell] < 255) this.inHeadings[cell] += 1;
          if (this.first[cell] < 0) this.first[cell] = at;
        }
      });
    for (const node of nodesOf) {
      const words: number[] = [];
      for (let each = node; each >= 0; each = parents[each]) words.unshift(lasts[each]);
      const key = words.map((word) => bases.text(word)).join(' ');
      this.byKey.set(key, this.keys.length);
      this.keys.push(key);
      this.lengths.push(words.length);
      this.parts.push(partsOf(words, below, gramOf));
    }
  }

  /** The gram of a key; undefined where fewer than two pages use it. */
  gram(key: string): number | undefined {
    return this.byKey.get(key);
  }

  /** A gram as a page writes it first, in lower case; empty where the page does not use it. */
  formOn(gram: number, page: number): string {
    const at = this.first[gram * this.pages + page];
    if (at < 0) return '';
    const { blocks, blockAt, tokenAt } = this.readings[page];
    const { block, tokens } = blocks[blockAt[at]];
    const from = tokenAt[at];
    return block.text
      .slice(tokens.starts[from], tokens.ends[from + this.lengths[gram] - 1])
      .replace(/\s+/g, ' ')
      .toLowerCase();
  }
}

/** Grams that stand within a phrase. */
function partsOf(words: readonly number[], below: ReadonlyMap<number, number>, gramOf: Int32Array): number[] {
  const parts: number[] = [];
  for (let from = 0; from < words.length; from++) {
    let node = -1;
    for (let to = from; to < words.length; to++) {
      const next = below.get((node + 1) * WORDS + words[to]);
      if (next === undefined) break;
      node = next;
      if (to - from + 1 < words.length && gramOf[node] >= 0) parts.push(gramOf[node]);
    }
  }
  return parts;
}
