import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { ADDRESS, entry, newBlog, picture } from './blog.test-data.ts';

const post = (slug: string, category: string, published = '2026-03-05T08:00:00Z') =>
  entry({
    uid: slug,
    name: slug,
    'mp-slug': slug,
    published,
    'main-category': category,
    category: [category],
    content: { html: '<p>Rye flour wants more water.</p>' },
  }).properties;

function ordered() {
  const blog = newBlog();
  for (const [slug, category] of [
    ['crust', 'Rye'],
    ['whisk', 'Tools'],
    ['alone', ''],
  ])
    blog.store.create(post(slug, category));
  const get = (path: string) => request(blog.app).get(path).set('host', '127.0.0.1');
  const lead = async (path: string) => {
    const { status, headers } = await get(path);
    return `${status} ${headers['location'] ?? ''}`.trim();
  };
  const set = (more: object) => {
    blog.store.settings = { ...blog.store.settings, ...more };
  };
  return { ...blog, get, lead, set };
}

describe('a blog whose posts stand at another address pattern', () => {
  it('has them in their categories, with the category that those stand in', async () => {
    const { lead, set } = ordered();
    set({ addressPattern: '/{category}/{slug}' });
    expect(await lead('/loaves/rye/crust')).toBe('200');
    expect(await lead('/tools/whisk')).toBe('200');
    expect(await lead('/alone')).toBe('200');
    // What an address begins with leads to the list.
    expect(await lead('/loaves/rye/')).toBe('301 /category/loaves/rye/');
    expect(await lead('/loaves')).toBe('301 /category/loaves/');
  });
  it('has them by their day', async () => {
    const { lead, set, store } = ordered();
    set({ addressPattern: '/{year}/{month}/{slug}' });
    expect(await lead('/2026/03/crust')).toBe('200');
    store.create(post('odd', 'Tools', 'no date'));
    expect(await lead('/odd')).toBe('200');
  });
  it('leads there from where the house says they were, and takes orders for them there', async () => {
    const { lead, set, store } = ordered();
    set({
      addressPattern: '/{category}/{slug}',
      redirects: [
        { from: '/journal/crust', to: '/loaves/rye/crust', since: '', why: '' },
        { from: '/older', to: '/journal/crust', since: '', why: '' },
        { from: '/gone', to: null, since: '', why: '' },
        { from: '/tools/whisk', to: '/alone', since: '', why: '' },
      ],
    });
    expect(await lead('/journal/crust')).toBe('301 /loaves/rye/crust');
    expect(await lead('/older')).toBe('301 /loaves/rye/crust');
    expect(await lead('/gone')).toBe('410');
    // A page that stands comes before whatever leads away from there.
    expect(await lead('/tools/whisk')).toBe('200');
    expect(store.byAddress(`${ADDRESS}/journal/crust`)?.uid).toBe('crust');
    expect(store.byAddress(`${ADDRESS}/gone`)).toBeUndefined();
  });
  it('leads on by itself where a post is filed elsewhere', async () => {
    const { lead, set, store } = ordered();
    set({ addressPattern: '/{category}/{slug}' });
    store.change(store.byPath('/tools/whisk')!, post('whisk', 'Rye'));
    expect(await lead('/loaves/rye/whisk')).toBe('200');
    expect(await lead('/tools/whisk')).toBe('301 /loaves/rye/whisk');
  });
  it('keeps its order when it is started anew', async () => {
    const { folder, set } = ordered();
    set({ addressPattern: '/{year}/{slug}', redirects: [{ from: '/a', to: '/b', since: '', why: '' }] });
    const again = newBlog({ folder });
    expect(again.store.settings.redirects).toHaveLength(1);
    expect((await request(again.app).get('/2026/crust').set('host', '127.0.0.1')).status).toBe(200);
  });
});

describe('the list of a category', () => {
  it('shows its picture above the posts, and gives it to those who share it', async () => {
    const { get, set, store } = ordered();
    const src = store.putPicture(picture('dyke-lane-reeds.webp'), 'reeds.webp')!;
    const [loaves, ...others] = store.settings.categories;
    set({ categories: [{ ...loaves, picture: { src, alt: 'Reeds' } }, ...others] });
    const { text } = await get('/category/loaves/');
    expect(text).toMatch(
      new RegExp(`<figure class="featured"><img src="${src}" alt="Reeds" width="\\d+" height="\\d+">`),
    );
    expect(text).toContain(`<meta property="og:image" content="${ADDRESS}${src}">`);
  });
});
