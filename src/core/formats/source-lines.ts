import type { Place } from '../criteria/index.ts';
import type { Block } from '../draft/index.ts';

/** Words of a block by which its place is found, and how far each may stand from the one before: markup lies between. */
const PROBE = 6;
const REACH = 40;
/** Places that are tried for one block, and for all of them: a file of one word has every place for every block. */
const MOST_TRIED = 200;
const MOST_TRIED_ALL = 50_000;

interface SourceWord {
  text: string;
  line: number;
}

const FIELD: Record<Exclude<Place, 'text'>, RegExp> = {
  title: /^title\s*:|<h1\b|^#\s/im,
  'meta-title': /^metaTitle\s*:|<title\b|^title\s*:/im,
  'meta-description': /^description\s*:|<meta\b[^>]*\bname=["']?description/im,
  slug: /^slug\s*:|<link\b[^>]*\brel=["']?canonical/im,
  featured: /^(?:image|cover|featured)\w*\s*:|property=["']og:image/im,
  target: /^keyword\s*:/im,
};

/**
 * Where the blocks of a draft stand in the text of the file that they were read from, by line. Readers part with the lines on
 * the way (markup in markup is read as one page), so the words are looked up: each block's first words from where the one before ended.
 * Lines count from 1.
 *
 * @example
 * new SourceLines('# One\n\nTwo words.', blocks).lineOf({ block: 1, start: 4 }); // 3
 */
export class SourceLines {
  private readonly words: SourceWord[];
  private lineStarts: number[] | null = null;
  private triesLeft = MOST_TRIED_ALL;
  /** For each block the places of its words among the source's; empty where it was not found. */
  private readonly found: (readonly { offset: number; line: number }[])[];
  private readonly images: (number | null)[];

  constructor(
    private readonly source: string,
    blocks: readonly Block[],
  ) {
    this.words = wordsOf(source);
    const places = new Map<string, number[]>();
    for (const [at, { text }] of this.words.entries()) {
      const list = places.get(text);
      if (list) list.push(at);
      else places.set(text, [at]);
    }
    let from = 0;
    this.found = blocks.map(({ text }) => {
      const own = [...text.matchAll(WORD)].map((hit) => ({ text: hit[0].toLowerCase(), offset: hit.index }));
      const start = this.startOf(own, places, from);
      if (start === null) return [];
      const lines: { offset: number; line: number }[] = [];
      let at = start;
      for (const word of own) {
        const here = this.next(word.text, at, REACH);
        if (here === null) continue;
        lines.push({ offset: word.offset, line: this.words[here].line });
        at = here + 1;
      }
      from = at;
      return lines;
    });
    let cursor = 0;
    this.images = blocks.map(({ image }) => {
      const at = image ? source.indexOf(image.src, cursor) : -1;
      if (at < 0) return null;
      cursor = at + 1;
      return this.lineAt(at);
    });
  }

  /** The line of a place in a block; null where the block was not found. */
  lineOf({ block, start }: { block: number; start: number }): number | null {
    const image = this.images[block];
    if (image != null) return image;
    const lines = this.found[block] ?? [];
    let line: number | null = null;
    for (const word of lines) {
      if (word.offset > start && line !== null) break;
      line = word.line;
      if (word.offset >= start) break;
    }
    return line;
  }

  /** The line of a field; null where the file does not write it. */
  lineOfField(place: Place): number | null {
    if (place === 'text') return null;
    const hit = FIELD[place].exec(this.source);
    return hit ? this.lineAt(hit.index) : null;
  }

  private lineAt(at: number): number {
    this.lineStarts ??= [0, ...[...this.source.matchAll(/\n/g)].map((hit) => hit.index + 1)];
    return firstFrom(this.lineStarts, at + 1);
  }

  /** The first place from `from` on at which most of a block's first words follow each other. */
  private startOf(
    own: readonly { text: string }[],
    places: ReadonlyMap<string, number[]>,
    from: number,
  ): number | null {
    if (own.length === 0) return null;
    const probe = own.slice(0, PROBE);
    const candidates = places.get(probe[0].text) ?? [];
    const first = firstFrom(candidates, from);
    const last = Math.min(candidates.length, first + Math.min(MOST_TRIED, this.triesLeft));
    for (let index = first; index < last; index++) {
      this.triesLeft -= 1;
      let at = candidates[index];
      let hits = 0;
      for (const word of probe) {
        const here = this.next(word.text, at, REACH);
        if (here === null) continue;
        hits += 1;
        at = here + 1;
      }
      if (hits >= probe.length * 0.8) return candidates[index];
    }
    return null;
  }

  private next(text: string, from: number, reach: number): number | null {
    const to = Math.min(this.words.length, from + reach);
    for (let at = from; at < to; at++) if (this.words[at].text === text) return at;
    return null;
  }
}

const WORD = /[\p{L}\p{N}]+/gu;

function wordsOf(source: string): SourceWord[] {
  const words: SourceWord[] = [];
  for (const [at, line] of source.split('\n').entries())
    for (const [text] of line.matchAll(WORD)) words.push({ text: text.toLowerCase(), line: at + 1 });
  return words;
}

function firstFrom(sorted: readonly number[], from: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle] < from) low = middle + 1;
    else high = middle;
  }
  return low;
}
