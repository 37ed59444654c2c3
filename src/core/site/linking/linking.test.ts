import { describe, expect, it } from 'vitest';
import { applyEdits } from '../../criteria/index.ts';
import { emptyFields, linksOf, readMarkdown } from '../../draft/index.ts';
import { matchingOf, PhraseMatcher, Vocabulary } from '../../language/index.ts';
import { openToReaders } from '../publishing.ts';
import { unknownSite } from '../site-settings.ts';
import { LinkBook } from './link-book.ts';
import { linkTargets } from './link-target.ts';
import { linkIn } from './links-in.ts';
import { linksOut } from './links-out.ts';
import { linkedPaths, movedLinkEdits } from './moved-links.ts';

/** Posts of a blog on baking and brewing: title, keyword, slug. */
const BLOG: [title: string, keyword: string, slug: string][] = [
  ['Sourdough starter: from flour to froth in a week', 'sourdough starter', 'sourdough-starter'],
  ['Rye bread for beginners', 'rye bread', 'rye-bread'],
  ['How to clean a coffee grinder', 'clean a coffee grinder', 'clean-coffee-grinder'],
  ['Water temperature for pour over coffee', 'pour over coffee temperature', 'pour-over-temperature'],
  ['Panettone at home', 'panettone', 'panettone'],
  ['Bread flour or plain flour', 'bread flour', 'bread-flour'],
  ['Proving baskets compared', 'proving baskets', 'proving-baskets'],
];
const posts = BLOG.map(([title, keyword, slug]) => ({
  id: slug,
  fields: { ...emptyFields(), title, keyword, slug, status: 'published' as const },
}));
const site = {
  ...unknownSite(),
  addressPattern: '/journal/{slug}',
  pages: [
    { address: '/', title: 'Home' },
    { address: '/courses/knife-skills', title: 'Knife skills course' },
  ],
};
const targets = linkTargets(posts, site);
const vocabulary = new Vocabulary();
const book = new LinkBook(targets, vocabulary);
const draftOf = (text: string) => readMarkdown(text).draft.blocks;
const offered = (text: string, { linked = [] as string[], keyword = '' } = {}) => {
  const own = new PhraseMatcher([keyword], vocabulary, matchingOf('en'));
  return linksOut(draftOf(text), book, new Set(linked), (words, tokens) => own.match(words, tokens)).map(
    ({ quote, target }) => `${quote} > ${target.path.split('/').at(-1)}`,
  );
};

describe('pages worth linking', () => {
  it.each([
    ['Feed your sourdough starter twice a day.', 'sourdough starter > sourdough-starter'],
    ['Sourdough starters keep for months.', 'Sourdough starters > sourdough-starter'],
    ['A starter for sourdough wants warmth.', 'starter for sourdough > sourdough-starter'],
    ['Rest the dough in proving baskets overnight.', 'proving baskets > proving-baskets'],
    ['We bake panettone in December.', 'panettone > panettone'],
    ['Clean your coffee grinder once a month.', 'Clean your coffee grinder > clean-coffee-grinder'],
    ['Whoever joins the knife skills course learns to slice.', 'knife skills course > knife-skills'],
    ['Use strong bread flour here.', 'bread flour > bread-flour'],
  ])('%s: %s', (text, link) => expect(offered(text)).toEqual([link]));

  it.each([
    'A starter is what you eat before the main course.',
    'The sourdough is done. The starter stays.',
    'Bake without proving. Baskets are for picnics.',
    'Clean the kitchen, then drink a coffee.',
    'The flour on the bread is for looks.',
    'The temperature outside was pleasant.',
    'We start with rye, bread comes later.',
    'Home is where the oven stands.',
    '',
  ])('none for: %s', (text) => expect(offered(text)).toEqual([]));

  it('carry no link in a heading, a caption, code, or where one stands already', () => {
    expect(
      offered('## Rye bread\n\n`rye bread`\n\n[rye bread](/elsewhere)\n\n![x](a.png "rye bread")'),
    ).toEqual([]);
  });
  it('are offered once, where they are spoken of most surely; not when they are linked', () => {
    const text = 'A starter for sourdough.\n\nThe sourdough starter.\n\nThe sourdough starter again.';
    expect(offered(text)).toEqual(['sourdough starter > sourdough-starter']);
    expect(offered(text, { linked: ['/journal/sourdough-starter'] })).toEqual([]);
  });
  it('never take the words of the post’s own keyword', () =>
    expect(offered('Our rye bread needs bread flour.', { keyword: 'rye bread' })).toEqual([
      'bread flour > bread-flour',
    ]));
  it('never take the same words for two pages', () => {
    const twins = [...posts, { ...posts[1], id: 'b', fields: { ...posts[1].fields, slug: 'rye-bread-2' } }];
    const both = new LinkBook(linkTargets(twins, site), vocabulary);
    expect(linksOut(draftOf('Rye bread is dense.'), both, new Set())).toHaveLength(1);
  });
  it('take hostile words for what they are', () => {
    const odd = ['constructor', '__proto__', 'toString valueOf'].map((keyword, at) => ({
      id: `${at}`,
      fields: { ...emptyFields(), title: keyword, keyword, slug: `odd-${at}` },
    }));
    const strange = new LinkBook(linkTargets(odd, site), vocabulary);
    expect(
      linksOut(draftOf('The constructor of __proto__.'), strange, new Set()).map((one) => one.quote),
    ).toEqual(expect.arrayContaining(['constructor']));
  });
  it('are looked for in time where a title has thousands of words, and the text too', () => {
    const long = Array.from(
      { length: 5000 },
      (_, at) => `word${String.fromCharCode(97 + (at % 26))}${at}x`,
    ).join(' ');
    const odd = [{ id: 'a', fields: { ...emptyFields(), title: long, slug: 'a' } }];
    linksOut(draftOf(long), new LinkBook(linkTargets(odd, site), vocabulary), new Set());
  }, 10_000);
  it('do not depend on what the vocabulary read before', () => {
    const text = 'Feed the sourdough starter with bread flour in proving baskets.';
    const words = new Vocabulary();
    for (const word of ['flour', 'basket', 'zebra', 'starters']) words.idOf(word);
    const found = linksOut(draftOf(text), new LinkBook(targets, words), new Set());
    expect(found.map(({ quote, target }) => `${quote} > ${target.path.split('/').at(-1)}`)).toEqual(
      offered(text),
    );
  });
});

describe('posts that readers cannot open', () => {
  it('are told from those that they can, where anything is published', () => {
    const isOpen = openToReaders(['draft', 'published']);
    expect((['draft', 'in-review', 'scheduled', 'published'] as const).map(isOpen)).toEqual([
      false,
      false,
      true,
      true,
    ]);
    expect(openToReaders(['draft'])('draft')).toBe(true);
  });
});

describe('posts that should link here', () => {
  const here = targets.findIndex(({ path }) => path.endsWith('rye-bread'));
  const from = (text: string, links: string[] = []) =>
    linkIn(draftOf(text), new Set(links), book, here)?.quote ?? null;
  it('name what this one is about, and do not link to it', () => {
    expect(from('Some like rye bread toasted.')).toBe('rye bread');
    expect(from('Some like rye bread toasted.', ['/journal/rye-bread'])).toBeNull();
    expect(from('Some like bread toasted.')).toBeNull();
  });
});

describe('the paths that a draft links to', () => {
  it('are those of the site alone: the same path elsewhere is another page', () =>
    expect([
      ...linkedPaths(
        draftOf(
          '[a](/journal/rye) [b](https://other.example/journal/panettone) [c](https://baker.example/c/)',
        ),
        {
          base: null,
          host: 'baker.example',
        },
      ),
    ]).toEqual(['/journal/rye', '/c']));
});

describe('links to a page that moves', () => {
  const text =
    'See [one](/journal/rye-bread), [two](https://baker.example/journal/rye-bread/?a=1#crust), [three](rye-bread), ' +
    '[other](/journal/rye), [away](https://other.example/journal/rye-bread).';
  it('follow it, each as it was written', () => {
    const blocks = draftOf(text);
    const edits = movedLinkEdits(blocks, {
      base: '/journal/panettone',
      host: 'baker.example',
      moves: new Map([['/journal/rye-bread', '/journal/dark-rye']]),
    });
    const { draft } = applyEdits({ fields: emptyFields(), draft: { version: 1, blocks } }, edits);
    expect(linksOf(draft.blocks[0]).map(({ href }) => href)).toEqual([
      '/journal/dark-rye',
      'https://baker.example/journal/dark-rye?a=1#crust',
      '/journal/dark-rye',
      '/journal/rye',
      'https://other.example/journal/rye-bread',
    ]);
  });
});
