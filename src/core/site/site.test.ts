import { describe, expect, it } from 'vitest';
import { type IndexedPost, SiteIndex, type SiteSettings, unknownSite } from './index.ts';
import { pathOfPost } from './site-index.ts';

const site: SiteSettings = {
  ...unknownSite(),
  name: 'Saltmarsh',
  baseAddress: 'https://saltmarsh.example',
  titlePattern: '{title} | {site}',
  addressPattern: '/journal/{slug}/',
  pages: [{ address: 'https://saltmarsh.example/rent', title: 'Rent' }, { address: '/courses' }],
};
const post = (id: string, fields: Partial<IndexedPost>): IndexedPost => ({
  id,
  title: '',
  metaTitle: '',
  keyword: '',
  status: 'draft',
  language: '',
  slug: '',
  canonical: '',
  ...fields,
});

describe('where a post lives', () => {
  it.each([
    ['by its canonical address', { canonical: 'https://saltmarsh.example/Old/', slug: 'new' }, '/old'],
    ['by the pattern and its slug', { slug: 'tides' }, '/journal/tides'],
    ['by its file', { filePath: 'deep/My Post.md' }, '/deep/my post'],
    ['nowhere yet', {}, null],
  ])('%s', (_, fields, path) => expect(pathOfPost(post('a', fields), site)).toBe(path));
});

describe('the index of a site', () => {
  const index = new SiteIndex(site, [
    post('a', { title: 'Tides', slug: 'tides', keyword: 'tide table' }),
    post('b', { title: 'Other', metaTitle: 'Tides', slug: 'other', keyword: 'tide tables' }),
    post('c', { slug: 'untitled' }),
  ]);
  const facts = index.factsFor(post('a', { slug: 'tides' }));
  it('knows pages and posts by comparable address, with their titles', () => {
    expect([...facts.pages!]).toEqual([
      ['/rent', 'Rent'],
      ['/courses', ''],
      ['/journal/tides', 'Tides'],
      ['/journal/other', 'Other'],
      ['/journal/untitled', ''],
    ]);
  });
  it('knows meta titles as they come out of the pattern', () => {
    expect(facts.metaTitles.get('tides | saltmarsh')?.map((ref) => ref.id)).toEqual(['a', 'b']);
  });
  it('tells the post in hand and its own path', () =>
    expect([facts.postId, facts.ownPath]).toEqual(['a', '/journal/tides']));
});
