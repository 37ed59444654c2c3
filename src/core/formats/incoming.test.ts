import { strToU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { countingIds, UnreadableFile } from '../draft/index.ts';
import { type Incoming, readIncoming } from './index.ts';

const read = (name: string, text: string): Promise<Incoming> =>
  readIncoming(strToU8(text), name, countingIds());

const RSS = (items: string) =>
  `<?xml version="1.0" encoding="UTF-8"?><!DOCTYPE rss [<!ENTITY big "aaaaaaaaaa">]>
<rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/" xmlns:dc="http://purl.org/dc/elements/1.1/">
<channel><link>https://saltmarsh.example/</link><language>en-GB</language>${items}</channel></rss>`;

describe('a feed', () => {
  it('in RSS with full texts becomes posts with address, date, author, categories and picture', async () => {
    const { kind, posts, pages } = await read(
      'feed.xml',
      RSS(`<item><title>Riding &amp;amp; resting</title><link>/journal/rest</link>
<pubDate>Wed, 05 Mar 2025 08:00:00 GMT</pubDate><dc:creator>Ines Tarn</dc:creator>
<category>Routes</category><category>Slow</category>
<enclosure url="https://saltmarsh.example/dyke.jpg" type="image/jpeg" length="1"/>
<description>Short.</description><content:encoded><![CDATA[<h2>Why</h2><p>Because.</p>]]></content:encoded></item>`),
    );
    expect([kind, pages, posts.length]).toEqual(['feed', [], 1]);
    expect(posts[0].fields).toMatchObject({
      title: 'Riding & resting',
      canonical: 'https://saltmarsh.example/journal/rest',
      slug: 'rest',
      status: 'published',
      date: '2025-03-05T08:00:00Z',
      author: 'Ines Tarn',
      category: 'Routes',
      categories: ['Slow'],
      language: 'en-GB',
      excerpt: 'Short.',
      image: 'https://saltmarsh.example/dyke.jpg',
    });
    expect(posts[0].draft.blocks.map(({ kind: block, text }) => [block, text])).toEqual([
      ['heading', 'Why'],
      ['paragraph', 'Because.'],
    ]);
  });

  it('in Atom is read alike, XHTML content too', async () => {
    const { posts } = await read(
      'atom.xml',
      `<feed xmlns="http://www.w3.org/2005/Atom" xml:lang="en"><link href="https://saltmarsh.example/"/>
<entry><title type="html">&lt;b&gt;Mill&lt;/b&gt;</title><link rel="edit" href="/edit"/><link href="/mill"/>
<published>2025-01-02T03:04:05Z</published><updated>2025-02-03T00:00:00Z</updated><author><name>Odd</name></author>
<category term="routes" label="Routes"/>
<content type="xhtml"><div xmlns="http://www.w3.org/1999/xhtml"><p>One <em>two</em></p></div></content></entry></feed>`,
    );
    expect(posts[0].fields).toMatchObject({
      title: 'Mill',
      slug: 'mill',
      date: '2025-01-02T03:04:05Z',
      updated: '2025-02-03T00:00:00Z',
      author: 'Odd',
      category: 'Routes',
    });
    expect(posts[0].draft.blocks[0].text).toBe('One two');
  });

  it('with summaries only gives pages and says so', async () => {
    const { posts, pages, notes } = await read(
      'rss.xml',
      RSS('<item><title>A</title><link>/a</link><description>Read more.</description></item>'),
    );
    expect(posts).toEqual([]);
    expect(pages).toEqual([{ address: 'https://saltmarsh.example/a', title: 'A' }]);
    expect(notes.join()).toContain('1 entry has a summary only');
  });

  it('that is broken, empty, nested without end or full of entities is refused or read, never worse', async () => {
    await expect(read('a.xml', RSS('<item>'))).rejects.toThrow(/its XML is broken at line/);
    await expect(read('b.xml', `<rss>${'<a>'.repeat(20_000)}`)).rejects.toBeInstanceOf(UnreadableFile);
    const bomb = await read(
      'c.xml',
      RSS('<item><title>&big;&big;</title><link>/a</link><description>x</description></item>'),
    );
    expect(bomb.pages[0].title).toBe('&big;&big;');
  });
});

describe('a sitemap', () => {
  it('names pages', async () => {
    const { kind, pages } = await read(
      'sitemap.xml',
      '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://a.example/x?y=1&amp;z=2</loc><lastmod>2025-01-01</lastmod></url><url><loc> /b </loc></url></urlset>',
    );
    expect([kind, pages]).toEqual([
      'sitemap',
      [{ address: 'https://a.example/x?y=1&z=2' }, { address: '/b' }],
    ]);
  });
  it('of sitemaps says which to bring', async () => {
    const { pages, notes } = await read(
      'index.xml',
      '<sitemapindex><sitemap><loc>https://a.example/1.xml</loc></sitemap></sitemapindex>',
    );
    expect(pages).toEqual([]);
    expect(notes).toEqual([expect.stringContaining('Bring those: https://a.example/1.xml')]);
  });
});

describe('a list of addresses', () => {
  it.each<[string, string]>([
    ['semicolons, a header and quotes', 'Title;Page URL\n"About; us";/about\nRent;https://a.example/rent'],
    ['tabs without a header', '/about\tAbout; us\nhttps://a.example/rent\tRent'],
    ['a byte order mark', '\ufeffurl,title\n/about,About; us\nhttps://a.example/rent,Rent'],
  ])('with %s', async (_what, text) => {
    const { pages } = await read('list.csv', text);
    expect(pages).toEqual([
      { address: '/about', title: 'About; us' },
      { address: 'https://a.example/rent', title: 'Rent' },
    ]);
  });
  it('names the lines that hold none', async () => {
    const { pages, notes } = await read('list.csv', 'url\n/a\nnot one\n/b\nnor this');
    expect(pages.map(({ address }) => address)).toEqual(['/a', '/b']);
    expect(notes).toEqual(['Lines 3, 5: no address; left out.']);
  });
  it('as plain text is told from a post', async () => {
    expect((await read('pages.txt', '/a\n/b\n\n/c')).pages).toHaveLength(3);
    expect((await read('post.txt', 'A title\n\nSee /a and write to us.')).posts).toHaveLength(1);
    await expect(read('none.csv', 'a,b\nc,d')).rejects.toThrow('holds no address');
  });
});
