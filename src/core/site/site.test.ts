import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../criteria/index.ts';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import {
  emptyScene,
  type IndexedPost,
  indexedPost,
  SiteIndex,
  type SiteSettings,
  scorePost,
  unknownSite,
} from './index.ts';
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

describe('scoring a post within its site', () => {
  const read = readMarkdown(
    '# Tides\n\nA tide table has two columns. See [rent](/rent), [old](/gone) and [home](https://www.saltmarsh.example/).',
  ).draft;
  const document = { fields: { ...emptyFields(), title: 'Tides', slug: 'tides' }, draft: read };
  const score = (settings: SiteSettings, index: SiteIndex | null) =>
    scorePost(
      document,
      indexedPost('a', document),
      { ...emptyScene(), site: settings, index },
      new DraftReadings(),
    );

  it('takes the house language where the post names none', () => {
    expect(score({ ...site, language: 'de' }, null).facts.english).toBe(false);
    expect(score({ ...site, language: 'en-GB' }, null).facts.english).toBe(true);
  });
  it('puts the title through the pattern', () =>
    expect(score(site, null).facts.metaTitle).toBe('Tides | Saltmarsh'));
  it('tells links apart by the host', () => {
    expect(score(site, null).facts.links.map((link) => [link.kind, link.path])).toEqual([
      ['internal', '/rent'],
      ['internal', '/gone'],
      ['internal', '/'],
    ]);
    expect(score(unknownSite(), null).facts.links[2].kind).toBe('external');
  });
  it('alone, nothing that needs a site applies', () => {
    const needs = ['meta-title-distinct', 'keyword-free', 'links-live'];
    const { report } = score(site, null);
    expect(report.criteria.filter((line) => needs.includes(line.id) && line.applies)).toEqual([]);
  });
});
