import { describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown, writeHtml } from '../draft/index.ts';
import { blogEntry, emptyBlog, entryProperties, postPage, relatedPosts } from './index.ts';

const { draft } = readMarkdown('The *tide* comes twice.\n\n## When\n\n- noon\n- midnight\n');
const fields = {
  ...emptyFields(),
  title: 'Tide tables',
  metaTitle: 'Tide tables for riders',
  metaDescription: 'When the causeway is dry.',
  slug: 'tide-tables',
  excerpt: 'Dry feet.',
  category: 'Planning',
  categories: ['Routes'],
  tags: ['tides', 'Routes'],
  author: 'Ines Tarn',
  date: '2026-05-01T07:00:00Z',
  updated: '2026-06-01T07:00:00Z',
  image: '/media/dyke.webp',
  imageAlt: 'The dyke',
  shareTitle: 'Dry feet at noon',
  status: 'published' as const,
  goal: 'More rentals',
  keyword: 'tide table',
};

describe('a post that is handed to a blog', () => {
  const properties = entryProperties('post-1', { fields, draft });
  it('says what the blog needs, and nothing of the brief', () => {
    expect(properties).toMatchObject({
      uid: ['post-1'],
      name: ['Tide tables'],
      summary: ['Dry feet.'],
      category: ['Planning', 'Routes', 'tides'],
      'main-category': ['Planning'],
      featured: [{ value: '/media/dyke.webp', alt: 'The dyke' }],
      'post-status': ['published'],
      'mp-slug': ['tide-tables'],
      'meta-description': ['When the causeway is dry.'],
      'share-title': ['Dry feet at noon'],
    });
    expect(JSON.stringify(properties)).not.toMatch(/More rentals|tide table"/);
    expect(properties).not.toHaveProperty('canonical');
  });
  it('stands there with the same words, pictures and listing', () => {
    expect(blogEntry(properties, 'tide-tables')).toMatchObject({
      uid: 'post-1',
      title: 'Tide tables',
      metaTitle: 'Tide tables for riders',
      html: writeHtml(draft),
      mainCategory: 'Planning',
      categories: ['Routes', 'tides'],
      published: '2026-05-01T07:00:00Z',
      updated: '2026-06-01T07:00:00Z',
      featured: { src: '/media/dyke.webp', alt: 'The dyke' },
      shareTitle: 'Dry feet at noon',
      excerpt: 'Dry feet.',
    });
  });
});

describe('an entry from elsewhere', () => {
  it('of plain text becomes paragraphs, and is called by its first words', () => {
    const entry = blogEntry({ content: ['One < two.\n\nThree.'] }, 'x');
    expect(entry.html).toBe('<p>One &#x3C; two.</p>\n<p>Three.</p>');
    expect([entry.title, entry.uid]).toEqual(['One < two.', 'x']);
  });
  it('may name its author as a card', () =>
    expect(
      blogEntry({ author: [{ type: ['h-card'], properties: { name: ['Ines'] } }], content: ['a'] }, 'x')
        .author,
    ).toBe('Ines'));
  it.each([
    [{}],
    [{ name: [null], content: [{}], photo: [{ alt: 3 }], category: [1, {}] }],
    [{ name: [['x']] }],
  ])('that is odd (%j) is read as far as it goes', (given) =>
    expect(blogEntry(given as never, 'x')).toMatchObject({ slug: 'x', categories: [], featured: null }),
  );
});

describe('posts that are alike', () => {
  const post = (uid: string, title: string, text: string) =>
    blogEntry({ uid: [uid], name: [title], content: [text] }, uid);
  const posts = [
    post('a', 'Fix a flat tyre', 'Take the tube out of the tyre and patch the tube.'),
    post('b', 'Tyre pressure', 'A tyre with less air rolls softly; the tube needs less.'),
    post('c', 'Tides', 'The water comes twice a day over the causeway.'),
    post('d', 'Causeway at night', 'The causeway is dry at low water; mind the tide.'),
  ];
  it('are found by their words', () => {
    const related = relatedPosts(posts);
    expect(related.get('a')?.[0]).toBe('b');
    expect(related.get('c')?.[0]).toBe('d');
    expect(related.get('a')).not.toContain('c');
  });
  it('are the same in whatever order the posts come', () => {
    const turned = relatedPosts([...posts].reverse());
    for (const { uid } of posts) expect(turned.get(uid)).toEqual(relatedPosts(posts).get(uid));
  });
  it('are none for a post alone, or one without words', () => {
    expect(relatedPosts([posts[0]]).get('a')).toEqual([]);
    expect(relatedPosts([...posts, post('e', '', '')]).get('e')).toEqual([]);
  });
});

describe('the page of a post in several languages', () => {
  const translations = ['de /gezeiten', 'fr /marees', 'nl https://kanaal.example/getijden', 'xx'];
  const entry = blogEntry(
    entryProperties('post-1', { fields: { ...fields, language: 'en', translations }, draft }),
    'tide-tables',
  );
  const alternates = (isThere: (path: string) => boolean) =>
    [
      ...postPage(emptyBlog('https://saltmarsh.example'), entry, {
        pixels: new Map(),
        related: [],
        authorPath: () => '/',
        isThere,
      }).matchAll(/<link rel="alternate" hreflang="([^"]+)" href="([^"]+)"/g),
    ].map(([, language, address]) => `${language} ${address}`);
  it('names itself and the others that readers can open', () =>
    expect(alternates((path) => path === '/gezeiten')).toEqual([
      'en https://saltmarsh.example/tide-tables',
      'de https://saltmarsh.example/gezeiten',
      'nl https://kanaal.example/getijden',
    ]));
  it('names none where there is no other', () => {
    entry.translations = [];
    expect(alternates(() => true)).toEqual([]);
  });
});
