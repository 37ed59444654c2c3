import { describe, expect, it } from 'vitest';
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
import { safeSrc } from './sanitise.ts';

const ATTACKS = [
  '<script>alert(1)</script>',
  '<img src=x onerror=alert(1)>',
  '<svg onload=alert(1)><script>alert(1)</script></svg>',
  '<a href="javascript:alert(1)">x</a>',
  '<a href="JaVa\tScRiPt:alert(1)">x</a>',
  '<a href=" &#1; javascript:alert(1)">x</a>',
  '<a href="data:text/html,<script>alert(1)</script>">x</a>',
  '<a href="vbscript:msgbox(1)">x</a>',
  '<iframe src="javascript:alert(1)"></iframe>',
  '<iframe srcdoc="<script>alert(1)</script>"></iframe>',
  '<video src="https://clips.example/a.mp4" onplay="alert(1)"></video>',
  '<object data="javascript:alert(1)"></object>',
  '<embed src="javascript:alert(1)">',
  '<form action="javascript:alert(1)"><button>x</button></form>',
  '<math><mtext><script>alert(1)</script></mtext></math>',
  '<figure><a href="javascript:alert(1)"><img src="a.png"></a></figure>',
  '<p style="background:url(javascript:alert(1))">x</p>',
  '<base href="https://evil.example/"><p>x</p>',
  '<template><script>alert(1)</script></template>',
  '<noscript><p title="</noscript><script>alert(1)</script>"></noscript>',
];

/** Anything in an output that a browser would run. */
const RUNS = /<script|\son[a-z]+\s*=|javascript:|vbscript:|data:text|srcdoc|<object|<embed|<form|<base/i;

describe('markup from outside cannot run', () => {
  it.each(ATTACKS)('as HTML: %s', (attack) => {
    const document = readHtml(`<h2>Before</h2>${attack}<p>After</p>`);
    expect(writeHtml(document.draft)).not.toMatch(RUNS);
    expect(writeHtmlPage(document, 'T')).not.toMatch(RUNS);
    // An element that the attack leaves open may swallow what follows; what came before is never lost.
    expect(document.draft.blocks[0].text).toBe('Before');
  });
  it.each(ATTACKS)('inside Markdown: %s', (attack) => {
    const document = readMarkdown(`Before\n\n${attack}\n\nAfter`);
    expect(writeHtml(document.draft)).not.toMatch(RUNS);
    expect(writeMarkdown(document)).not.toMatch(RUNS);
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
