import { HtmlValidate } from 'html-validate';
import request from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { countingIds } from '../../core/draft/index.ts';
import { readFeed } from '../../core/formats/feed.ts';
import { readSitemap } from '../../core/formats/sitemap.ts';
import { ADDRESS, entry, newBlog, picture, running } from './blog.test-data.ts';

const validator = new HtmlValidate({
  extends: ['html-validate:recommended', 'html-validate:document'],
  rules: {
    'heading-level': 'error',
    'long-title': 'off',
    'no-inline-style': 'error',
    'require-sri': ['error', { target: 'crossorigin' }],
  },
});

/** What is wrong with a page, a line each. */
const faultsOf = async (html: string): Promise<string[]> => {
  const { results } = await validator.validateString(html);
  return results.flatMap(({ messages }) =>
    messages.map(({ ruleId, message, line, column }) => `${ruleId} ${line}:${column} ${message}`),
  );
};

const { app, store } = newBlog();
const get = (path: string) => request(app).get(path).set('host', '127.0.0.1');
const hour = (at: number) => `2026-11-${String(10 + at).padStart(2, '0')}T08:00:00Z`;

beforeAll(() => {
  const reeds = store.putPicture(picture('dyke-lane-reeds.webp'), 'reeds.webp')!;
  const gauge = store.putPicture(picture('touring-tyre-pressure-gauge.webp'), 'gauge.webp')!;
  const text = (subject: string) =>
    `<p>The ${subject} rests for a night. A ${subject} needs salt, water and time.</p>`;
  for (let at = 0; at < 7; at++)
    store.create(
      entry({
        uid: `post-${at}`,
        name: at === 0 ? 'Rye "two" & <three>' : `Loaf number ${at}`,
        'mp-slug': `loaf-${at}`,
        summary: `What loaf ${at} is about.`,
        published: hour(at),
        updated: hour(at + 1),
        author: at % 2 ? 'Ines Tarn' : 'Tobias Wren',
        category: at === 6 ? ['salt'] : ['Rye', 'salt'],
        'main-category': at === 6 ? '' : 'Rye',
        'meta-description': 'A loaf.',
        featured: { value: reeds, alt: 'Reeds' },
        content: {
          html: `${text(at < 3 ? 'sourdough' : 'baguette')}<h2>Dough</h2><p><img src="${gauge}" alt="A gauge" width="400"></p><h3>Salt</h3><ul><li>a</li></ul><h2>FAQ</h2><h3>How long?</h3><p>A night.</p><p><a href="/journal/loaf-1">the other</a></p><div class="pictures" style="display:grid"><figure class="across-2"><img src="${gauge}" alt="b"></figure><figure class="across-2"><img src="${gauge}" alt="c"></figure></div><table><tbody><tr><th>a</th><td>b</td></tr></tbody></table>`,
        },
      }).properties,
    );
});

describe('pages of the blog', () => {
  it.each([
    '/',
    '/page/2/',
    '/category/loaves/',
    '/category/loaves/rye/',
    '/category/tools/',
    '/author/ines-tarn/',
    '/journal/loaf-0',
    '/journal/loaf-5',
    '/prices',
    '/search?q=salt',
    '/search?q=%3Cscript%3E',
    '/nowhere',
  ])('%s is valid, and runs nothing', async (path) => {
    const page = await get(path);
    expect(await faultsOf(page.text)).toEqual([]);
    expect(running(page.text)).toEqual([]);
    expect(page.headers['content-security-policy']).toContain("default-src 'none'");
    expect(page.headers['content-security-policy']).not.toContain('script-src');
    // Nothing is loaded from another host.
    for (const [, address] of page.text.matchAll(/(?:src|href)="(https?:[^"]+)"/g))
      expect(address.startsWith(ADDRESS)).toBe(true);
  });
  it('show the newest first, so many a page, and lead from one to the next', async () => {
    const titles = (text: string) =>
      [...text.matchAll(/class="u-url" href="[^"]+">([^<]+)</g)].map(([, title]) => title);
    const first = (await get('/')).text;
    expect(titles(first)).toEqual(['Loaf number 6', 'Loaf number 5', 'Loaf number 4']);
    expect(first).toContain('<link rel="next" href="/page/2/">');
    const last = (await get('/page/3/')).text;
    expect(titles(last)).toEqual([
      'Rye &#x22;two&#x22; &#x26; &#x3C;three>'.replace('&#x22;', '"').replace('&#x22;', '"'),
    ]);
    expect(last).not.toContain('rel="next"');
    expect((await get('/page/4/')).status).toBe(404);
    expect((await get('/page/1/')).status).toBe(404);
    expect((await get('/page/constructor/')).status).toBe(404);
  });
  it('list in a category what stands in those within it', async () => {
    const { text } = await get('/category/loaves/');
    expect(text).toContain('Loaf number 5');
    expect((await get('/category/loaves/rye/page/2/')).text).toContain('Loaf number 2');
    expect((await get('/category/tools/')).text).toContain('Nothing has been published here yet.');
    expect((await get('/category/rye/')).status).toBe(404);
  });
  it('of a post say what search and networks need', async () => {
    const { text } = await get('/journal/loaf-0');
    expect(text).toContain('<title>Rye "two" &#x26; &#x3C;three> | The Rye Oven</title>');
    expect(text).toContain(`<link rel="canonical" href="${ADDRESS}/journal/loaf-0">`);
    expect(text).toMatch(/<meta property="og:image" content="http:\/\/127\.0\.0\.1:4311\/media\/reeds-/);
    const data = [...text.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/g)].map(
      ([, json]) => JSON.parse(json) as { '@type': string; itemListElement?: { name: string }[] },
    );
    expect(data.map((one) => one['@type'])).toEqual(['BlogPosting', 'BreadcrumbList', 'FAQPage']);
    expect(data[1].itemListElement?.map(({ name }) => name)).toEqual([
      'The Rye Oven',
      'Loaves',
      'Rye',
      'Rye "two" & <three>',
    ]);
    // Pictures have their pixels, so that nothing jumps.
    expect(text).toMatch(
      /<img src="\/media\/gauge-[^"]+" alt="A gauge" width="400" height="\d+" loading="lazy">/,
    );
    expect(text).not.toContain('style=');
    // Those that are alike: the other sourdoughs.
    const related = text.slice(text.indexOf('class="related"'));
    expect(related).toContain('/journal/loaf-1');
    expect(related).toContain('/journal/loaf-2');
  });
  it('beside the posts stand at their own addresses, in the navigation and in the sitemap', async () => {
    const { text } = await get('/prices');
    expect(text).toContain('<h1>Prices &#x3C;of> loaves</h1>');
    expect(text).toContain('<p>A loaf is £4.</p>');
    expect(text).toContain(`<link rel="canonical" href="${ADDRESS}/prices">`);
    expect((await get('/')).text).toContain('<a href="/prices">');
    expect((await get('/prices/')).headers['location']).toBe('/prices');
    expect((await get('/sitemap.xml')).text).toContain(`<loc>${ADDRESS}/prices</loc>`);
    // The folder that posts stand in leads to the list of them.
    expect((await get('/journal')).headers['location']).toBe('/');
  });
  it('show pictures in a row, each of which leads to the whole of it', async () => {
    const { text } = await get('/journal/loaf-0');
    expect(text).toMatch(/<figure class="across-2"><a href="(\/media\/gauge-[^"]+)"><img src="\1" alt="b"/);
  });
  it('have one address each', async () => {
    const answer = await get('/journal/loaf-1/?from=feed');
    expect([answer.status, answer.headers['location']]).toEqual([301, '/journal/loaf-1?from=feed']);
    expect((await get('/journal/LOAF-1')).status).toBe(301);
  });
  it('of a host that is not its own are refused', async () =>
    expect((await request(app).get('/').set('host', 'evil.example')).status).toBe(421));
});

describe('what machines read', () => {
  it.each(['/rss.xml', '/atom.xml'])(
    '%s holds the newest posts whole, read by another reader than the writer',
    async (path) => {
      const { text } = await get(path);
      const feed = readFeed(text, countingIds());
      expect(feed.map(({ address }) => address).slice(0, 2)).toEqual([
        `${ADDRESS}/journal/loaf-6`,
        `${ADDRESS}/journal/loaf-5`,
      ]);
      const [{ document, title }] = feed;
      expect(title).toBe('Loaf number 6');
      expect(document?.draft.blocks.map(({ text: words }) => words)).toContain('Dough');
      const sources = (document?.draft.blocks ?? []).flatMap(({ image }) => image?.src ?? []);
      expect(sources.every((src) => src.startsWith(`${ADDRESS}/media/`))).toBe(true);
      expect(sources.length).toBeGreaterThan(0);
    },
  );
  it('a JSON feed', async () => {
    const feed = JSON.parse((await get('/feed.json')).text);
    expect(feed.version).toBe('https://jsonfeed.org/version/1.1');
    expect(feed.items).toHaveLength(7);
    expect(feed.items[0]).toMatchObject({
      title: 'Loaf number 6',
      authors: [{ name: 'Tobias Wren' }],
      tags: ['salt'],
    });
  });
  it('a sitemap with whole instants and pictures', async () => {
    const { text } = await get('/sitemap.xml');
    const { pages } = readSitemap(text);
    expect(pages.map(({ address }) => address)).toEqual(
      expect.arrayContaining([`${ADDRESS}/`, `${ADDRESS}/category/loaves/rye/`, `${ADDRESS}/journal/loaf-0`]),
    );
    expect(text).toContain('<lastmod>2026-11-11T08:00:00.000Z</lastmod>');
    expect(text).toMatch(/<image:loc>http:\/\/127\.0\.0\.1:4311\/media\/gauge-/);
  });
  it('rules for robots', async () =>
    expect((await get('/robots.txt')).text).toContain(`Sitemap: ${ADDRESS}/sitemap.xml`));
});
