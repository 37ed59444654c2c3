import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../../core/criteria/index.ts';
import { readArticle } from '../../core/draft/index.ts';
import { Vocabulary, WordBases } from '../../core/language/index.ts';
import { readStudyPage, StudyBook } from '../../core/study/index.ts';
import { World } from './world.ts';
import { buildWorld } from './world-data.ts';

const QUERY = 'waterproof panniers';
/** Nine pages about panniers, and one about motorcycles, as a person who read them would say. */
const ABOUT = [
  'brasswick.example/waterproof-panniers',
  'answerwell.example/are-panniers-waterproof',
  'oxterbags.example/how-we-make-them-waterproof',
  'gearledger.example/waterproof-panniers',
  'fenwheel.example/mending-panniers',
  'spokeside.example/waterproof-or-cheap-with-liners',
  'rollingfacts.example/do-rain-covers-work',
  'pedalandtarn.example/panniers-roll-top-buying-guide',
  'longverge.example/in-praise-of-the-wet-bag',
].map((address) => `https://${address}`);
const MOTORCYCLES = 'https://harrowmotor.example/motorcycle-panniers';

/** What a reader of the nine wrote down as the words of the subject. */
const STAPLES = [
  'waterproof panniers',
  'hooks',
  'hole',
  'litres',
  'rain',
  'dry',
  'seam',
  'welded',
  'patch',
  'water',
];
const SUPPORTING = ['rack', 'rail', 'liner', 'lid', 'corner', 'spray', 'tubes', 'winter'];
/** Sections that say the same, by the headings as written. */
const TOPICS: Record<string, string[]> = {
  size: [
    'How many litres?',
    'What Size Should Waterproof Panniers Have?',
    'Which size?',
    'Size',
    '3. How many litres?',
  ],
  hooks: ['5. Hooks and rail', 'Hooks', 'The rail'],
  closure: ['Roll-top or lid?', 'Are All Roll-Top Panniers Waterproof?'],
  care: ['Looking after waterproof panniers', 'Care and repair'],
  price: ['How Much Do Waterproof Panniers Cost?', 'What we paid'],
  rack: ['Will they fit my rack?', '5. Do your heels hit?'],
  leaks: ['2. Cutting', 'Where they leak'],
};
/** Asked, and answered by none of the nine. */
const UNSAID = ['can you use waterproof panniers as a rucksack'];
/** Asked, and answered by one of them under a heading of its own. */
const SAID_ONCE = 'What is the difference between waterproof and water resistant panniers?';

const world = new World(buildWorld(join(import.meta.dirname, 'world')));
const bases = new WordBases(new Vocabulary());
const found = world.results(QUERY, 'GB', 20);
const readings = found
  .filter(({ address }) => ABOUT.includes(address) || address === MOTORCYCLES)
  .map(({ address, publisher, kind, rank, html }) =>
    readStudyPage(
      { address, publisher, kind, rank, document: readArticle(html) },
      QUERY,
      bases,
      defaultProfile,
    ),
  );
const book = new StudyBook(
  readings,
  {
    query: QUERY,
    asked: world.questions([QUERY], 'GB'),
    phrases: world.related([QUERY], 'GB').map(({ phrase, volume }) => ({ phrase, volume })),
  },
  bases,
);
const study = book.study(new Set([MOTORCYCLES]));

describe('a study of ten pages about panniers', () => {
  it('finds the terms that a reader of the pages wrote down', () => {
    const group = (name: string) => study.terms.filter((term) => term.group === name).map(({ form }) => form);
    expect(STAPLES.filter((form) => !group('staple').includes(form))).toEqual([]);
    expect(SUPPORTING.filter((form) => !group('supporting').includes(form))).toEqual([]);
    // At least four of the first five-and-twenty are words of the subject, none of grammar.
    const first = study.terms.slice(0, 25).map(({ form }) => form);
    expect(first.filter((form) => /^(?:the|and|you|for|one|very)$/.test(form))).toEqual([]);
    expect(first.filter((form) => STAPLES.includes(form)).length).toBeGreaterThanOrEqual(8);
  });

  it('brings together the sections that say the same', () => {
    for (const [name, headings] of Object.entries(TOPICS)) {
      const holding = study.topics.filter(({ sections }) =>
        sections.some(({ heading }) => headings.includes(heading)),
      );
      const best = Math.max(
        ...holding.map(
          ({ sections }) =>
            headings.filter((each) => sections.some(({ heading }) => heading === each)).length,
        ),
      );
      expect([name, best]).toEqual([name, headings.length]);
    }
    expect(study.topics[0].pages).toHaveLength(5);
  });

  it('finds what is asked and none of them says', () => {
    const unsaid = study.unsaid.filter(({ pages }) => pages.length === 0).map(({ text }) => text);
    expect(UNSAID.filter((text) => !unsaid.includes(text))).toEqual([]);
    expect(study.questions.find(({ text }) => text === SAID_ONCE)?.pages).toEqual([
      'https://answerwell.example/are-panniers-waterproof',
    ]);
    expect(unsaid).not.toContain('how long do waterproof panniers last');
  });

  it('suggests to leave out the thread, the shop’s list and the motorcycles, and no other', () => {
    const whole = new StudyBook(
      found.map(({ address, publisher, kind, rank, html }) =>
        readStudyPage(
          { address, publisher, kind, rank, document: readArticle(html) },
          QUERY,
          bases,
          defaultProfile,
        ),
      ),
      { query: QUERY, asked: [], phrases: [] },
      bases,
    );
    const reasons = new Map(whole.leaveOut().map(({ address, reason }) => [address, reason]));
    expect(reasons.get('https://spokeside.example/waterproof-or-cheap-with-liners')).toContain('forum');
    expect(reasons.get('https://brasswick.example/waterproof-panniers')).toContain('prices');
    expect(reasons.get(MOTORCYCLES)).toContain('motorcycle');
    for (const address of ABOUT.slice(1, 5))
      expect([address, reasons.get(address)]).toEqual([address, undefined]);
  });

  it('cites figures with the page that states them', () => {
    const cited = study.statements.map(({ text }) => text);
    expect(cited).toContain('In 2024 we hung 6,212 bags, and 74 dripped.');
    expect(cited.some((text) => text.startsWith('Studies show that 7 out of 10 cyclists'))).toBe(true);
    expect(cited.some((text) => text.includes('from 412 reviews'))).toBe(false);
  });
});
