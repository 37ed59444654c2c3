import { describe, expect, it } from 'vitest';
import { blogEntry, emptyBlog, entryProperties, postPage } from '../blog/index.ts';
import { emptyFields, type PostFields, readMarkdown, translationsIn } from '../draft/index.ts';
import { type Expected, readBack } from './read-back.ts';

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
const pageOf = (post = sent(), isThere = (_path: string) => true) =>
  postPage(SITE, blogEntry(entryProperties('1', post), 'ferry'), {
    pixels: new Map(),
    related: [],
    authorPath: () => '/',
    isThere,
  });
const EXPECTED: Expected = {
  metaTitle: 'The ferry that waits | Saltmarsh',
  canonical: ADDRESS,
  language: 'en',
  translations: [],
};
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
  it('names its languages: those of them that readers can open, each as it is', () => {
    const post = sent({ language: 'en', translations: ['de /faehre', 'nl https://kanaal.example/veer'] });
    const expected = { ...EXPECTED, translations: translationsIn(post.fields.translations) };
    const told = (html: string, of: Expected = expected) =>
      readBack(html, ADDRESS, post, of).faults.map(({ id, text }) => `${id}: ${text}`);
    // The blog leaves out what is not there yet: nobody expects it either.
    const html = pageOf(post, (path) => path === '/faehre');
    expect(told(html)).toEqual([]);
    expect(told(html.replaceAll('hreflang="nl"', 'hreflang="nb"'))).toEqual([
      'languages: The page does not name the same in Dutch (https://kanaal.example/veer): search takes the two for posts of their own.',
    ]);
    const without = pageOf(post, () => false);
    expect(told(without).map((text) => text.slice(0, 60))).toEqual([
      'languages: The page does not name the same in German (/faehr',
    ]);
    expect(told(without, { ...expected, translations: [] })).toEqual([]);
    expect(told(html.replace('lang="en"', 'lang="de-AT"'))[0]).toContain(
      'The page says that it is in Austrian German; the post is in English.',
    );
    expect(told(html.replace('lang="en"', 'lang="en-GB"'))).toEqual([]);
    expect(told(html.replace('lang="en"', 'lang="constructor"')).length).toBe(1);
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
