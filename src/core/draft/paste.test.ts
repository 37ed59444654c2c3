import { describe, expect, it } from 'vitest';
import { looksLikeMarkdown } from './clipboard/markdown-likeness.ts';
import { cleanPaste, readClipboard, readHtml } from './index.ts';

const MESS = `<p class="MsoNormal"><b style="font-weight:normal"><span style="color:red">Before we start</span></b></p><p>&nbsp;</p><p><o:p></o:p></p>
<h1>Riding the marsh</h1><p>One.</p><h4>Too deep</h4><p>Two.</p><p><b>Tools to carry</b></p><p>Three.</p><h1>Later</h1><p><strong>This is a whole sentence in bold.</strong></p>`;

const heads = (titleIsEmpty: boolean, html = MESS) => {
  const cleaned = cleanPaste(readHtml(html).draft, titleIsEmpty);
  return {
    ...cleaned,
    heads: cleaned.draft.blocks
      .filter((block) => block.kind === 'heading')
      .map((block) => `${block.level} ${block.text}`),
  };
};

describe('a messy paste', () => {
  it('gives its first heading to an empty title', () => {
    const { title, heads: found } = heads(true);
    expect(title).toBe('Riding the marsh');
    expect(found).toEqual(['2 Too deep', '3 Tools to carry', '2 Later']);
  });
  it('keeps a title that is there', () =>
    expect(heads(false)).toMatchObject({
      title: null,
      heads: ['2 Riding the marsh', '3 Too deep', '3 Tools to carry', '2 Later'],
    }));
  it('accounts for what was done', () => {
    expect(heads(true).account).toEqual([
      'the first heading became the title',
      '1 level 1 heading made level 2',
      '1 skipped heading level mended',
      '1 bold line made a heading',
    ]);
    expect(readClipboard({ html: MESS, text: '' })?.tidied).toEqual([
      '2 inline styles',
      '2 stray spans',
      '2 empty paragraphs',
    ]);
  });
  it('keeps every word', () =>
    expect(
      heads(true)
        .draft.blocks.map((block) => block.text)
        .join(' '),
    ).toContain('This is a whole sentence in bold.'));
  it('leaves a clean piece alone', () =>
    expect(cleanPaste(readHtml('<h2>A</h2><p>b <b>c</b></p>').draft, false).account).toEqual([]));
});

describe('an address in a paste', () => {
  const cleaned = (html: string) => cleanPaste(readHtml(html).draft, false);
  const VIDEO = '<p><a href="https://vimeo.com/123456789">https://vimeo.com/123456789</a></p>';
  it('on a line of its own becomes an embed, and that is said', () => {
    const { draft, account } = cleaned(`<p>Look:</p>${VIDEO}<p>And so on.</p>`);
    expect(draft.blocks.map(({ kind }) => kind)).toEqual(['paragraph', 'embed', 'paragraph']);
    expect(draft.blocks[1].embed).toEqual({ kind: 'video', href: 'https://vimeo.com/123456789' });
    expect(account).toEqual(['1 address made an embed']);
  });
  it.each([
    ['alone', VIDEO],
    ['in a sentence', `<p>See https://vimeo.com/123456789.</p><p>b</p>`],
    ['in a list', `<ul><li>https://vimeo.com/123456789</li></ul><p>b</p>`],
    ['of any other page', '<p>https://tide.example/table</p><p>b</p>'],
    ['under words', '<p><a href="https://vimeo.com/123456789">The film</a></p><p>b</p>'],
  ])('%s stays what it is', (_name, html) =>
    expect(cleaned(html).draft.blocks.every(({ kind }) => kind === 'paragraph')).toBe(true),
  );
});

describe('Markdown in a plain paste', () => {
  it.each([
    ['## Kit\n\nText', true],
    ['- a\n- b', true],
    ['see [tides](/t)', true],
    ['Tom & 3 * 4 = 12', false],
    ['One line - with a dash', false],
    ['#hashtag', false],
  ])('%j: %s', (text, yes) => expect(looksLikeMarkdown(text)).toBe(yes));
});
