import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../../core/criteria/index.ts';
import { readArticle } from '../../core/draft/index.ts';
import { Vocabulary, WordBases } from '../../core/language/index.ts';
import { readStudyPage, StudyBook } from '../../core/study/index.ts';
import { World } from './world.ts';
import { buildWorld } from './world-data.ts';

const QUERY = 'waterproof panniers';
/** Pages of the twenty found that are no articles about panniers for bicycles, as a person who read them would say. */
const MOTORCYCLES = 'https://harrowmotor.example/motorcycle-panniers';
const THREADS = ['waterproof-or-cheap-with-liners', 'which-waterproof-panniers-for-all-weather'].map(
  (name) => `https://spokeside.example/${name}`,
);
/** It speaks of panniers in passing: it may go or stay. */
const PASSING = 'https://smallwheels.example/packing-with-children';
const PRICES = 'https://brasswick.example/waterproof-panniers';

/** What a reader of the pages wrote down as the words of the subject. */
const STAPLES = [
  'waterproof panniers',
  'roll-top',
  'hooks',
  'litres',
  'rain',
  'dry',
  'corner',
  'welded',
  'water',
  'rack',
  'wheel',
];
const SUPPORTING = ['rail', 'lower corner', 'tent', 'cloth', 'welded seams', 'strap'];
/** Sections that say the same, by the headings as written. */
const TOPICS: Record<string, string[]> = {
  size: [
    'What Size Should Waterproof Panniers Have?',
    'Which size?',
    'Size',
    '2. How many litres?',
    'Which size for what',
    'Count the litres first',
    'Size and fit',
  ],
  hooks: ['5. Hooks and rail', 'Hooks', '5. Can you get hooks?', 'Hooks and spare parts'],
  closure: ['Closure', 'The closure', 'Closures', '4. The closure'],
  care: ['Looking after waterproof panniers', 'Care and repair', 'Looking after them'],
  price: ['How Much Do Waterproof Panniers Cost?', 'What we paid', '7. What should they cost?'],
  seams: ['Seams', 'A seam', '4. How is the seam made?'],
  holes: ['Mending one yourself', 'Mending a hole', 'A small hole'],
  leaks: ['Leaks', 'Where they leak', 'Find the leak first'],
};
/** Asked, and answered by at most one of them. */
const UNSAID = ['can you use waterproof panniers as a rucksack'];
/** Asked, and answered by two of them. */
const SAID_BY_FEW = 'What is the difference between waterproof and water resistant panniers?';

const world = new World(buildWorld(join(import.meta.dirname, 'world')));
const bases = new WordBases(new Vocabulary());
const found = world.results(QUERY, 'GB', 20);
const readings = found.map(({ address, publisher, kind, rank, html }) =>
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
const suggested = new Map(book.leaveOut().map(({ address, reason }) => [address, reason]));
const study = book.study(new Set(suggested.keys()));

describe('a study of the pages found for panniers', () => {
  it('finds the terms that a reader of the pages wrote down', () => {
    const group = (name: string) => study.terms.filter((term) => term.group === name).map(({ form }) => form);
    expect(STAPLES.filter((form) => !group('staple').includes(form))).toEqual([]);
    const known = [...group('staple'), ...group('supporting')];
    expect(SUPPORTING.filter((form) => !known.includes(form))).toEqual([]);
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
    expect(study.topics[0].pages.length).toBeGreaterThan(8);
  });

  it('finds what is asked and hardly any of them says', () => {
    const unsaid = study.unsaid.map(({ text }) => text);
    expect(UNSAID.filter((text) => !unsaid.includes(text))).toEqual([]);
    expect(study.questions.find(({ text }) => text === SAID_BY_FEW)?.pages).toContain(
      'https://answerwell.example/are-panniers-waterproof',
    );
    expect(unsaid).not.toContain('how long do waterproof panniers last');
  });

  it('suggests to leave out the threads, the shop’s list and the motorcycles, and no other', () => {
    expect([...suggested.keys()].filter((address) => address !== PASSING).sort()).toEqual(
      [...THREADS, PRICES, MOTORCYCLES].sort(),
    );
    expect(suggested.get(THREADS[0])).toContain('forum');
    expect(suggested.get(PRICES)).toContain('prices');
    expect(suggested.get(MOTORCYCLES)).toContain('motorcycle');
  });

  it('cites figures with the page that states them', () => {
    const cited = study.statements.map(({ text }) => text);
    expect(cited).toContain('In 2024 we hung 6,212 bags, and 74 dripped.');
    expect(cited.some((text) => text.startsWith('Studies show that 7 out of 10 cyclists'))).toBe(true);
    expect(cited.some((text) => text.includes('from 412 reviews'))).toBe(false);
  });
});
