import { describe, expect, it } from 'vitest';
import { ATTACKS } from './attacks.test-data.ts';
import { findElement } from './hast-reading.ts';
import {
  linksOf,
  readHtml,
  readMarkdown,
  readText,
  safeHref,
  writeHtml,
  writeHtmlPage,
  writeMarkdown,
} from './index.ts';
import { parsePiece } from './parse-html.ts';
import { safeSrc } from './sanitise.ts';

/** Elements of an output, and attributes with their values, that a browser would run. */
function running(html: string): string[] {
  const found: string[] = [];
  findElement(parsePiece(html), (el) => {
    if (/^(?:script|object|embed|form|base|template|noscript|svg|math)$/.test(el.tagName))
      found.push(el.tagName);
    for (const [name, value] of Object.entries(el.properties)) {
      const bare = String(value).replace(/[^\x21-\x7e]/g, '');
      if (/^(?:on|srcDoc$|style$)/i.test(name) || /^(?:javascript|vbscript|data:text)/i.test(bare))
        found.push(`${el.tagName} ${name}="${value}"`);
    }
    return false;
  });
  return found;
}

describe('markup from outside cannot run', () => {
  it.each(ATTACKS)('as HTML: %s', (attack) => {
    const document = readHtml(`<h2>Before</h2>${attack}<p>After</p>`);
    expect(running(writeHtml(document.draft))).toEqual([]);
    expect(running(writeHtmlPage(document, 'T'))).toEqual([]);
    // An element that the attack leaves open may swallow what follows; what came before is never lost.
    expect(document.draft.blocks[0].text).toBe('Before');
  });
  it.each(ATTACKS)('inside Markdown: %s', (attack) => {
    const document = readMarkdown(`Before\n\n${attack}\n\nAfter`);
    expect(running(writeHtml(document.draft))).toEqual([]);
    // What another reader of Markdown would make of it.
    expect(running(writeHtml(readMarkdown(writeMarkdown(document)).draft))).toEqual([]);
    expect(running(writeMarkdown(document))).toEqual([]);
  });
  it('as Markdown of its own', () => {
    const { draft } = readMarkdown(
      '[a](javascript:alert(1)) ![b](javascript:alert(2)) <javascript:alert(3)>',
    );
    expect(draft.blocks.flatMap(linksOf)).toEqual([]);
    expect(draft.blocks.filter((block) => block.kind === 'image')).toEqual([]);
  });
  it('as plain text it stays text', () => {
    const { draft } = readText('<script>alert(1)</script>');
    expect(draft.blocks[0].text).toBe('<script>alert(1)</script>');
    expect(writeHtml(draft)).toBe('<p>&#x3C;script>alert(1)&#x3C;/script></p>');
  });
});

describe('addresses that may be kept', () => {
  it.each([
    '/journal/a',
    'a.html',
    '#top',
    'https://tide.example',
    'mailto:a@b.example',
    'tel:123',
    '//tide.example',
    '?page=2',
  ])('link %s', (href) => expect(safeHref(href)).toBe(href));
  it.each([
    'javascript:x',
    'JAVASCRIPT:x',
    'java\nscript:x',
    '\u0001javascript:x',
    'data:text/html,x',
    'file:///etc/passwd',
    'blob:x',
  ])('not link %j', (href) => expect(safeHref(href)).toBeNull());
  it.each(['media/a.webp', 'https://own.example/a.png', 'data:image/png;base64,AA=='])('picture %s', (src) =>
    expect(safeSrc(src)).toBe(src),
  );
  it.each(['javascript:x', 'data:image/svg+xml,<svg onload=x>', 'data:text/html,x', 'file:///a.png'])(
    'not picture %s',
    (src) => expect(safeSrc(src)).toBeNull(),
  );
});

describe('front matter', () => {
  it.each([
    ['no closing line', '---\ntitle: A\n\nText', ''],
    ['an empty one', '---\n---\nText', ''],
    ['Windows line ends', '---\r\ntitle: A\r\n---\r\nText', 'A'],
    ['a number as title', '---\ntitle: 42\n---\n', '42'],
    ['a list as title', '---\ntitle: [a]\n---\n', ''],
    ['not a mapping', '---\n- a\n---\nText', ''],
  ])('%s', (_, text, title) => expect(readMarkdown(text).fields.title).toBe(title));

  it('limits aliases', () => {
    const bomb = `---\na: &a [x,x,x,x,x,x,x,x,x]\nb: &b [*a,*a,*a,*a,*a,*a,*a,*a,*a]\nc: &c [*b,*b,*b,*b,*b,*b,*b,*b,*b]\nd: [*c,*c,*c,*c,*c,*c,*c,*c,*c]\n---\nText`;
    const { problem, draft } = readMarkdown(bomb);
    expect(problem).toMatch(/front matter/);
    expect(draft.blocks[0].text).toBe('Text');
  });
  it('touches no prototypes', () => {
    const { fields } = readMarkdown(
      '---\n__proto__:\n  polluted: yes\nconstructor: x\nnested:\n  __proto__:\n    polluted: yes\n---\n',
    );
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
    expect(fields.title).toBe('');
    expect(fields.unknown['constructor']).toBe('x');
  });
  it('reads single words where lists are asked, and commas in them', () => {
    const { fields } = readMarkdown(
      '---\nsupporting: rain cape, tent\nquestions: How far, in a day?\ntargetWords: "800"\nstatus: nonsense\n---\n',
    );
    expect(fields).toMatchObject({
      supporting: ['rain cape', 'tent'],
      questions: ['How far, in a day?'],
      targetWords: 800,
      status: 'draft',
    });
  });
});

describe('fields from outside', () => {
  it('drop addresses that could run something, wherever they come from', () => {
    const markdown = readMarkdown('---\ncanonical: "java\\tscript:x"\nimage: javascript:x\n---\nText');
    expect(markdown.fields).toMatchObject({ canonical: '', image: '' });
    const html = readHtml(
      '<html><head><link rel="canonical" href="javascript:x"><meta property="og:image" content="data:text/html,x"></head><body><p>Text</p></body></html>',
    );
    expect(html.fields).toMatchObject({ canonical: '', image: '' });
  });
});
