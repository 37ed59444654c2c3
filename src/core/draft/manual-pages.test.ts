import { describe, expect, it } from 'vitest';
import { readArticle } from './index.ts';

const PROSE = `By default, searches are case sensitive, and so a word in capitals is another word than
one in small letters. If you want to find both of them, you can set an option for the
whole of the program or write a sign into the pattern that you are looking for.`;
const texts = (html: string) =>
  readArticle(html).draft.blocks.map(({ kind, text }) => `${kind}: ${text.split('\n')[0].slice(0, 40)}`);

describe('pages of manuals', () => {
  it('that are set as they were typed are read: headings, paragraphs, and the examples between them', () => {
    const typed = `==============================\n*27.1* Ignoring case\n\n${PROSE}\n\n${PROSE}\n\n    :set ignorecase\n\nCASE IN ONE PATTERN\n\n${PROSE}`;
    expect(texts(`<title>Searching</title><h1>Searching</h1><pre>${typed}</pre>`)).toEqual([
      'heading: Searching',
      'heading: Ignoring case',
      'paragraph: By default, searches are case sensitive,',
      'paragraph: By default, searches are case sensitive,',
      'code:     :set ignorecase',
      'heading: CASE IN ONE PATTERN',
      'paragraph: By default, searches are case sensitive,',
    ]);
  });
  it('keep code as code, however long it is', () => {
    const code =
      'const tide = { high: 4, low: 10 };\nfor (const hour of hours) if (hour > tide.high) cross(hour);\n\n'.repeat(
        20,
      );
    expect(texts(`<p>Here it is.</p><pre>${code}</pre>`).map((line) => line.split(':')[0])).toEqual([
      'paragraph',
      'code',
    ]);
  });
  it('are called by what they say of themselves, and no other page is', () => {
    const page = (title: string, first: string) =>
      readArticle(`<title>${title}</title><h1>NAME</h1><p>${first}</p><p>${PROSE}</p>`).fields.title;
    expect(page('tide', 'tide - tell when the causeway is dry')).toBe('tide: tell when the causeway is dry');
    expect(
      readArticle(`<h1>Panniers</h1><p>Panniers - bags for a bicycle</p><p>${PROSE}</p>`).fields.title,
    ).toBe('Panniers');
  });
});

describe('the furniture of a page', () => {
  it('is its list of headings, its notice and the marks behind its headings', () => {
    const html = `<h1>Tides<a class="headerlink" href="#tides">¶</a></h1><ul><li><a href="#high">High water</a></li><li><a href="#low">Low water</a></li><li><a href="#dry">Dry sand</a></li></ul><p>${PROSE}</p><h2 id="high">High water<a href="#high">#</a></h2><p>${PROSE}</p><div class="legalnotice"><p>Permission is granted to copy.</p></div>`;
    expect(texts(html)).toEqual([
      'heading: Tides',
      'paragraph: By default, searches are case sensitive,',
      'heading: High water',
      'paragraph: By default, searches are case sensitive,',
    ]);
  });
  it('is never what holds the text, whatever it is written into', () => {
    const html = `<div class="section"><div class="title"><h2>High water</h2></div><div class="para">${PROSE}</div><div class="para">${PROSE}</div></div><ul class="docnav"><li><a href="a.html">Prev</a></li></ul>`;
    expect(texts(html)).toEqual([
      'heading: High water',
      'paragraph: By default, searches are case sensitive,',
      'paragraph: By default, searches are case sensitive,',
    ]);
  });
});
