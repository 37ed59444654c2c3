import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attribute, findElement } from '../draft/hast-reading.ts';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import { parsePage } from '../draft/parse-html.ts';
import { findQuote } from './find-quote.ts';
import { NoAnswer, openComments, type Review, readAnswer, withAnswer } from './review.ts';
import { reviewPage } from './review-page.ts';

const { blocks } = readMarkdown(
  `The ferry leaves when the water lets it. We have missed it twice.

The pilot knows the bar, and tells you the hour. We have missed it twice.

Tie the bicycles to the rail with a strap of your own, for the wind on the bar is strong.`,
).draft;
const quote = (exact: string, around: Partial<Parameters<typeof findQuote>[1]> = {}) => ({
  exact,
  prefix: '',
  suffix: '',
  start: 0,
  ...around,
});
const found = (...given: Parameters<typeof quote>) => {
  const place = findQuote(blocks, quote(...given));
  return place && [blocks.findIndex(({ id }) => id === place.blockId), place.text];
};

describe('the words of a comment', () => {
  it('are found where they stand', () =>
    expect(found('the water lets it')).toEqual([0, 'the water lets it']));
  it('and of two places in the one that they stood in', () => {
    expect(found('We have missed it twice', { prefix: 'tells you the hour. ' })).toEqual([
      1,
      'We have missed it twice',
    ]);
    expect(found('We have missed it twice', { prefix: 'the water lets it. ' })).toEqual([
      0,
      'We have missed it twice',
    ]);
    expect(found('We have missed it twice', { start: 90 })).toEqual([1, 'We have missed it twice']);
  });
  it('are found again when some of them were changed, put in or taken out', () => {
    expect(found('Tie your bicycles to the rail with a strap')).toEqual([
      2,
      'Tie the bicycles to the rail with a strap',
    ]);
    expect(found('The old pilot knows the bar well, and tells you the hour')).toEqual([
      1,
      'The pilot knows the bar, and tells you the hour',
    ]);
    expect(found('tie the BICYCLES to the rail, with a strap of your own')?.[0]).toBe(2);
  });
  it('are not taken for others that are alike, where nothing of what stood around them is there', () => {
    const alike = quote('the skipper knows the bar and the hour', {
      prefix: 'Ask at the harbour office, where ',
      suffix: ' of the last boat home',
    });
    expect(findQuote(blocks, alike)).toBeNull();
    const [text] = [blocks[1].text];
    const changed = [{ ...blocks[1], text: text.replace('knows the bar', 'knows every bank') }];
    const meant = quote('pilot knows the bar, and tells you the hour', {
      prefix: 'The ',
      suffix: '. We have',
    });
    expect(findQuote(changed, meant)?.text).toBe('pilot knows every bank, and tells you the hour');
  });
  it('are gone where too few of them are left', () => {
    expect(found('Bring bread for the crossing and water')).toBeNull();
    expect(found('the')).toEqual([0, 'the']);
    expect(found('')).toBeNull();
    expect(found('…')).toBeNull();
    expect(found('constructor __proto__ toString')).toBeNull();
  });
  it('are found by themselves in every text', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 }),
        fc.nat(60),
        fc.integer({ min: 3, max: 40 }),
        (at, from, length) => {
          const exact = blocks[at].text.slice(from, from + length).trim();
          if (!/\p{L}/u.test(exact)) return;
          expect(findQuote(blocks, quote(exact))).toMatchObject({ text: exact, likeness: 1 });
        },
      ),
    );
  });
});

const annotation = (more: Record<string, unknown> = {}) => ({
  '@context': 'http://www.w3.org/ns/anno.jsonld',
  id: 'urn:uuid:1',
  type: 'Annotation',
  creator: { type: 'Person', name: 'Tobias Wren' },
  created: '2026-11-28T10:00:00Z',
  body: [{ type: 'TextualBody', value: 'Says who?', purpose: 'commenting' }],
  target: {
    source: 'urn:dune-sparrow:post:p1',
    selector: [
      { type: 'TextQuoteSelector', exact: 'the water lets it', prefix: 'when ', suffix: '.' },
      { type: 'TextPositionSelector', start: 22, end: 39 },
    ],
  },
  ...more,
});
const answer = (...items: unknown[]) =>
  JSON.stringify({
    '@context': 'http://www.w3.org/ns/anno.jsonld',
    type: 'AnnotationPage',
    partOf: { id: 'urn:dune-sparrow:post:p1', type: 'AnnotationCollection' },
    items,
  });

describe('the answer of a reviewer', () => {
  it('brings comments, other words, and what is thought of the whole', () => {
    const read = readAnswer(
      answer(
        annotation(),
        annotation({
          id: 'urn:uuid:2',
          body: [{ type: 'TextualBody', value: 'the tide allows', purpose: 'editing' }],
        }),
        annotation({ id: 'urn:uuid:3', target: { source: 'x' } }),
        annotation({ id: 'urn:uuid:4', body: [{ value: 'approved', purpose: 'assessing' }] }),
      ),
    );
    expect(read.postId).toBe('p1');
    expect(read.comments.map(({ text, proposal, quote: on }) => [text, proposal, on?.exact ?? null])).toEqual(
      [
        ['Says who?', null, 'the water lets it'],
        ['', 'the tide allows', 'the water lets it'],
        ['Says who?', null, null],
      ],
    );
    expect(read.verdicts).toEqual([
      { reviewer: 'Tobias Wren', at: '2026-11-28T10:00:00.000Z', says: 'approved' },
    ]);
  });
  it.each([
    ['words', 'hello', /cannot be read/],
    ['another file', '{"type":"FeatureCollection"}', /no annotations/],
    ['nothing', '', /cannot be read/],
    ['null', 'null', /no annotations/],
    ['no post', JSON.stringify({ type: 'AnnotationPage', items: [] }), /which post/],
    ['too much', `"${'x'.repeat(2_100_000)}"`, /too large/],
  ])('is none in %s, which is said', (_, file, said) => {
    expect(() => readAnswer(file)).toThrow(NoAnswer);
    expect(() => readAnswer(file)).toThrow(said);
  });
  it('is untrusted: whatever stands in it, texts of bounded length come in, or a sentence', () => {
    fc.assert(
      fc.property(
        fc.jsonValue(),
        fc.constantFrom('body', 'target', 'creator', 'created', 'id'),
        (value, key) => {
          const read = readAnswer(answer(annotation({ [key]: value })));
          for (const comment of read.comments) {
            expect(typeof comment.text).toBe('string');
            expect(comment.text.length).toBeLessThanOrEqual(5000);
            expect(comment.quote === null || typeof comment.quote.exact === 'string').toBe(true);
          }
        },
      ),
    );
  });
  it('comes in once, however often it is brought; a later word on the whole takes the place of an earlier', () => {
    const empty: Review = { comments: [], verdicts: [] };
    const once = withAnswer(empty, readAnswer(answer(annotation())));
    const done = {
      ...once,
      comments: once.comments.map((comment) => ({ ...comment, state: 'done' as const })),
    };
    const again = withAnswer(done, readAnswer(answer(annotation(), annotation({ id: 'urn:uuid:9' }))));
    expect(again.comments.map(({ state }) => state)).toEqual(['done', 'open']);
    expect(openComments(again)).toHaveLength(1);
    const says = (value: string, created: string) =>
      readAnswer(answer(annotation({ id: created, created, body: [{ value, purpose: 'assessing' }] })));
    const both = withAnswer(
      withAnswer(empty, says('changes', '2026-11-28T10:00:00Z')),
      says('approved', '2026-11-29T10:00:00Z'),
    );
    expect(both.verdicts.map(({ says: one }) => one)).toEqual(['approved']);
    expect(withAnswer(both, says('changes', '2026-11-27T10:00:00Z')).verdicts[0].says).toBe('approved');
  });
});

describe('the review file', () => {
  const page = reviewPage({
    postId: 'p1',
    post: {
      fields: { ...emptyFields(), title: '</script><img src=x onerror=alert(1)>' },
      draft: readMarkdown('Text with <script>alert(1)</script> and [a link](javascript:alert(1)).').draft,
    },
    metaTitle: '"><svg onload=alert(1)>',
    address: 'saltmarsh.example › journal',
    notes: ['<b>Mend</b> this.'],
    script: 'let a = 1;',
    style: 'p { margin: 0; }',
    scriptHash: 'sha256-abc',
    made: '2026-11-28T10:00:00Z',
  });
  const tree = parsePage(page);
  it('runs its own script alone and asks nothing of any network', () => {
    const scripts: string[] = [];
    const loads: string[] = [];
    findElement(tree, (el) => {
      if (el.tagName === 'script') scripts.push(String(attribute(el, 'type') ?? 'own'));
      for (const [name, value] of Object.entries(el.properties)) {
        if (/^on/i.test(name)) scripts.push(name);
        if (/^(?:src|href|action|data)$/.test(name) && /^(?:https?:|\/\/|javascript:)/i.test(String(value)))
          loads.push(String(value));
      }
      return false;
    });
    expect(scripts).toEqual(['application/json', 'own']);
    expect(loads).toEqual([]);
    expect(page).toContain(
      "default-src 'none'; img-src data:; style-src 'unsafe-inline'; script-src 'sha256-abc'",
    );
  });
  it('shows title, listing and notes as words', () => {
    expect(page).toContain('&lt;/script&gt;&lt;img src=x onerror=alert(1)&gt;');
    expect(page).toContain('&lt;b&gt;Mend&lt;/b&gt; this.');
    expect(page).toContain('1 note of the score');
  });
});
