import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDraft } from './draft-arbitrary.test-data.ts';
import {
  countingIds,
  type Draft,
  emptyFields,
  formatOfName,
  linksOf,
  type PostFields,
  readEditor,
  readHtml,
  readMarkdown,
  readText,
  writeEditor,
  writeHtml,
  writeHtmlPage,
  writeMarkdown,
  writeMarkdownBody,
} from './index.ts';

const outline = (draft: Draft) =>
  draft.blocks.map(
    (block) =>
      `${block.path.map((part) => part.type).join('>')}|${block.kind}${block.level ?? ''}|${block.text}`,
  );

describe('a page of HTML', () => {
  const page = `<!doctype html><html lang="en-GB"><head><title>Bike tour packing list | Saltmarsh</title>
    <meta name="description" content="What to take."><link rel="canonical" href="https://saltmarsh.example/journal/bike-tour-packing-list/"></head>
    <body><header><nav><a href="/">Home</a></nav></header><main><article><header><h1>Packing <em>light</em></h1></header>
    <p>Every spring   we <b>mend</b> spokes.<br>Then we ride.</p><script>alert(1)</script><style>p{}</style>
    <ul><li>Tent</li><li>Stove<ul><li>Fuel</li></ul></li></ul><aside><p>A tip inside.</p></aside>
    <table><tr><th>Kit</th><th>g</th></tr><tr><td>Tent</td><td></td></tr></table>
    <figure class="side-left"><a href="/shop"><img src="/media/tent.webp" alt="A tent"></a><figcaption>By the dyke</figcaption></figure>
    <p>See <a href="javascript:alert(1)">this</a> and <a href="/b">that</a>.</p></article></main><footer>Imprint</footer></body></html>`;
  const { fields, draft } = readHtml(page);
  it('gives title, listing and language', () => {
    expect(fields).toMatchObject({
      title: 'Packing light',
      metaTitle: 'Bike tour packing list | Saltmarsh',
      metaDescription: 'What to take.',
      canonical: 'https://saltmarsh.example/journal/bike-tour-packing-list/',
      slug: 'bike-tour-packing-list',
      language: 'en-GB',
    });
  });
  it('gives the article as blocks, furniture left out', () => {
    expect(outline(draft)).toEqual([
      '|heading1|Packing light',
      '|paragraph|Every spring we mend spokes.\nThen we ride.',
      'list>item|paragraph|Tent',
      'list>item|paragraph|Stove',
      'list>item>list>item|paragraph|Fuel',
      '|paragraph|A tip inside.',
      'table>row>cell|paragraph|Kit',
      'table>row>cell|paragraph|g',
      'table>row>cell|paragraph|Tent',
      'table>row>cell|paragraph|',
      '|image|By the dyke',
      '|paragraph|See this and that.',
    ]);
    expect(draft.blocks[10].image).toEqual({
      src: '/media/tent.webp',
      alt: 'A tent',
      side: 'left',
      link: '/shop',
    });
  });
  it('drops addresses that could run', () =>
    expect(linksOf(draft.blocks[11]).map((link) => link.href)).toEqual(['/b']));
  it('writes back as a page that reads the same', () => {
    const again = readHtml(writeHtmlPage({ fields, draft }, fields.metaTitle));
    expect(outline(again.draft)).toEqual(outline(draft));
    expect(again.fields).toEqual(fields);
  });
});

describe('a post that goes out as a page and comes back', () => {
  const fields = {
    ...emptyFields(),
    title: 'Tide table cycling',
    metaDescription: 'When the causeway is dry.',
    slug: 'tides-by-bike',
    canonical: 'https://saltmarsh.example/journal/tide-table-cycling',
    excerpt: 'Two hours on either side.',
    keyword: 'tide table',
    supporting: ['dry causeway', 'low water, "spring"'],
    language: 'en-GB',
    date: '2026-03-01T08:00:00Z',
    updated: '2026-04-01T08:00:00Z',
    author: 'Mags Oden',
    category: 'Routes',
    categories: ['Routes', 'Tides'],
    tags: ['bike', 'sea'],
    image: 'media/causeway.webp',
  };
  const draft = readMarkdown('The causeway is dry.\n\n![Causeway](media/causeway.webp)').draft;
  it.each<[string, Partial<PostFields>]>([
    ['with its title through the pattern of the site', {}],
    ['with a meta title of its own', { metaTitle: 'Tide tables by bike' }],
    ['with a featured picture that is described', { imageAlt: 'A causeway at dusk' }],
    ['with one that is there for ornament', { imageAlt: '' }],
  ])('has every field %s, and no picture more', (_, some) => {
    const sent = { ...fields, ...some };
    const page = writeHtmlPage({ fields: sent, draft }, `${sent.metaTitle || sent.title} | Saltmarsh`);
    expect(page).toContain(' | Saltmarsh</title>');
    const back = readHtml(page);
    expect(back.fields).toEqual(sent);
    expect(outline(back.draft)).toEqual(['|heading1|Tide table cycling', ...outline(draft)]);
  });
  it('tells readers nothing of the brief', () => {
    const page = writeHtmlPage({ fields: { ...fields, goal: 'More rentals', nextStep: 'Rent' }, draft }, 'T');
    expect(page).not.toMatch(/More rentals|Rent</);
  });
});

describe('markup from elsewhere', () => {
  it('is read however broken', () => {
    expect(outline(readHtml('<p>One<p>Two <b>bold<h2>Head</b></h3><li>x').draft)).toEqual([
      '|paragraph|One',
      '|paragraph|Two bold',
      '|heading2|Head',
      'item|paragraph|x',
    ]);
  });
  it('keeps what it does not know, sanitised', () => {
    // A name would let other pages write into the frame.
    const player = '<video src="https://clips.example/7.mp4" name="w" controls onplay="x()"></video>';
    const [block] = readHtml(player).draft.blocks;
    expect(block).toMatchObject({
      kind: 'kept',
      html: '<video src="https://clips.example/7.mp4" controls></video>',
      embeds: ['https://clips.example/7.mp4'],
    });
  });
  it('keeps a heading without words and a picture without alternative text', () => {
    const { draft } = readHtml('<h2></h2><img src="a.jpg"><img src="b.jpg" alt="">');
    expect(draft.blocks.map((block) => [block.kind, block.image?.alt])).toEqual([
      ['heading', undefined],
      ['image', null],
      ['image', ''],
    ]);
  });
});

describe('Markdown', () => {
  const text =
    '---\ntitle: Packing light\ndescription: What to take\nkeyword: bike tour packing list\nsupporting: [panniers, "rain cape"]\nslug: packing\ntargetWords: 900\nweather: wet\n__proto__: {a: 1}\n---\n\n## Weigh it\n\nPut **all** on a scale with ![](x.jpg) and more.\n\n| a | b |\n|---|---|\n| 1 | 2 |\n';
  const read = readMarkdown(text);
  it('gives fields from front matter, unknown ones kept', () => {
    expect(read.fields).toMatchObject({
      title: 'Packing light',
      metaDescription: 'What to take',
      keyword: 'bike tour packing list',
      supporting: ['panniers', 'rain cape'],
      slug: 'packing',
      targetWords: 900,
      unknown: { weather: 'wet' },
    });
    expect(Object.getPrototypeOf(read.fields)).toBe(Object.prototype);
  });
  it('gives blocks; a picture in a line follows its paragraph', () => {
    expect(outline(read.draft)).toEqual([
      '|heading2|Weigh it',
      '|paragraph|Put all on a scale with and more.',
      '|image|',
      ...['a', 'b', '1', '2'].map((cell) => `table>row>cell|paragraph|${cell}`),
    ]);
    expect(read.draft.blocks[2].image?.alt).toBeNull();
  });
  it('says what is wrong with front matter and reads the rest', () => {
    const broken = readMarkdown('---\ntitle: [a\n---\nText');
    expect(broken.problem).toMatch(/front matter/);
    expect(outline(broken.draft)).toEqual(['|paragraph|Text']);
  });
  it('takes a lone title from the first h1', () =>
    expect(readMarkdown('# A ride\n\nText').fields.title).toBe('A ride'));
  it('writes every field back', () => {
    const fields = {
      ...emptyFields(),
      title: 'A: "b" #c',
      metaTitle: 'm',
      metaDescription: 'd',
      keyword: 'k',
      supporting: ['a, b'],
      status: 'in-review' as const,
      imageAlt: '',
      image: 'media/a.webp',
      audience: ['new riders'],
      questions: ['How far, a day?'],
      ownFigures: ['12 % of ours'],
      points: ['one'],
      targetWords: 800,
      unknown: { x: { y: [1] } },
    };
    expect(readMarkdown(writeMarkdown({ fields, draft: { version: 1, blocks: [] } })).fields).toEqual(fields);
  });
});

describe('plain text', () => {
  it('is paragraphs between blank lines, whose lines were only broken to fit', () =>
    expect(outline(readText('\uFEFFOne\r\ntwo\r\n\r\n  Three  \n').draft)).toEqual([
      '|paragraph|One two',
      '|paragraph|Three',
    ]));
  it('keeps the lines of a list', () =>
    expect(outline(readText('Bring:\n- a tent\n  and pegs\n- 2 mugs\n1. first').draft)).toEqual([
      '|paragraph|Bring:\n- a tent and pegs\n- 2 mugs\n1. first',
    ]));
  it('formats are told by the name', () =>
    expect(['a.HTML', 'b.md', 'c.txt', 'd.zip', 'e'].map(formatOfName)).toEqual([
      'html',
      'markdown',
      'text',
      null,
      null,
    ]));
});

describe('round trips', () => {
  const bare = (draft: Draft) => draft.blocks;
  it('editor JSON keeps everything', () => {
    fc.assert(
      fc.property(anyDraft, (draft) => {
        if (draft.blocks.length === 0) return;
        expect(bare(readEditor(writeEditor(draft, countingIds('x')), countingIds('y')))).toEqual(bare(draft));
      }),
    );
  });
  it('HTML keeps everything', () => {
    fc.assert(
      fc.property(anyDraft, (draft) => {
        expect(bare(readHtml(writeHtml(draft)).draft)).toEqual(bare(draft));
      }),
    );
  });
  it('Markdown keeps everything', () => {
    fc.assert(
      fc.property(anyDraft, (draft) => {
        const text = writeMarkdownBody(draft);
        expect(bare(readMarkdown(`---\n---\n${text}`).draft), text).toEqual(bare(draft));
      }),
      { numRuns: 400 },
    );
  });
});

describe('readers', () => {
  const markup = fc
    .array(
      fc.constantFrom(
        '<p>',
        '</p>',
        '<h1>',
        '<li>',
        '<table>',
        '<td>',
        '<b>',
        '<a href="x">',
        '</a>',
        '<img src=a>',
        '<figure>',
        '<!--',
        '---\n',
        '# ',
        '- ',
        '> ',
        '|',
        '```',
        'x',
        '\n',
        '\0',
        '\ud800',
        '<iframe>',
      ),
      { maxLength: 25 },
    )
    .map((parts) => parts.join(''));
  it('never throw, and give unique ids', () => {
    fc.assert(
      fc.property(
        fc.oneof(markup, fc.string({ unit: 'binary' })),
        fc.constantFrom('html' as const, 'markdown' as const, 'text' as const),
        (text, format) => {
          const { draft } = { html: readHtml, markdown: readMarkdown, text: readText }[format](text);
          expect(new Set(draft.blocks.map((block) => block.id)).size).toBe(draft.blocks.length);
          for (const block of draft.blocks)
            for (const mark of block.marks) expect(mark.end).toBeLessThanOrEqual(block.text.length);
        },
      ),
      { numRuns: 600 },
    );
  });
});
