import { describe, expect, it } from 'vitest';
import type { Category } from '../../listing/index.ts';
import { redirectedTo } from '../redirects.ts';
import { type ArrangedSite, arrangement, linkMoves, type PlacedPost } from './arrangement.ts';
import { mergedCategory, refiled, removedCategory, renamedCategory } from './category-change.ts';

const NOW = '2026-11-30T12:00:00Z';
const category = (name: string, parent = ''): Category => ({
  name,
  slug: name.toLowerCase(),
  description: '',
  parent,
});
const categories = [category('Gear'), category('Packing', 'gear'), category('Routes')];
const site = (more: Partial<ArrangedSite> = {}): ArrangedSite => ({
  addressPattern: '/{category}/{slug}',
  categories,
  redirects: [],
  pages: new Set(['/rent']),
  hasLists: true,
  ...more,
});
const post = (slug: string, inCategory: string, more: Partial<PlacedPost> = {}): PlacedPost => ({
  id: slug,
  title: slug,
  status: 'published',
  slug,
  canonical: '',
  date: '2026-03-05',
  category: inCategory,
  categories: [],
  ...more,
});
const posts = [
  post('bags', 'Packing'),
  post('tent', 'Gear'),
  post('bay', 'Routes'),
  post('soon', 'Routes', { status: 'draft' }),
];
const leads = (redirects: { from: string; to: string | null }[]) =>
  redirects.map(({ from, to }) => `${from} > ${to}`).sort();

describe('another address pattern', () => {
  const plan = arrangement(site(), posts, { addressPattern: '/{year}/{slug}' }, NOW);
  it('shows what becomes of every address', () =>
    expect(plan.moved.map(({ from, to }) => `${from} > ${to}`)).toEqual([
      '/gear/packing/bags > /2026/bags',
      '/gear/tent > /2026/tent',
      '/routes/bay > /2026/bay',
      '/routes/soon > /2026/soon',
    ]));
  it('leads on from addresses that readers know, and from no others', () =>
    expect(leads(plan.redirects)).toEqual([
      '/gear/packing/bags > /2026/bags',
      '/gear/tent > /2026/tent',
      '/routes/bay > /2026/bay',
    ]));
  it('goes back without a circle', () => {
    const back = arrangement(
      site({ addressPattern: '/{year}/{slug}', redirects: plan.redirects }),
      posts,
      { addressPattern: '/{category}/{slug}' },
      NOW,
    );
    expect(leads(back.redirects)).toEqual([
      '/2026/bags > /gear/packing/bags',
      '/2026/bay > /routes/bay',
      '/2026/tent > /gear/tent',
    ]);
  });
  it('collapses chains that led to an address', () => {
    const older = [{ from: '/old', to: '/routes/bay', since: '', why: '' }];
    const again = arrangement(site({ redirects: older }), posts, { addressPattern: '/{slug}' }, NOW);
    expect(redirectedTo('/old', again.redirects)).toBe('/bay');
    expect(again.redirects.find(({ from }) => from === '/old')?.to).toBe('/bay');
  });
  it('keeps redirects to elsewhere as they are', () => {
    const away = [{ from: '/old', to: 'https://other.example/routes/bay', since: '', why: '' }];
    const again = arrangement(site({ redirects: away }), posts, { addressPattern: '/{slug}' }, NOW);
    expect(redirectedTo('/old', again.redirects)).toBe('https://other.example/routes/bay');
  });
  it('is refused where a post has no date', () => {
    const { problems } = arrangement(
      site(),
      [post('bay', 'Routes', { date: '' })],
      { addressPattern: '/{year}/{slug}' },
      NOW,
    );
    expect(problems).toEqual(['The addresses would say the day, and “bay” has no date.']);
  });
  it('is refused where two posts would stand at one address', () => {
    const twins = [post('bay', 'Routes'), post('bay', 'Gear', { id: 'other', title: 'other' })];
    const { problems } = arrangement(site(), twins, { addressPattern: '/{slug}' }, NOW);
    expect(problems[0]).toBe('“bay”, “other” would stand at one address: /bay.');
  });
  it('is refused where a page of the site stands, or the blog keeps the place for itself', () => {
    expect(
      arrangement(site(), [post('rent', 'Routes')], { addressPattern: '/{slug}' }, NOW).problems[0],
    ).toContain('where a page of the site is');
    const taken = arrangement(site(), [post('bay', 'Routes')], { addressPattern: '/category/{slug}' }, NOW);
    expect(taken.problems[0]).toContain('which the blog keeps for itself');
    const many = arrangement(site(), posts, { addressPattern: '/category/{slug}' }, NOW);
    expect(many.problems).toEqual([
      '“bags”, “tent”, “bay” and 1 more would stand under /category, which the blog keeps for itself.',
    ]);
  });
  it('is refused where readers of one post would come to another', () => {
    const two = [post('a', 'b'), post('b', 'a', { status: 'published' })];
    // Each would stand where the other does.
    const { problems } = arrangement(
      site({ categories: [] }),
      two,
      { addressPattern: '/{slug}/{category}' },
      NOW,
    );
    expect(problems).toEqual([
      'Readers know /b/a as “a”; “b” would stand there.',
      'Readers know /a/b as “b”; “a” would stand there.',
    ]);
  });
  it('takes an own old address out of what a post names as its original', () => {
    const own = [post('bay', 'Routes', { canonical: 'https://baker.example/routes/bay/' })];
    expect(arrangement(site(), own, { addressPattern: '/{slug}' }, NOW).ownOriginals).toEqual(['bay']);
    const elsewhere = [post('bay', 'Routes', { canonical: 'https://baker.example/other' })];
    expect(arrangement(site(), elsewhere, { addressPattern: '/{slug}' }, NOW).ownOriginals).toEqual([]);
  });
});

describe('another order of categories', () => {
  const changed = (change: ReturnType<typeof mergedCategory>, around = site()) =>
    arrangement(
      around,
      posts,
      { ...change, filings: new Map(posts.map((one) => [one.id, refiled(one, change)])) },
      NOW,
    );
  it('moves the posts and the list of one that is merged', () => {
    const plan = changed(mergedCategory(categories, 'packing', 'routes'));
    expect(plan.refiled.map(({ id, after }) => [id, after.category])).toEqual([['bags', 'Routes']]);
    expect(leads(plan.redirects)).toEqual([
      '/category/gear/packing > /category/routes/',
      '/gear/packing/bags > /routes/bags',
    ]);
    expect(linkMoves(plan.moved).get('/category/gear/packing')).toBe('/category/routes/');
  });
  it('moves every address below one that is renamed', () => {
    const plan = changed(renamedCategory(categories, 'gear', 'Kit'));
    expect(leads(plan.redirects)).toEqual([
      '/category/gear > /category/kit/',
      '/category/gear/packing > /category/kit/packing/',
      '/gear/packing/bags > /kit/packing/bags',
      '/gear/tent > /kit/tent',
    ]);
  });
  it('changes no address of a post where the pattern does not say the category', () => {
    const plan = changed(
      mergedCategory(categories, 'packing', 'routes'),
      site({ addressPattern: '/{slug}' }),
    );
    expect(plan.moved.filter(({ id }) => id !== null)).toEqual([]);
    expect(plan.refiled).toHaveLength(1);
  });
  it('leaves lists alone where the blog has none of ours', () => {
    const plan = changed(
      renamedCategory(categories, 'routes', 'Ways'),
      site({ addressPattern: '/{slug}', hasLists: false }),
    );
    expect(plan.moved).toEqual([]);
    expect(plan.redirects).toEqual([]);
  });
  it('leads from the list of one that is taken out to the one above, or home', () => {
    const lists = site({ addressPattern: '/{slug}' });
    expect(leads(changed(removedCategory(categories, 'packing'), lists).redirects)).toEqual([
      '/category/gear/packing > /category/gear/',
    ]);
    expect(leads(changed(removedCategory(categories, 'routes'), lists).redirects)).toEqual([
      '/category/routes > /',
    ]);
  });
});
