import { describe, expect, it } from 'vitest';
import { emptyFields, linksOf, type PostDocument, readMarkdown } from '../draft/index.ts';
import { applyEdits, type DraftEdit, withNewIds } from './edits.ts';
import { wordsAfter } from './words-after.ts';

const document = (md: string): PostDocument => ({ fields: emptyFields(), draft: readMarkdown(md).draft });
const texts = (post: PostDocument) => post.draft.blocks.map((block) => block.text);

describe('changes to a post as data', () => {
  it('set a field and leave the body the same object', () => {
    const before = document('One.');
    const after = applyEdits(before, [{ kind: 'set-field', field: 'slug', value: 'one' }]);
    expect(after.fields.slug).toBe('one');
    expect(after.draft).toBe(before.draft);
    expect(before.fields.slug).toBe('');
  });

  it('replace words and carry the link over them', () => {
    const before = document('See [here](/tides) and **there** now.');
    const edit: DraftEdit = {
      kind: 'replace-text',
      blockId: 'b1',
      start: 4,
      end: 8,
      quote: 'here',
      text: 'the tide tables',
    };
    const after = applyEdits(before, [edit]);
    expect(texts(after)).toEqual(['See the tide tables and there now.']);
    expect(linksOf(after.draft.blocks[0])).toEqual([
      { start: 4, end: 19, href: '/tides', text: 'the tide tables' },
    ]);
    const bold = after.draft.blocks[0].marks.find((mark) => mark.type === 'bold')!;
    expect(after.draft.blocks[0].text.slice(bold.start, bold.end)).toBe('there');
  });

  it('withdraw where the words are no longer there', () => {
    const before = document('See it now.');
    const late: DraftEdit = {
      kind: 'replace-text',
      blockId: 'b1',
      start: 4,
      end: 8,
      quote: 'here',
      text: 'x',
    };
    const gone: DraftEdit = { kind: 'remove-block', blockId: 'no-such' };
    expect(texts(applyEdits(before, [late, gone]))).toEqual(['See it now.']);
  });

  it('set the level of headings only', () => {
    const after = applyEdits(document('#### Deep\n\nText'), [
      { kind: 'set-heading-level', blockId: 'b1', level: 2 },
      { kind: 'set-heading-level', blockId: 'b2', level: 2 },
    ]);
    expect(after.draft.blocks.map((block) => block.level)).toEqual([2, undefined]);
  });

  it('change a picture and keep the rest of it', () => {
    const after = applyEdits(document('![Old](a.png)'), [
      { kind: 'set-picture', blockId: 'b1', picture: { alt: 'New words' } },
    ]);
    expect(after.draft.blocks[0].image).toEqual({ src: 'a.png', alt: 'New words' });
  });

  it('part a paragraph, its marks with it', () => {
    const before = document('First **bold one. And** more.');
    const after = applyEdits(before, [{ kind: 'split-block', blockId: 'b1', at: 16, newId: 'n' }]);
    expect(texts(after)).toEqual(['First bold one.', 'And more.']);
    expect(after.draft.blocks[1].id).toBe('n');
    expect(
      after.draft.blocks.map((block) => block.marks.map((mark) => block.text.slice(mark.start, mark.end))),
    ).toEqual([['bold one.'], ['And']]);
  });

  it('part a paragraph again and again without an id twice', () => {
    const before = document('One two three. Four five six. Seven eight.');
    const once = applyEdits(before, [{ kind: 'split-block', blockId: 'b1', at: 15, newId: 'b1-2' }]);
    const twice = applyEdits(once, [{ kind: 'split-block', blockId: 'b1', at: 4, newId: 'b1-2' }]);
    expect(new Set(twice.draft.blocks.map(({ id }) => id)).size).toBe(3);
  });

  it('never part at an end', () => {
    const before = document('Whole.');
    for (const at of [0, 6, 99]) {
      expect(
        applyEdits(before, [{ kind: 'split-block', blockId: 'b1', at, newId: 'n' }]).draft.blocks.length,
      ).toBe(1);
    }
  });

  it('mark figures as own, one after the other', () => {
    const after = applyEdits(document(''), [
      { kind: 'add-own-figure', quote: 'Half of all.' },
      { kind: 'add-own-figure', quote: 'Two in ten.' },
    ]);
    expect(after.fields.ownFigures).toEqual(['Half of all.', 'Two in ten.']);
  });

  it('make a paragraph a heading, and leave a list item one', () => {
    const before = document('**In the rain**\n\n- Item');
    const [first, item] = before.draft.blocks;
    const made = (blockId: string): DraftEdit => ({ kind: 'make-heading', blockId, level: 3 });
    const after = applyEdits(before, [made(first.id), made(item.id)]);
    expect(after.draft.blocks[0]).toMatchObject({
      kind: 'heading',
      level: 3,
      text: 'In the rain',
      marks: [],
    });
    expect(after.draft.blocks[1]).toBe(item);
  });

  it('set a link, lead it elsewhere, and take it off', () => {
    const before = document('See the tide table today.');
    const set = (href: string | null, quote = 'tide table'): DraftEdit => ({
      kind: 'set-link',
      blockId: 'b1',
      start: 8,
      end: 18,
      quote,
      href,
    });
    const links = (...edits: DraftEdit[]) =>
      linksOf(applyEdits(before, edits).draft.blocks[0]).map(({ href, text }) => [text, href]);
    expect(links(set('/a'))).toEqual([['tide table', '/a']]);
    expect(links(set('/a'), set('/b'))).toEqual([['tide table', '/b']]);
    expect(links(set('/a'), set(null))).toEqual([]);
    expect(links(set('/a', 'other words'))).toEqual([]);
  });

  it('put blocks in the place of one that still says the same, with ids of their own', () => {
    const before = document('Bring: a, b.\n\nEnd.');
    const [first] = before.draft.blocks;
    const item = (id: string, text: string) => ({
      ...first,
      id,
      text,
      path: [
        { type: 'list' as const, key: 'b2', ordered: false },
        { type: 'item' as const, key: id },
      ],
    });
    const edit: DraftEdit = {
      kind: 'replace-block',
      blockId: first.id,
      quote: first.text,
      blocks: [{ ...first, text: 'Bring:' }, item('b2', 'A'), item('b3', 'B')],
    };
    const after = applyEdits(before, [edit]);
    expect(texts(after)).toEqual(['Bring:', 'A', 'B', 'End.']);
    const ids = after.draft.blocks.map(({ id }) => id);
    expect(new Set(ids).size).toBe(4);
    expect(after.draft.blocks[2].path[0].key).toBe(after.draft.blocks[1].id);
    expect(texts(applyEdits(before, [{ ...edit, quote: 'Something else.' }]))).toEqual([
      'Bring: a, b.',
      'End.',
    ]);
    let next = 0;
    const [fresh] = withNewIds([edit], () => `n${++next}`);
    expect(applyEdits(before, [fresh]).draft.blocks.map(({ id }) => id)).toEqual(['b1', 'n1', 'n2', 'b2']);
  });
});

describe('the words that a change leaves', () => {
  const before = document(
    `${'Long ago. '.repeat(12)}See it here now, before the tide turns and the road is gone.`,
  );
  const { text } = before.draft.blocks[0];
  const at = text.indexOf('here');
  it('with a little of what is around them, cut between words', () => {
    const words = wordsAfter(before, [
      { kind: 'replace-text', blockId: 'b1', start: at, end: at + 4, quote: 'here', text: 'in “Tides”' },
    ]);
    expect(words).toMatch(/^….*See it in “Tides” now, before the tide turns.*…$/);
    expect(words.length).toBeLessThan(110);
  });
  it('a field by its value, nothing for a level or a block that is gone', () => {
    expect(wordsAfter(before, [{ kind: 'set-field', field: 'title', value: 'Tides' }])).toBe('Tides');
    expect(wordsAfter(before, [{ kind: 'set-heading-level', blockId: 'b1', level: 2 }])).toBe('');
    expect(wordsAfter(before, [{ kind: 'make-heading', blockId: 'gone', level: 2 }])).toBe('');
    expect(wordsAfter(before, [])).toBe('');
  });
});
