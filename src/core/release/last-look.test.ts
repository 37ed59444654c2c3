import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../criteria/index.ts';
import { emptyFields, type PostFields, readMarkdown } from '../draft/index.ts';
import { emptyScene, scorePost } from '../scoring/index.ts';
import { indexedPost, SiteIndex, unknownSite } from '../site/index.ts';
import { holdingBack, type LookAt, lastLook } from './last-look.ts';

const PROSE = `${'The tide table tells when the causeway is dry, and we leave an hour before it turns. '.repeat(12)}`;

/** What is found in a post that is whole but for what is said. */
function look(markdown = PROSE, fields: Partial<PostFields> = {}, more: Partial<LookAt> = {}) {
  const post = {
    fields: { ...emptyFields(), title: 'Riding by the tide', slug: 'tide', language: 'en', ...fields },
    draft: readMarkdown(markdown).draft,
  };
  const site = { ...unknownSite(), baseAddress: 'https://saltmarsh.example', pages: [{ address: '/rent' }] };
  const index = new SiteIndex(site, [indexedPost('own', post)]);
  const { report, facts } = scorePost(
    post,
    indexedPost('own', post),
    { ...emptyScene(), site, index },
    new DraftReadings(),
  );
  return lastLook({
    post,
    criteria: report.criteria,
    words: facts.words,
    waitingHeadings: [],
    addressTakenBy: '',
    leftOver: null,
    unread: [],
    unticked: [],
    goneLinks: [],
    openComments: 0,
    redirects: [],
    now: '2026-11-29T12:00:00Z',
    out: '',
    isOut: false,
    ...more,
  });
}
const must = (...given: Parameters<typeof look>) =>
  holdingBack(look(...given), []).map(({ id }) => id.split(' ')[0]);
const should = (...given: Parameters<typeof look>) =>
  look(...given).flatMap(({ id, level }) => (level === 'should' ? [id] : []));

describe('a post is held back', () => {
  it('by nothing where it is whole', () => expect(must()).toEqual([]));
  it('with three words and no title', () =>
    expect(must('Ride at dawn', { title: '' })).toEqual(['title', 'words']));
  it('without a slug, or at an address that is taken', () => {
    expect(must(PROSE, { slug: '' })).toEqual(['slug']);
    expect(look(PROSE, {}, { addressTakenBy: 'Tides' })[0].text).toBe(
      '“Tides” stands at this address already. Choose another slug.',
    );
  });
  it.each([
    'Ask [insert name] first.',
    'TODO: the ferry.',
    'It costs TK.',
    'Lorem ipsum dolor.',
    'Dear {{name}}, ride.',
    'The price is ???',
  ])('with something still to be filled in: %s', (words) =>
    expect(must(`${PROSE}\n\n${words}`)).toEqual(['to-fill']),
  );
  it.each([
    'A todo list helps before a tour.',
    'See [the tide table](/rent) first.',
    'We met the constructor of the weir; __proto__ is no placeholder.',
    'Write `TODO` in the code.',
    'Really? Yes! Why?? Because.',
  ])('but not by words that only look so: %s', (words) => expect(must(`${PROSE}\n\n${words}`)).toEqual([]));
  it('by a picture without alt text, and not by one that is marked as decorative', () => {
    expect(must(`${PROSE}\n\n![](media/reeds.webp)`)).toEqual(['alt-present']);
    expect(
      must(`${PROSE}\n\n<figure><img src="media/reeds.webp" alt="" role="presentation"></figure>`),
    ).toEqual([]);
  });
  it('by a link that leads nowhere', () => {
    expect(must(`${PROSE}\n\nOr [rent a bicycle](/rent).`)).toEqual([]);
    expect(must(`${PROSE}\n\nOr [rent a bicycle](/rental).`)).toEqual(['links-live']);
    const goneLinks = [{ blockId: 'b', start: 0, end: 4, quote: 'the tide office' }];
    expect(must(PROSE, {}, { goneLinks })).toEqual(['gone-links']);
  });
  it('by headings that wait for their text and by open comments', () =>
    expect(must(PROSE, {}, { waitingHeadings: ['Ferries'], openComments: 2 })).toEqual([
      'waiting-headings',
      'comments',
    ]));
  it('by a date that has passed, unless readers have it since then', () => {
    const out = '2025-05-03T09:00:00Z';
    expect(must(PROSE, {}, { out })).toEqual(['past-date']);
    expect(must(PROSE, {}, { out, isOut: true })).toEqual([]);
    expect(must(PROSE, {}, { out: '2026-11-29T09:00:00Z' })).toEqual([]);
  });
  it('anew where it is more than was let pass: another place to fill, another picture, another address', () => {
    const heldAfter = (first: ReturnType<typeof look>, then: ReturnType<typeof look>) =>
      holdingBack(
        then,
        first.map(({ id }) => ({ item: id })),
      ).map(({ id }) => id.split(' ')[0]);
    const [todo, more] = [`${PROSE}\n\nTODO: the ferry.`, '\n\nIt costs TK.'];
    expect(heldAfter(look(todo), look(todo))).toEqual([]);
    expect(heldAfter(look(todo), look(todo + more))).toEqual(['to-fill']);
    const picture = '\n\n![](media/reeds.webp)';
    expect(heldAfter(look(PROSE + picture), look(PROSE + picture + picture))).toEqual(['alt-present']);
    expect(heldAfter(look(PROSE, { slug: '' }), look(PROSE, {}, { addressTakenBy: 'Tides' }))).toEqual([
      'slug-taken',
    ]);
    expect(heldAfter(look(PROSE, {}, { openComments: 1 }), look(PROSE, {}, { openComments: 2 }))).toEqual([
      'comments',
    ]);
  });
  it('no longer where somebody let it pass', () => {
    const items = look(PROSE, { title: '' });
    expect(holdingBack(items, [{ item: 'title' }])).toEqual([]);
  });
});

describe('what should be mended', () => {
  it('has the most to win first, and says the rest as one', () => {
    const notes = look().filter(({ criterion, level }) => criterion !== null && level === 'should');
    const gains = notes.map(({ gain }) => gain);
    expect(gains).toEqual([...gains].sort((a, b) => b - a));
    expect(look().find(({ id }) => id === 'more-notes')!.text).toMatch(/^\d+ smaller notes in the margin\.$/);
  });
  it('tells of paragraphs that stand as they were generated, and leads to the first', () => {
    const [first] = readMarkdown(PROSE).draft.blocks.filter(({ kind }) => kind === 'paragraph');
    const found = look(PROSE, {}, { unread: [first.id] }).find(({ id }) => id.startsWith('unread'));
    expect(found).toMatchObject({ level: 'should', place: { blockId: first.id } });
    expect(found!.text).toMatch(/^1 paragraph stands as it was generated or came back\. Read it/);
  });
  it('names what came along from another post, open points of the house, and redirects', () =>
    expect(
      look(
        PROSE,
        {},
        {
          leftOver: { title: 'Tides', blocks: 1 },
          unticked: ['Prices checked'],
          redirects: [{ from: '/journal/ebb', to: '/journal/tide' }],
        },
      )
        .filter(({ id }) => /left-over|checklist|redirect/.test(id))
        .map(({ text }) => text),
    ).toEqual([
      '1 paragraph stands as in “Tides”, from which it was begun.',
      '1 point of the house checklist is open: Prices checked',
      'Readers who come to /journal/ebb will be led to /journal/tide.',
    ]));
  it('has a category and an excerpt among it', () => {
    expect(should()).toEqual(expect.arrayContaining(['category', 'excerpt']));
    const filed = should(PROSE, { category: 'Routes', excerpt: 'When to ride.' });
    expect(filed).not.toContain('category');
    expect(filed).not.toContain('excerpt');
  });
});
