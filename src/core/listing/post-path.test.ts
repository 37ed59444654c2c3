import { describe, expect, it } from 'vitest';
import {
  type Category,
  categoriesInTree,
  categoryPath,
  folderOfPosts,
  patternProblem,
  postPath,
} from './index.ts';

const category = (name: string, slug: string, parent = ''): Category => ({
  name,
  slug,
  description: '',
  parent,
});
const categories = [
  category('Gear', 'gear'),
  category('Packing', 'packing', 'gear'),
  category('Routes', 'routes'),
];

describe('the address of a post', () => {
  const post = { slug: 'dry-bags', category: 'Packing', date: '2026-03-05T09:00:00+01:00' };
  it.each([
    ['/{slug}', '/dry-bags'],
    ['journal/{slug}/', '/journal/dry-bags/'],
    ['/{category}/{slug}', '/gear/packing/dry-bags'],
    ['/{year}/{month}/{day}/{slug}', '/2026/03/05/dry-bags'],
    ['/blog/{year}-{month}/{slug}.html', '/blog/2026-03/dry-bags.html'],
  ])('%s makes %s', (addressPattern, path) =>
    expect(postPath({ addressPattern, categories }, post)).toBe(path),
  );

  it('leaves out a category that the post has not', () =>
    expect(postPath({ addressPattern: '/{category}/{slug}', categories }, { slug: 'a' })).toBe('/a'));
  it('writes a category that the blog does not have by its name', () =>
    expect(postPath({ addressPattern: '/{category}/{slug}' }, { slug: 'a', category: 'Day Trips' })).toBe(
      '/day-trips/a',
    ));
  it('knows a category whatever its capitals', () =>
    expect(
      postPath({ addressPattern: '/{category}/{slug}', categories }, { slug: 'a', category: ' routes ' }),
    ).toBe('/routes/a'));
  it('is none without a slug, or without a date where it says the day', () => {
    expect(postPath({ addressPattern: '/{slug}' }, { slug: '' })).toBeNull();
    expect(postPath({ addressPattern: '/{year}/{slug}' }, { slug: 'a' })).toBeNull();
    expect(postPath({ addressPattern: '/{year}/{slug}' }, { slug: 'a', date: 'soon' })).toBeNull();
  });
  it('takes what a slug says for no instruction', () =>
    expect(postPath({ addressPattern: '/j/{slug}' }, { slug: "$&-$1-$'" })).toBe("/j/$&-$1-$'"));
  it.each(['constructor', '__proto__', 'toString'])('stands in a category called %s', (name) =>
    expect(
      postPath(
        { addressPattern: '/{category}/{slug}', categories: [category(name, 'odd')] },
        { slug: name, category: name },
      ),
    ).toBe(`/odd/${name}`),
  );
});

describe('the tree of categories', () => {
  it('names those within one behind it', () =>
    expect(categoriesInTree([categories[1], categories[2], categories[0]]).map(({ slug }) => slug)).toEqual([
      'routes',
      'gear',
      'packing',
    ]));
  it('has a list for each', () =>
    expect(categories.map(({ slug }) => categoryPath({ categories }, slug))).toEqual([
      '/category/gear/',
      '/category/gear/packing/',
      '/category/routes/',
    ]));
});

describe('an address pattern', () => {
  it.each(['/{slug}', '/journal/{slug}/', '/{category}/{year}/{slug}.html', '/a_b~c/{slug}'])(
    'can be %s',
    (pattern) => expect(patternProblem(pattern)).toBe(''),
  );
  it.each([
    ['{slug}', 'begins with a slash'],
    ['/journal', 'needs {slug} once'],
    ['/{slug}/{slug}', 'needs {slug} once'],
    ['/{title}/{slug}', '{title} says nothing'],
    ['/{constructor}/{slug}', '{constructor} says nothing'],
    ['/{slug', 'needs {slug} once'],
    ['/{category/{slug}', 'not closed'],
    ['/Journal/{slug}', 'small letters'],
    ['/a b/{slug}', 'small letters'],
    ['/a?x=/{slug}', 'small letters'],
    ['/../{slug}', 'dots alone'],
  ])('cannot be %s: %s', (pattern, says) => expect(patternProblem(pattern)).toContain(says));

  it.each([
    ['/{slug}', '/'],
    ['/journal/{slug}', '/journal'],
    ['/journal/{year}/{slug}', '/journal'],
    ['/a/b/{slug}', '/a/b'],
    ['/post-{slug}', '/'],
    ['journal/{slug}', '/journal'],
  ])('%s keeps posts in %s', (pattern, folder) => expect(folderOfPosts(pattern)).toBe(folder));
});
