import { describe, expect, it } from 'vitest';
import {
  countingIds,
  type Draft,
  emptyFields,
  footnotesOf,
  linksOf,
  readEditor,
  readHtml,
  readMarkdown,
  writeDocx,
  writeEditor,
  writeHtml,
  writeMarkdownBody,
} from './index.ts';
import { readDocx } from './read-docx.ts';

const TEXT = `High water comes twice a day.[^tide] The ferry waits for it.[^ferry]

It never waits long.[^tide]

[^ferry]: Asked of the **pilot** in May, see [the table](/tides).

[^tide]: Twelve hours and twenty-five minutes apart.
`;

/** Each block with its references as numbers and its links. */
const shown = (draft: Draft) => {
  const notes = footnotesOf(draft);
  return draft.blocks.map((block) => ({
    text: block.text,
    list: block.path[0]?.type === 'list' ? notes.numbers.get(block.id) : null,
    refs: block.marks.flatMap(({ href }) =>
      href?.startsWith('#fn-') ? [notes.numbers.get(href.slice(4))] : [],
    ),
    links: linksOf(block).map(({ href }) => href),
  }));
};

const WANTED = [
  { text: 'High water comes twice a day.† The ferry waits for it.†', list: null, refs: [1, 2], links: [] },
  { text: 'It never waits long.†', list: null, refs: [1], links: [] },
  { text: 'Twelve hours and twenty-five minutes apart.', list: 1, refs: [], links: [] },
  { text: 'Asked of the pilot in May, see the table.', list: 2, refs: [], links: ['/tides'] },
];

describe('footnotes', () => {
  const { draft } = readMarkdown(TEXT);
  it('are read from Markdown, numbered as the text refers to them', () =>
    expect(shown(draft)).toEqual(WANTED));
  it('come back from Markdown', () => {
    expect(writeMarkdownBody(draft)).toContain('twice a day.[^1] The ferry waits for it.[^2]');
    expect(shown(readMarkdown(writeMarkdownBody(draft)).draft)).toEqual(WANTED);
  });
  it('come back from HTML, with a way there and a way back', () => {
    const html = writeHtml(draft);
    expect(html).toContain('<sup><a href="#fn-1" id="fnref-1" role="doc-noteref">1</a></sup>');
    expect(html).toContain('<li id="fn-2">');
    expect(html).toContain('href="#fnref-2"');
    expect(shown(readHtml(html).draft)).toEqual(WANTED);
  });
  it('come back from .docx', async () => {
    const { bytes } = await writeDocx({ fields: emptyFields(), draft }, new Map());
    expect(shown((await readDocx(bytes)).draft)).toEqual(WANTED);
  });
  it('come back from the editor', () => {
    const nextId = countingIds('e');
    expect(shown(readEditor(writeEditor(draft, nextId), nextId))).toEqual(WANTED);
  });
  it('give one id to each reference of a page', () => {
    const ids = [...writeHtml(draft).matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('leave nothing behind where the note is gone', () => {
    const without: Draft = { ...draft, blocks: draft.blocks.slice(0, 3) };
    expect(writeHtml(without)).not.toMatch(/†|fn-2|>2</);
    expect(writeMarkdownBody(without)).not.toMatch(/†|\[\^2\]/);
  });
  it('are no words of the text, and no sentence ends late for them', () => {
    const [first] = draft.blocks;
    expect(first.text.match(/[\p{L}\p{N}]+/gu)).toHaveLength(11);
  });
  it('come back from Markdown where a table refers to them', () => {
    const table = readHtml(
      '<table><tr><td>Ferry<sup><a href="#fn-1">1</a></sup></td></tr><tr><td>Lock</td></tr></table><p>Tide.<sup><a href="#fn-2">2</a></sup></p><section class="footnotes"><ol><li id="fn-1"><p>a</p></li><li id="fn-2"><p>b</p></li></ol></section>',
    ).draft;
    expect(shown(readMarkdown(writeMarkdownBody(table)).draft)).toEqual(shown(table));
    expect(shown(table)[0].refs).toEqual([1]);
  });
  it('stay a list where the text refers to nothing in it', () => {
    const plain = readMarkdown('One.\n\n1. a\n2. b').draft;
    expect(footnotesOf(plain).lists.size).toBe(0);
    expect(writeHtml(plain)).toContain('<ol>');
  });
  it.each([
    [
      'a converter of documents',
      '<p>Tides.<a href="#fn1" class="footnote-ref" id="fnref1" role="doc-noteref"><sup>1</sup></a></p><section class="footnotes" role="doc-endnotes"><hr><ol><li id="fn1"><p>Twice.<a href="#fnref1" class="footnote-back" role="doc-backlink">↩︎</a></p></li></ol></section>',
    ],
    [
      'documentation',
      '<p>Tides.<a class="footnote-reference brackets" href="#id16" id="id1">1</a></p><aside class="footnote-list brackets"><aside class="footnote brackets" id="id16" role="note"><span class="label"><span class="fn-bracket">[</span><a role="doc-backlink" href="#id1">1</a><span class="fn-bracket">]</span></span><p>Twice.</p></aside></aside>',
    ],
    [
      'older documentation',
      '<p>Tides.<a class="footnote-reference brackets" href="#id16" id="id1">1</a></p><dl class="footnote brackets"><dt class="label" id="id16"><span class="brackets"><a class="fn-backref" href="#id1">1</a></span></dt><dd><p>Twice.</p></dd></dl>',
    ],
    [
      'a book',
      '<p>Tides.<a href="#ftn.x1" class="footnote" name="x1"><sup class="footnote">[1]</sup></a></p><div class="footnotes"><br><hr><div id="ftn.x1" class="footnote"><p><a href="#x1" class="para"><sup class="para">[1] </sup></a>Twice.</p></div></div>',
    ],
    [
      'a word processor’s clipboard',
      '<p>Tides.<a href="#_ftn1" name="_ftnref1"><span style="font-size:9pt">[1]</span></a></p><div style="mso-element:footnote-list"><hr><div style="mso-element:footnote" id="ftn1"><p><a href="#_ftnref1" name="_ftn1"><span>[1]</span></a> Twice.</p></div></div>',
    ],
    [
      'an editor in a page',
      '<p>Tides.<sup><a href="#ftnt1" id="ftnt_ref1">[1]</a></sup></p><div><p><a href="#ftnt_ref1" id="ftnt1">[1]</a><span> Twice.</span></p></div>',
    ],
    [
      'a word processor',
      '<p>Tides.<sup><a href="#footnote-1" id="footnote-ref-1">[1]</a></sup></p><ol><li id="footnote-1"><p>Twice. <a href="#footnote-ref-1">↑</a></p></li></ol>',
    ],
  ])('are known in the markup of %s', (_name, html) =>
    expect(
      shown(readHtml(html).draft)
        .filter(({ text }) => text !== '')
        .map(({ text, refs, list }) => [text, refs, list]),
    ).toEqual([
      ['Tides.†', [1], null],
      ['Twice.', [], 1],
    ]),
  );
});
