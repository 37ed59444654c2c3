import type { Keyword } from '../src/core/research/index.ts';
import { seeded } from './prose.ts';

const HEADS =
  'bike tour,pannier,tent,tyre,pump,saddle,chain,brake,rack,helmet,light,map,route,camp,stove,jacket,glove,lock,wheel,bell'.split(
    ',',
  );
const ASKED =
  'best,cheap,waterproof,how to fix,how to choose,light,repair,second hand,review,near me,for beginners,size,price,winter,summer,kids,used,front,rear,small'.split(
    ',',
  );
const SYLLABLES =
  'bar cor den el far gil hol in jas ker lor mar nor os pel quin ros sal tor ul ven wick yar'.split(' ');

/** Phrases as a large export holds them: a subject, what is asked of it, and names that grow in number with the square root. */
export function phrasesOf(count: number, seed: number): string[] {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const names = Array.from(
    { length: Math.ceil(Math.sqrt(count) * 4) },
    () => pick(SYLLABLES) + pick(SYLLABLES) + pick(SYLLABLES),
  );
  const seen = new Set<string>();
  while (seen.size < count) {
    const parts = [pick(ASKED), pick(HEADS)];
    if (random() < 0.85) parts.splice(Math.floor(random() * 3), 0, pick(names));
    if (random() < 0.3) parts.push(pick(names));
    seen.add(parts.join(' '));
  }
  return [...seen];
}

/** A CSV of so many rows, one in ten of which repeats a phrase in another writing. */
export function keywordCsv(rows: number, seed: number): string {
  const random = seeded(seed);
  const phrases = phrasesOf(Math.ceil(rows * 0.9), seed);
  const lines = Array.from({ length: rows }, (_, at) => {
    const phrase = at < phrases.length ? phrases[at] : phrases[at - phrases.length].toUpperCase();
    const volume = Math.floor(10 ** (1 + random() * 3));
    return `${phrase},GB,${volume},${Math.floor(random() * 100)}`;
  });
  return `keyword,region,volume,difficulty\n${lines.join('\n')}\n`;
}

/** Records of so many keywords. */
export function keywordsOf(count: number, seed: number): Keyword[] {
  const random = seeded(seed + 1);
  const source = { name: 'bench', date: '2026-11-01' };
  return phrasesOf(count, seed).map((phrase) => ({
    phrase,
    region: 'GB',
    volume: Math.floor(10 ** (1 + random() * 3)),
    months: null,
    givenDifficulty: Math.floor(random() * 100),
    found: null,
    setIntent: null,
    source,
  }));
}

/** Phrases with their result pages: a tenth of them share pages with the phrase before, one page is found for all. */
export function withPages(
  keywords: readonly Keyword[],
  seed: number,
): { phrase: string; volume: number | null; pages: string[] }[] {
  const random = seeded(seed + 2);
  let before: string[] = [];
  return keywords.map(({ phrase, volume }, at) => {
    const shares = at > 0 && random() < 0.1;
    const own = Array.from({ length: 9 }, (_, rank) => `https://page.example/${at}/${rank}`);
    const pages = [
      'https://everywhere.example/',
      ...(shares ? [...before.slice(1, 7), ...own.slice(0, 3)] : own),
    ];
    before = pages;
    return { phrase, volume, pages };
  });
}
