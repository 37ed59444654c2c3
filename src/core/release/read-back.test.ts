import { describe, expect, it } from 'vitest';
import { blogEntry, emptyBlog, entryProperties, postPage } from '../blog/index.ts';
import { emptyFields, type PostFields, readMarkdown } from '../draft/index.ts';
import { readBack } from './read-back.ts';

const ADDRESS = 'https://saltmarsh.example/journal/ferry';
const SITE = {
  ...emptyBlog('https://saltmarsh.example'),
  name: 'Saltmarsh',
  addressPattern: '/journal/{slug}',
  titlePattern: '{title} | {site}',
};
const TEXT =
  'The ferry leaves when the water lets it. We missed it twice, "wet shoes and all".\n\n## On the boat\n\nTie the bicycles to [the rail](/journal/rails), and see [the pilots](https://pilots.example/).\n\n![The ferry at the slip](https://saltmarsh.example/media/ferry.webp)\n\n- Strap\n- Bread';

function sent(fields: Partial<PostFields> = {}, text = TEXT) {
  return {
    fields: {
      ...emptyFields(),
      title: 'The ferry that waits',
      slug: 'ferry',
      metaDescription: 'When the ferry goes, and for whom.',
      author: 'Ines Farrow',
      category: 'Routes',
      ...fields,
    },
    draft: readMarkdown(text).draft,
  };
}
const pageOf = (post = sent()) =>
  postPage(SITE, blogEntry(entryProperties('1', post), 'ferry'), {
    pixels: new Map(),
    related: [],
    authorPath: () => '/',
    isThere: () => true,
  });
const EXPECTED = { metaTitle: 'The ferry that waits | Saltmarsh', canonical: ADDRESS };
const faults = (html: string, post = sent(), expected = EXPECTED) =>
  readBack(html, ADDRESS, post, expected).faults.map(({ id }) => id);

describe('a page read back', () => {
  it('differs in nothing on the blog that comes with the application', () =>
    expect(faults(pageOf())).toEqual([]));
  it.each<[string, string | RegExp, string, string[]]>([
    [
      'a pattern of its own',
      /<title>[^<]*<\/title>/,
      '<title>The ferry that waits - A blog</title>',
      ['title'],
    ],
    ['no description', /<meta name="description"[^>]*>/, '', ['description']],
    ['another canonical address', `href="${ADDRESS}"`, 'href="https://other.example/x"', ['canonical']],
    ['search asked away', '<head>', '<head><meta name="robots" content="noindex, nofollow">', ['robots']],
    ['lost structured data', '"BlogPosting"', '"Thing"', ['data']],
    ['a sentence changed', 'lets it.', 'allows it.', ['words']],
    ['a picture without its alt text', 'alt="The ferry at the slip"', 'alt=""', ['alt']],
    ['a lost link', 'href="https://pilots.example/"', 'href="https://pirates.example/"', ['links']],
    ['another heading', /<h1 class="p-name">[^<]*<\/h1>/, '<h1 class="p-name">Journal</h1>', ['heading']],
  ])('tells of %s', (_, from, to, found) => {
    const html = pageOf().replace(from, to);
    expect(html).not.toBe(pageOf());
    expect(faults(html)).toEqual(found);
  });
  it('has its lists of links counted, as they would not be on somebody else’s page', () => {
    const links = ['a', 'b', 'c', 'd'].map((name) => `- [Page ${name}](https://${name}.example/)`).join('\n');
    const post = sent({}, `${TEXT}\n\n${links}`);
    expect(faults(pageOf(post), post)).toEqual([]);
  });
  it('takes quotes, dashes and whole addresses that a blog sets anew for the same', () =>
    expect(
      faults(
        pageOf()
          .replace('&quot;wet shoes and all&quot;', '“wet  shoes and all”')
          .replace('"wet shoes and all"', '“wet  shoes and all”')
          .replace('href="/journal/rails"', 'href="https://saltmarsh.example/journal/rails/"'),
      ),
    ).toEqual([]));
  it('says of an empty page what is not there, and of hostile ones nothing that breaks', () => {
    expect(faults('')).toEqual([
      'title',
      'description',
      'canonical',
      'data',
      'heading',
      'words',
      'pictures',
      'links',
    ]);
    for (const html of ['<', '<article>'.repeat(300), 'constructor', '<title>__proto__</title>'])
      expect(faults(html)).toContain('words');
  });
  it('has nothing against a post that asks to be hidden', () => {
    const post = sent({ robots: 'noindex' });
    expect(faults(pageOf(post), post)).toEqual([]);
    expect(faults(pageOf(), post)).toEqual(['robots']);
  });
});
