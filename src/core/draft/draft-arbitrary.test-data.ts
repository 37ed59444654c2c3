import fc from 'fast-check';
import {
  type Block,
  type Container,
  type Draft,
  EMBED_KINDS,
  type Mark,
  PICTURE_SIDES,
  PICTURES_ACROSS,
  STEP_LOOKS,
  tidyMarks,
} from './draft.ts';

const WORDS = [
  'bike',
  'tour',
  'panniers',
  'ferry',
  '*',
  '_',
  '# one',
  '1.',
  '[x]',
  '<b>',
  '&amp;',
  'dawn.',
  '|',
  '`',
  'Süden',
  '自転車',
  '-',
  '+',
  '~~',
  '\\',
  'https://tide.example/a_b',
];
const line = fc
  .array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 7 })
  .map((words) => words.join(' '));
const TYPES: Mark['type'][] = ['bold', 'italic', 'strike', 'underline', 'link'];

const marksFor = (text: string) =>
  fc
    .array(fc.tuple(fc.constantFrom(...TYPES), fc.nat(text.length), fc.nat(text.length)), { maxLength: 3 })
    .map((list) =>
      tidyMarks(
        list.map(([type, a, b]) => ({
          type,
          start: Math.min(a, b),
          end: Math.max(a, b),
          ...(type === 'link' ? { href: '/journal/a' } : {}),
          ...(type === 'link' && a % 3 === 0 ? { nofollow: true } : {}),
          ...(type === 'link' && b % 3 === 0 ? { newWindow: true } : {}),
        })),
        text,
      ),
    );

type Loose = Omit<Block, 'id' | 'path'>;
const textBlock = (kind: 'paragraph' | 'heading') =>
  line
    .chain((text) => fc.tuple(fc.constant(text), marksFor(text), fc.integer({ min: 1, max: 6 })))
    .map(([text, marks, level]): Loose => ({ kind, text, marks, ...(kind === 'heading' ? { level } : {}) }));
const step = fc
  .tuple(textBlock('paragraph'), fc.constantFrom(...STEP_LOOKS))
  .map(([block, look]): Loose => ({ ...block, step: look }));
const embed = fc
  .record({
    title: fc.constantFrom('', 'The lock at dawn', 'a <b> & "c"'),
    kind: fc.constantFrom(...EMBED_KINDS),
    picture: fc.option(fc.constant('media/loaded-bike.webp')),
    transcript: fc.option(fc.constant('/talks/lock')),
  })
  .map(
    ({ title, kind, picture, transcript }): Loose => ({
      kind: 'embed',
      text: title,
      marks: [],
      embed: {
        href: 'https://clips.example/watch?v=7&t=2',
        kind,
        ...(picture ? { picture } : {}),
        ...(transcript ? { transcript } : {}),
      },
    }),
  );
const more = fc.constant<Loose>({ kind: 'more', text: '', marks: [] });
const image = fc
  .record({
    alt: fc.option(fc.constantFrom('', 'A loaded bike', 'a "quoted" [alt]')),
    caption: fc.constantFrom('', 'On the ferry'),
    side: fc.option(fc.constantFrom(...PICTURE_SIDES)),
    across: fc.option(fc.constantFrom(...PICTURES_ACROSS)),
    enlarge: fc.boolean(),
  })
  .map(
    ({ alt, caption, side, across, enlarge }): Loose => ({
      kind: 'image',
      text: caption,
      marks: [],
      image: {
        src: 'media/loaded-bike.webp',
        alt,
        ...(side ? { side } : {}),
        ...(across ? { across } : {}),
        ...(enlarge ? { enlarge } : {}),
      },
    }),
  );
const code = fc
  .constantFrom('let a = 1;', 'x\n\ny', '```')
  .map((text): Loose => ({ kind: 'code', text, marks: [], language: 'js' }));
const divider = fc.constant<Loose>({ kind: 'divider', text: '', marks: [] });

type Shape = { wrap: 'none' | 'quote' | 'list' | 'ordered' | 'table'; blocks: Loose[] };
const group: fc.Arbitrary<Shape> = fc.oneof(
  fc
    .tuple(
      fc.constantFrom('none' as const, 'quote' as const),
      fc.array(
        fc.oneof(textBlock('paragraph'), textBlock('heading'), image, code, divider, step, embed, more),
        { minLength: 1, maxLength: 3 },
      ),
    )
    .map(([wrap, blocks]) => ({ wrap, blocks })),
  fc
    .tuple(
      fc.constantFrom('list' as const, 'ordered' as const, 'table' as const),
      fc.array(textBlock('paragraph'), { minLength: 2, maxLength: 4 }),
    )
    .map(([wrap, blocks]) => ({ wrap, blocks })),
);

/** Drafts with everything the model knows, for property tests. */
export const anyDraft: fc.Arbitrary<Draft> = fc.array(group, { maxLength: 6 }).map((groups) => {
  const blocks: Block[] = [];
  let last = '';
  for (const { wrap, blocks: loose } of groups) {
    // Two lists or quotes side by side have nothing between them to tell them apart in Markdown: set a rule.
    if (wrap !== 'none' && last !== 'none' && last !== '')
      blocks.push({ id: `b${blocks.length + 1}`, path: [], kind: 'divider', text: '', marks: [] });
    last = wrap;
    const key = `b${blocks.length + 1}`;
    loose.forEach((block, at) => {
      const id = `b${blocks.length + 1}`;
      const path: Container[] = [];
      if (wrap === 'quote') path.push({ type: 'quote', key });
      if (wrap === 'list' || wrap === 'ordered')
        path.push({ type: 'list', key, ordered: wrap === 'ordered' }, { type: 'item', key: id });
      if (wrap === 'table')
        path.push(
          { type: 'table', key },
          { type: 'row', key: id },
          { type: 'cell', key: id, header: at === 0 },
        );
      // A mark below nothing marks nothing.
      if (block.kind !== 'more' || blocks.length > 0) blocks.push({ id, path, ...block });
    });
  }
  return { version: 1, blocks };
});
