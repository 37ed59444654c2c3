import { describe, expect, it } from 'vitest';
import { readHtml, readMarkdown, readText } from '../draft/index.ts';
import { SourceLines } from './source-lines.ts';

/** For each block its text and the line that is told for its first character. */
const lines = (source: string, read: (text: string) => { draft: ReturnType<typeof readText>['draft'] }) => {
  const { blocks } = read(source).draft;
  const found = new SourceLines(source, blocks);
  return blocks.map(({ text, image }, block) => [text || image?.src, found.lineOf({ block, start: 0 })]);
};

describe('lines of a draft in its file', () => {
  it('Markdown, past front matter, through links and markup inside it', () =>
    expect(
      lines(
        '---\ntitle: Tide\n---\n\n# Tide\n\nSee [the *table*](/t "Tide")\nfirst.\n\n- One\n- Two <b>bold</b>\n\n![](/a.jpg)\n',
        readMarkdown,
      ),
    ).toEqual([
      ['Tide', 2],
      ['See the table first.', 7],
      ['One', 10],
      ['Two bold', 11],
      ['/a.jpg', 13],
    ]));
  it('HTML, past its head and its navigation', () =>
    expect(
      lines(
        '<html><head>\n<title>Tide</title></head><body>\n<nav>One Two</nav>\n<article>\n<h1>The tide</h1>\n<p>One &amp;\ntwo.</p>\n</article></body></html>',
        readHtml,
      ),
    ).toEqual([
      ['The tide', 5],
      ['One & two.', 6],
    ]));
  it('plain text, a word further down in its paragraph', () => {
    const source = 'One two\nthree four.\n\nOne two five.';
    const { blocks } = readText(source).draft;
    const found = new SourceLines(source, blocks);
    expect(found.lineOf({ block: 0, start: blocks[0].text.indexOf('four') })).toBe(2);
    expect(found.lineOf({ block: 1, start: 0 })).toBe(4);
  });
  it('fields by how they are written', () => {
    const found = new SourceLines('---\ntitle: A\nslug: b\ndescription: c\n---\n\nText.', []);
    expect(
      ['title', 'slug', 'meta-description', 'target'].map((place) => found.lineOfField(place as never)),
    ).toEqual([2, 3, 4, null]);
  });
  it('are looked up in steps that do not grow out of proportion, whatever repeats', () => {
    const source = 'tide '.repeat(50_000);
    const blocks = readText(Array(4000).fill('tide tide tide').join('\n\n')).draft.blocks;
    const found = new SourceLines(source, blocks);
    expect(found.lineOf({ block: 0, start: 0 })).toBe(1);
  });
});
