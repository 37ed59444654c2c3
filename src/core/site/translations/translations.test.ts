import { describe, expect, it } from 'vitest';
import { comparablePath } from '../../listing/index.ts';
import { mendedTranslations, type TranslatedPost, translationFaults } from './index.ts';

const post = (
  id: string,
  language: string,
  translations: string[],
  own: Partial<TranslatedPost> = {},
): TranslatedPost => ({
  id,
  title: id,
  path: `/${id}`,
  address: `/${id}`,
  language,
  forReaders: true,
  hidden: false,
  translations,
  ...own,
});
const faults = (...posts: TranslatedPost[]) =>
  translationFaults(posts, {
    pathOf: (address) =>
      /^https?:/.test(address) && !address.startsWith('https://saltmarsh.example')
        ? null
        : comparablePath(address),
    movedTo: (path) => (path === '/old-tasche' ? '/tasche' : null),
  }).map(({ kind, postId, item, otherId, mend }) => ({
    what: `${postId}: ${kind}${item ? ` "${item}"` : ''}${otherId ? ` ${otherId}` : ''}`,
    mend,
  }));
const said = (...posts: TranslatedPost[]) => faults(...posts).map(({ what }) => what);

describe('posts in two languages', () => {
  it('are a pair where each names the other', () =>
    expect(said(post('bag', 'en', ['de /tasche']), post('tasche', 'de', ['en /bag']))).toEqual([]));
  it('named by a whole address of the site, or with a slash at its end, are the same', () =>
    expect(
      said(post('bag', 'en', ['de https://saltmarsh.example/tasche/']), post('tasche', 'de', ['EN /bag/'])),
    ).toEqual([]));
  it('named as a language that the other is a variety of are a pair', () =>
    expect(said(post('bag', 'en-GB', ['de /tasche']), post('tasche', 'de-AT', ['en /bag']))).toEqual([]));
  it('of which one does not name the other back are not: the name back is the mending', () =>
    expect(faults(post('bag', 'en', ['de /tasche']), post('tasche', 'de', []))).toEqual([
      { what: 'tasche: not-back bag', mend: { language: 'en', address: '/bag' } },
    ]));
  it('of which one names another post are not, and nobody guesses which', () =>
    expect(
      faults(
        post('bag', 'en', ['de /tasche']),
        post('tasche', 'de', ['en /tent']),
        post('tent', 'en', ['de /tasche']),
      ),
    ).toEqual([{ what: 'tasche: names-another "en /tent" bag', mend: null }]));
  it.each<[string, TranslatedPost[], string[]]>([
    [
      'in another language than said',
      [post('bag', 'en', ['fr /tasche']), post('tasche', 'de', ['en /bag'])],
      ['bag: other-language "fr /tasche" tasche'],
    ],
    ['nowhere', [post('bag', 'en', ['de /nichts'])], ['bag: unknown "de /nichts"']],
    ['itself', [post('bag', 'en', ['de /bag'])], ['bag: unknown "de /bag"']],
    [
      'in its own language',
      [post('bag', 'en', ['en /tent']), post('tent', 'en', [])],
      ['bag: own-language "en /tent"'],
    ],
    [
      'two in one language',
      [
        post('bag', 'en', ['de /tasche', 'de /sack']),
        post('tasche', 'de', ['en /bag']),
        post('sack', 'de', ['en /bag']),
      ],
      ['bag: twice "de /sack"'],
    ],
    [
      'what nobody can read',
      [post('bag', 'en', ['/tasche', 'de javascript:alert(1)', '__proto__ /x'])],
      [
        'bag: unreadable "/tasche"',
        'bag: unreadable "de javascript:alert(1)"',
        'bag: unreadable "__proto__ /x"',
      ],
    ],
    [
      'a page of another site, which nobody here can look at',
      [post('bag', 'en', ['de https://kanal.example/tasche'])],
      [],
    ],
    [
      'a post that readers cannot open',
      [post('bag', 'en', ['de /tasche']), post('tasche', 'de', ['en /bag'], { forReaders: false })],
      ['bag: unpublished "de /tasche" tasche'],
    ],
    [
      'a post that search is to pass over',
      [post('bag', 'en', ['de /tasche']), post('tasche', 'de', ['en /bag'], { hidden: true })],
      ['bag: hidden "de /tasche" tasche', 'tasche: hidden "en /bag" bag'],
    ],
  ])('naming %s', (_, posts, expected) => expect(said(...posts)).toEqual(expected));
  it('named by an address of before are named by the one of now', () =>
    expect(faults(post('bag', 'en', ['de /old-tasche']), post('tasche', 'de', ['en /bag']))).toEqual([
      { what: 'bag: moved "de /old-tasche" tasche', mend: { language: 'de', address: '/tasche' } },
    ]));
  it('drafts that name each other are as good', () =>
    expect(
      said(
        post('bag', 'en', ['de /tasche'], { forReaders: false }),
        post('tasche', 'de', ['en /bag'], { forReaders: false }),
      ),
    ).toEqual([]));
});

describe('posts in three languages', () => {
  it('each name both others', () =>
    expect(
      said(
        post('bag', 'en', ['de /tasche', 'fr /sac']),
        post('tasche', 'de', ['en /bag']),
        post('sac', 'fr', ['en /bag']),
      ),
    ).toEqual(['tasche: not-among sac', 'sac: not-among tasche']));
  it('are whole once they are mended', () => {
    const posts = [
      post('bag', 'en', ['de /tasche', 'fr /sac']),
      post('tasche', 'de', []),
      post('sac', 'fr', []),
    ];
    const ground = { pathOf: (address: string) => comparablePath(address), movedTo: () => null };
    for (let round = 0; round < 2; round++) {
      const found = translationFaults(posts, ground);
      for (const each of posts)
        each.translations = mendedTranslations(
          each.translations,
          found.filter(({ postId }) => postId === each.id),
        );
    }
    expect(translationFaults(posts, ground)).toEqual([]);
    expect(posts.map(({ translations }) => translations)).toEqual([
      ['de /tasche', 'fr /sac'],
      ['en /bag', 'fr /sac'],
      ['en /bag', 'de /tasche'],
    ]);
  });
});
