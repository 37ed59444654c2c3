import { describe, expect, it } from 'vitest';
import { draftLanguage, instantOf, readHtml, readPostFile } from './index.ts';

const bytes = (text: string) => new TextEncoder().encode(text);
const texts = async (name: string, text: string) =>
  (await readPostFile(bytes(text), name)).draft.blocks.map((block) => block.text);

describe('a file is read for what it is', () => {
  it('Markdown that quotes a charset is UTF-8', async () => {
    expect(await texts('a.md', '# Café\n\nWrite `<meta charset="iso-8859-1">` in the head.')).toEqual([
      'Café',
      'Write <meta charset="iso-8859-1"> in the head.',
    ]);
  });
  it('a text that mentions a feed is a text', async () => {
    expect(await texts('a.txt', 'A feed begins with <rss> and more.')).toEqual([
      'A feed begins with <rss> and more.',
    ]);
  });
  it('lines of plain text were broken to fit a width: a phrase across two of them is one', async () => {
    expect(await texts('a.txt', 'The tide\ntable hangs\nby the door.\n\nNext.')).toEqual([
      'The tide table hangs by the door.',
      'Next.',
    ]);
  });
  it('its language is told by its words where nobody declares it', async () => {
    const { draft } = await readPostFile(
      bytes('Die Fähre fährt früh, und wir warten mit den Rädern am Ufer auf das Boot.'),
      'a.txt',
    );
    expect(draftLanguage(draft.blocks)).toBe('de');
  });
});

describe('the title of a page', () => {
  const titleOf = (head: string, h1: string) =>
    readHtml(`<html><head><title>${head}</title></head><body><h1>${h1}</h1><p>Text.</p></body></html>`).fields
      .title;
  it.each([
    ['Tides - Saltmarsh', 'Reading a tide table', 'Reading a tide table'],
    ['12.3. Backup strategies — The Handbook', '12.3.', '12.3. Backup strategies'],
    ['Chapter 4: Tides | Saltmarsh', 'Chapter 4', 'Chapter 4: Tides'],
    ['tar - archive files', 'NAME', 'tar'],
    ['', '12', '12'],
  ])('"%s" with the heading "%s" is "%s"', (head, h1, title) => expect(titleOf(head, h1)).toBe(title));
  it('is one thing with the heading that it takes the place of', () => {
    const { fields, draft } = readHtml(
      '<head><title>4. Tides — Book</title></head><body><h1>4.</h1><p>Text.</p></body>',
    );
    expect(draft.blocks[0].text).toBe(fields.title);
  });
});

describe('marks that lead to a heading itself', () => {
  it('are no words of it', () => {
    const { draft } = readHtml(
      '<h2>Why<a class="headerlink" href="#why">¶</a></h2><h2>How <a href="#how">#</a></h2><p>See <a href="#how">how</a>.</p>',
    );
    expect(draft.blocks.map(({ text }) => text)).toEqual(['Why', 'How', 'See how.']);
    expect(draft.blocks.flatMap(({ marks }) => marks)).toHaveLength(1);
  });
});

describe('links of every scheme that runs nothing', () => {
  it.each(['ftp://x.example/a', 'news:comp.x', 'tel:+4412345', 'mailto:a@b.example', 'irc://x.example'])(
    '%s stays',
    (href) => {
      const [block] = readHtml(`<p><a href="${href}">There</a></p>`).draft.blocks;
      expect(block.marks).toMatchObject([{ type: 'link', href }]);
    },
  );
});

describe('a date', () => {
  it.each([
    ['2024-05-01', '2024-05-01T00:00:00Z'],
    ['May 1, 2024', '2024-05-01T00:00:00Z'],
    ['1 May 2024', '2024-05-01T00:00:00Z'],
    ['2024/05/01', '2024-05-01T00:00:00Z'],
    ['2024-05-01T10:00', '2024-05-01T10:00:00Z'],
    ['2024-05-01T10:00:00+02:00', '2024-05-01T08:00:00Z'],
    ['Wed, 01 May 2024 10:00:00 GMT', '2024-05-01T10:00:00Z'],
    ['May', ''],
    ['soon', ''],
  ])('"%s" is %s in every zone', (text, instant) => {
    const own = process.env['TZ'];
    for (const zone of ['Pacific/Kiritimati', 'America/Los_Angeles']) {
      process.env['TZ'] = zone;
      expect([zone, instantOf(text)]).toEqual([zone, instant]);
    }
    if (own === undefined) delete process.env['TZ'];
    else process.env['TZ'] = own;
  });
});
