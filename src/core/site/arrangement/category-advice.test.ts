import { describe, expect, it } from 'vitest';
import type { Category } from '../../listing/index.ts';
import { type AdvisedPost, categoryAdvice } from './category-advice.ts';

const category = (name: string, parent = ''): Category => ({
  name,
  slug: name.toLowerCase(),
  description: '',
  parent,
});
const post = (id: string, inCategory: string, title: string, text: string): AdvisedPost => ({
  id,
  category: inCategory,
  title,
  text,
});
const bread = [
  post(
    'rye',
    'Bread',
    'Dark rye for beginners',
    'Rye flour wants more water. Feed the sourdough starter the evening before, and let the dough rest.',
  ),
  post(
    'crust',
    'Bread',
    'A crust that sings',
    'Steam in the oven makes a crust; the dough of a loaf needs a hot stone. Score the loaf before it bakes.',
  ),
  post(
    'starter',
    'bread',
    'Keeping a sourdough starter',
    'Flour and water, every day. A starter in the fridge is fed once a week, and smells of apples.',
  ),
];
const cakes = [
  post(
    'sponge',
    'Cakes',
    'Sponge without tears',
    'Beat eggs and sugar until pale. Fold in flour; bake the sponge in a buttered tin, and ice it cold.',
  ),
  post(
    'icing',
    'Cakes',
    'Icing that stays',
    'Sugar and egg white, beaten. Spread the icing on a cold cake; butter cream wants a cool room.',
  ),
];

describe('posts without a main category', () => {
  it('are filed where the posts are most like them, with the words that say so', () => {
    const lost = post(
      'loaf',
      '',
      'A loaf on Sunday',
      'Feed your starter on Saturday; the dough of rye flour rests all night, and the loaf bakes on a hot stone.',
    );
    const { homes } = categoryAdvice([...bread, ...cakes, lost], [category('Bread'), category('Cakes')]);
    expect(homes.map(({ id, category: slug }) => [id, slug])).toEqual([['loaf', 'bread']]);
    expect(homes[0].words).toHaveLength(3);
    expect(['loaf', 'starter', 'dough', 'rye', 'stone', 'rest', 'feed', 'hot']).toEqual(
      expect.arrayContaining(homes[0].words),
    );
  });
  it('are like none where they speak of something else, or of nothing', () => {
    const lost = [
      post('tax', 'No such category', 'Opening a shop', 'Rent, permits and a ledger.'),
      post('empty', '', '', ''),
    ];
    const { homes } = categoryAdvice([...bread, ...cakes, ...lost], [category('Bread'), category('Cakes')]);
    expect(homes.map(({ id, category: slug }) => [id, slug])).toEqual([
      ['tax', ''],
      ['empty', ''],
    ]);
  });
});

describe('how many posts a category holds', () => {
  it('is counted with and without those in it', () => {
    const { counts } = categoryAdvice(
      [...bread, ...cakes],
      [category('Bread'), category('Cakes', 'bread'), category('Constructor')],
    );
    expect([...counts]).toEqual([
      ['bread', { own: 3, all: 5 }],
      ['cakes', { own: 2, all: 2 }],
      ['constructor', { own: 0, all: 0 }],
    ]);
  });
});

describe('main categories', () => {
  const names = ['Bread', 'Cakes', 'Sourdough', 'Shop', 'Tools', 'People'];
  const more = [
    post(
      'levain',
      'Sourdough',
      'Levain and patience',
      'A starter of rye flour and water; the dough rests all night, the loaf has a dark crust.',
    ),
    post('rent', 'Shop', 'Finding a shop', 'Rent, permits, a landlord and a ledger of every invoice.'),
    post(
      'mixer',
      'Tools',
      'A mixer for life',
      'Gears, motors and bowls of steel; what breaks and what it costs to repair.',
    ),
    post(
      'anna',
      'People',
      'Anna gets up at three',
      'She cycles through the town and knows every cat by name.',
    ),
  ];
  it('are few enough up to five', () =>
    expect(
      categoryAdvice(
        [...bread, ...cakes],
        names.slice(0, 5).map((name) => category(name)),
      ).nests,
    ).toEqual([]));
  it('count where they hold a post', () =>
    expect(
      categoryAdvice(
        [...bread, ...cakes],
        names.map((name) => category(name)),
      ).nests,
    ).toEqual([]));
  it('beyond five, the one whose posts are most alike to another could stand in it', () => {
    const { nests } = categoryAdvice(
      [...bread, ...cakes, ...more],
      names.map((name) => category(name)),
    );
    expect(nests.map(({ slug, into }) => `${slug} in ${into}`)).toEqual(['sourdough in bread']);
    expect(nests[0].like).toBeGreaterThan(0.1);
    expect(nests[0].like).toBeLessThanOrEqual(1);
  });
});
