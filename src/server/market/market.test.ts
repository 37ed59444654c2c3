import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { readArticle, readHtml } from '../../core/draft/index.ts';
import { difficultyOf, intentOf, type Keyword, seasonOf } from '../../core/research/index.ts';
import { World } from './world.ts';
import { buildWorld, type WorldData } from './world-data.ts';

let data: WorldData;
let world: World;
beforeAll(() => {
  data = buildWorld(join(import.meta.dirname, 'world'));
  world = new World(data);
}, 120_000);

const MAIN = [
  'bike tour packing list',
  'waterproof panniers',
  'first bike tour',
  'bike camping',
  'touring tyre pressure',
  'rent a touring bike',
  'how to fix a flat bike tyre',
  'estuary cycling route',
  'touring bike maintenance',
  'plan a bike tour',
];
const keyword = (phrase: string, region = 'GB'): Keyword =>
  world.keywords(region).find((known) => known.phrase === phrase)!;

describe('the simulated world', () => {
  it('knows more than 500 phrases in each region together, each once, with twelve months that sum up to its year', () => {
    const phrases = new Set(
      ['GB', 'US'].flatMap((region) => world.keywords(region).map(({ phrase }) => phrase)),
    );
    expect(phrases.size).toBeGreaterThan(500);
    for (const region of world.regions) {
      const keywords = world.keywords(region);
      expect(new Set(keywords.map(({ phrase }) => phrase)).size).toBe(keywords.length);
      for (const { phrase, months, volume } of keywords) {
        expect(months, phrase).toHaveLength(12);
        const mean = months!.reduce((sum, value) => sum + value, 0) / 12;
        expect(Math.abs(mean - volume!), phrase).toBeLessThan(Math.max(1, volume! * 0.08));
      }
    }
    expect(keyword('touring tyre pressure').volume).not.toBe(keyword('touring tyre pressure', 'US').volume);
  });

  it('has seasons that make sense', () => {
    expect(seasonOf(keyword('bike camping').months)!.peak).toBeGreaterThanOrEqual(5);
    expect(seasonOf(keyword('bike camping').months)!.peak).toBeLessThanOrEqual(7);
    expect([10, 11]).toContain(seasonOf(keyword('gifts for cyclists').months)!.peak);
    expect(seasonOf(keyword('bike bell').months)).toBeNull();
  });

  it('has pages of 400 to 2,000 words by some twenty publishers, whole documents whose article can be read again', () => {
    expect(data.pages.length).toBeGreaterThanOrEqual(80);
    expect(new Set(data.pages.map(({ publisher }) => publisher)).size).toBeGreaterThanOrEqual(20);
    for (const { address, text, html, standing } of data.pages) {
      const words = [text.title, ...text.headings, ...text.blocks].join(' ').split(/\s+/).length;
      expect(words, address).toBeGreaterThanOrEqual(400);
      expect(words, address).toBeLessThanOrEqual(2000);
      expect(standing).toBeGreaterThanOrEqual(0);
      expect(standing).toBeLessThanOrEqual(100);
      expect(address).toMatch(/^https:\/\/[a-z]+\.example\//);
      expect(html).toMatch(/^<!doctype html>[\s\S]*<title>[\s\S]*<\/html>\n$/);
      const read = readHtml(html).draft.blocks.map((block) => block.text);
      for (const block of text.blocks.filter((part) => part.length > 80))
        expect(read, address).toContain(block);
      // The furniture is there too: the whole is longer than the article.
      expect(read.length).toBeGreaterThan(text.blocks.length + text.headings.length);
    }
  });

  it('is furnished as pages are, and the article can be told from the furniture in all of them', () => {
    const onOneLine = (words: string) => words.replace(/\s+/g, ' ').trim();
    for (const { address, title, text, html } of data.pages) {
      const { fields, draft } = readArticle(html);
      const read = draft.blocks
        .map((block) => onOneLine(block.text))
        .filter((words) => words && words !== title);
      expect(read.sort(), address).toEqual(
        [...text.headings, ...text.blocks].map(onOneLine).filter(Boolean).sort(),
      );
      expect(fields.title).toBe(title);
    }
  });

  it('finds at least twenty pages for each of ten main queries, in both regions, and again the same', () => {
    for (const query of MAIN)
      for (const region of world.regions) {
        const found = world.results(query, region, 50);
        expect(found.length, query).toBeGreaterThanOrEqual(20);
        expect(found.map(({ rank }) => rank)).toEqual(found.map((_, at) => at + 1));
        expect(new World(data).results(query, region, 50)).toEqual(found);
      }
  });

  it('finds for a phrase what answers it, so that results, difficulty and intent hang together', () => {
    const panniers = keyword('waterproof panniers');
    expect(panniers.found!.slice(0, 5).every(({ title }) => /pannier/i.test(title))).toBe(true);
    expect(panniers.found!.map(({ address }) => address)).toEqual(
      world.results('waterproof panniers', 'GB', 20).map(({ address }) => address),
    );
    expect(difficultyOf(panniers)!.value).toBeGreaterThan(difficultyOf(keyword('clean panniers'))!.value);
    // No page answers it: how hard it is, nothing tells.
    expect(difficultyOf(keyword('gifts for cyclists'))).toBeNull();
    expect(intentOf(keyword('rent a touring bike')).intent).toBe('transactional');
    expect(intentOf(keyword('best touring tyres')).intent).toBe('commercial');
    expect(intentOf(keyword('how to plan a bike tour')).intent).toBe('informational');
    expect(intentOf(keyword('quayside hire eddering')).intent).toBe('navigational');
  });

  it('has more than 150 questions from three kinds of places', () => {
    expect(data.questions.length).toBeGreaterThanOrEqual(150);
    const places = data.questions.map(({ place }) => place);
    for (const place of ['suggestion', 'related', 'forum'] as const)
      expect(places.filter((known) => known === place).length).toBeGreaterThanOrEqual(25);
    expect(world.questions(['waterproof panniers'], 'GB').map(({ text }) => text)).toContain(
      'Can you mend waterproof panniers?',
    );
  });

  it('is honest about what it does not know', () => {
    expect(world.related(['sourdough starter'], 'GB')).toEqual([]);
    expect(world.questions(['sourdough starter'], 'GB')).toEqual([]);
    expect(world.results('sourdough starter', 'GB', 20)).toEqual([]);
    expect(world.related(['waterproof panniers'], 'FR')).toEqual([]);
  });
});
