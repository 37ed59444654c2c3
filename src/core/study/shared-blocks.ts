import type { WordBases } from '../language/index.ts';
import type { PageReading } from './study-page.ts';

/** So many pages say a thing in the same words before it is none of their own. */
const PAGES = 3;
const SHARE = 0.2;
const FEWEST_WORDS = 5;

/** What two copies of a notice share: its words without figures and names that hold signs. */
const wordingOf = (text: string): string =>
  text
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => !/\d|[\p{L}\p{N}][-_@/.][\p{L}\p{N}]/u.test(word))
    .map((word) => word.replace(/[^\p{L}]+/gu, ''))
    .filter(Boolean)
    .join(' ');

/** Places of the blocks of each page that stand on several pages in the same words: notices of licences, support, cookies. */
function sharedBlocks(readings: readonly PageReading[]): Set<number>[] {
  const least = Math.max(PAGES, Math.ceil(readings.length * SHARE));
  const holders = new Map<string, Set<number>>();
  const wordings = readings.map(({ blocks }, page) =>
    blocks.map(({ block, tokens }) => {
      if (block.kind === 'heading' || tokens.words < FEWEST_WORDS) return '';
      const wording = wordingOf(block.text);
      if (wording.split(' ').length < FEWEST_WORDS) return '';
      const known = holders.get(wording);
      if (known) known.add(page);
      else holders.set(wording, new Set([page]));
      return wording;
    }),
  );
  return wordings.map(
    (own) =>
      new Set(own.flatMap((wording, at) => (wording && holders.get(wording)!.size >= least ? [at] : []))),
  );
}

/** Readings without what several of the pages say in the same words. Those that have none of it are given back as they are. */
export function withoutSharedBlocks(readings: readonly PageReading[], bases: WordBases): PageReading[] {
  return sharedBlocks(readings).map((gone, page): PageReading => {
    const reading = readings[page];
    if (gone.size === 0) return reading;
    const sections = reading.sections.map((section) => ({ ...section, stems: new Map(section.stems) }));
    for (const at of gone) {
      const { tokens, section } = reading.blocks[at];
      const own = sections[section];
      own.words = Math.max(0, own.words - tokens.words);
      for (let token = 0; token < tokens.length; token++) {
        const stem = bases.stem(tokens.ids[token]);
        if (stem < 0) continue;
        const count = (own.stems.get(stem) ?? 0) - 1;
        if (count > 0) own.stems.set(stem, count);
        else own.stems.delete(stem);
      }
    }
    const kept: number[] = [];
    reading.blockAt.forEach((block, place) => {
      if (!gone.has(block)) kept.push(place);
    });
    return {
      ...reading,
      sections,
      stream: Int32Array.from(kept, (place) => reading.stream[place]),
      blockAt: Int32Array.from(kept, (place) => reading.blockAt[place]),
      tokenAt: Int32Array.from(kept, (place) => reading.tokenAt[place]),
      inHeading: Uint8Array.from(kept, (place) => reading.inHeading[place]),
      statements: reading.statements,
    };
  });
}
