import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../draft/index.ts';
import { Vocabulary } from '../language/index.ts';
import {
  bandOf,
  bareHeading,
  readStudyPage,
  SectionLikeness,
  termsOf,
  topicsOf,
  WordBases,
} from './index.ts';

const bases = new WordBases(new Vocabulary());
const page = (name: string, markdown: string) =>
  readStudyPage(
    { address: `https://${name}.example/`, publisher: name, rank: 1, document: readMarkdown(markdown) },
    bases,
  );

const PAGES = [
  page(
    'one',
    `## How to mend a hole\n\nA waterproof pannier with a hole is patched from inside. Glue the patch, wait, and press it on the cloth.\n\n## Which hooks fit\n\nPannier hooks clamp the tube of the rack. Measure the rack first.`,
  ),
  page(
    'two',
    `## Mending holes\n\nPatch a hole in waterproof panniers with glue and cloth. Press the patch and wait overnight.\n\n## Washing\n\nSalt cuts the seams; rinse with fresh water after each ride along the sea.`,
  ),
  page(
    'three',
    `## Hooks that fit the rack\n\nHooks hold the pannier to the rack tube. Old pannier hooks rattle on a thin rack.\n\n## Mend a hole\n\nGlue a patch over the hole, press the cloth, wait. Panniers stay waterproof.`,
  ),
  page(
    'four',
    `## Prices\n\nThree shops sell waterproof panniers. Each pannier costs the same as a good pair of shoes.`,
  ),
];

describe('a page of a study', () => {
  it('is counted by the bases of its words, within clauses, titles left out', () => {
    const { grams, words, sections, sentences } = page(
      'x',
      '# Panniers, panniers\n\nIntro.\n\n## Waterproof panniers\n\nOne waterproof pannier. Waterproof, panniers!',
    );
    expect(grams.get('pannier')).toMatchObject({ count: 3, inHeadings: 1 });
    // A comma parts: the last two words are no phrase.
    expect(grams.get('waterproof pannier')).toMatchObject({
      count: 2,
      inHeadings: 1,
      form: 'waterproof panniers',
    });
    expect(sections.map(({ heading }) => heading)).toEqual(['', 'Waterproof panniers']);
    expect(words).toBe(10);
    expect(sentences.map(({ text, section }) => [text, section])).toEqual([
      ['Intro.', 0],
      ['One waterproof pannier.', 1],
      ['Waterproof, panniers!', 1],
    ]);
  });
});

describe('bands', () => {
  it('are the quartiles, the median and the best', () => {
    expect(bandOf([5, 1, 3, 2, 4])).toEqual({ lower: 2, median: 3, upper: 4, best: 5 });
    expect(bandOf([7])).toEqual({ lower: 7, median: 7, upper: 7, best: 7 });
    expect(bandOf([])).toBeNull();
  });
});

describe('terms', () => {
  const terms = termsOf(PAGES);
  const term = (form: string) => terms.find((each) => each.form === form);
  it('are what many pages use and general English seldom does, as it is mostly written', () => {
    expect(terms.slice(0, 6).map(({ form }) => form)).toEqual(
      expect.arrayContaining(['waterproof panniers']),
    );
    expect(term('waterproof panniers')).toMatchObject({ group: 'staple' });
    expect(term('patch')).toMatchObject({ group: 'staple' });
    // On half of the pages, and nothing but "the".
    expect(term('the')).toBeUndefined();
    expect(term('three')).toBeUndefined();
  });
  it('name the pages that use them, and how often in 1,000 words', () => {
    const hooks = terms.find(({ key }) => key === 'hook')!;
    expect(hooks.pages).toEqual(['https://one.example/', 'https://three.example/']);
    expect(hooks.heading).toBe(true);
    expect(hooks.band.lower).toBeGreaterThan(0);
    expect(hooks.band.upper).toBeGreaterThanOrEqual(hooks.band.lower);
  });
  it('are the same when a page is left out and taken back, and none without pages', () => {
    expect(termsOf(PAGES.slice(0, 3))).not.toEqual(terms);
    expect(termsOf([...PAGES])).toEqual(terms);
    expect(termsOf([])).toEqual([]);
  });
});

describe('topics', () => {
  const likeness = new SectionLikeness(PAGES);
  const topics = topicsOf(PAGES, likeness);
  it('group sections that say the same under other headings; what one page alone says is none', () => {
    expect(topics.map(({ sections }) => sections.map(({ heading }) => heading).sort())).toEqual([
      ['How to mend a hole', 'Mend a hole', 'Mending holes'],
      ['Hooks that fit the rack', 'Which hooks fit'],
    ]);
    expect(topics.map(({ share }) => share)).toEqual([0.75, 0.5]);
    expect(['How to mend a hole', 'Mend a hole', 'Mending holes']).toContain(topics[0].name);
  });
  it('are those of the pages taken in, and the same when one comes back', () => {
    expect(topicsOf(PAGES.slice(0, 2), likeness).map(({ share }) => share)).toEqual([1]);
    expect(topicsOf(PAGES, likeness)).toEqual(topics);
  });
  it('go by headings without their numbers', () => {
    expect(bareHeading('Step 3: Tyres')).toBe('Tyres');
    expect(bareHeading('3. Tyres')).toBe('Tyres');
    expect(bareHeading('24 hours')).toBe('hours');
  });
});
