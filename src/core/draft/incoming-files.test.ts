import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import {
  decodeText,
  emptyFields,
  linksOf,
  readMarkdown,
  readPostFile,
  readZip,
  UnreadableFile,
  writeDocx,
} from './index.ts';

const bytes = (...parts: (string | number[])[]) =>
  Uint8Array.from(
    parts.flatMap((part) => (typeof part === 'string' ? [...Buffer.from(part, 'latin1')] : part)),
  );
const utf16 = (text: string, order: 'le' | 'be') => {
  const buffer = Buffer.from(text, 'utf16le');
  return new Uint8Array(order === 'le' ? buffer : buffer.swap16());
};

describe('the encoding of a file', () => {
  const PROSE = 'Der Deich fährt sich gut.';
  it.each<[string, Uint8Array, string, string]>([
    ['UTF-8', strToU8(PROSE), 'utf-8', PROSE],
    ['UTF-8 with a mark', bytes([0xef, 0xbb, 0xbf], [...strToU8(PROSE)]), 'utf-8', PROSE],
    ['UTF-16 little end first', bytes([0xff, 0xfe], [...utf16(PROSE, 'le')]), 'utf-16le', PROSE],
    ['UTF-16 big end first', bytes([0xfe, 0xff], [...utf16(PROSE, 'be')]), 'utf-16be', PROSE],
    ['UTF-16 without a mark', utf16(PROSE, 'le'), 'utf-16le', PROSE],
    ['UTF-16 big end first without a mark', utf16(PROSE, 'be'), 'utf-16be', PROSE],
    [
      'declared ISO-8859-15',
      bytes('<meta charset="iso-8859-15"><p>5 ', [0xa4], '</p>'),
      'iso-8859-15',
      '<meta charset="iso-8859-15"><p>5 €</p>',
    ],
    [
      'declared ISO-8859-2 the old way',
      bytes("<meta http-equiv=content-type content='text/html; charset=ISO-8859-2'>", [0xb3]),
      'iso-8859-2',
      "<meta http-equiv=content-type content='text/html; charset=ISO-8859-2'>ł",
    ],
    [
      'declared Shift_JIS',
      bytes('<meta charset="Shift_JIS">', [0x8e, 0xa9, 0x93, 0x5d, 0x8e, 0xd4]),
      'shift_jis',
      '<meta charset="Shift_JIS">自転車',
    ],
    [
      'declared in an XML declaration',
      bytes('<?xml version="1.0" encoding="windows-1251"?>', [0xc2, 0xe5, 0xeb, 0xee]),
      'windows-1251',
      '<?xml version="1.0" encoding="windows-1251"?>Вело',
    ],
  ])('%s', (_, file, encoding, text) => expect(decodeText(file)).toEqual({ text, encoding, notes: [] }));

  it('undeclared and no UTF-8 is read as Windows-1252, and said to be a guess', () => {
    const read = decodeText(bytes('caf', [0xe9], ' ', [0x93], 'open', [0x94]));
    expect(read.text).toBe('café “open”');
    expect(read.notes.join()).toContain('Windows-1252');
  });
  it('a declared encoding that nobody knows is none', () =>
    expect(decodeText(strToU8('<meta charset="klingon"><p>fährt')).encoding).toBe('utf-8'));
  it('invalid places and NULs are named, the rest is read', () => {
    const read = decodeText(bytes([0xef, 0xbb, 0xbf], 'good ', [0xff], ' text', [0]));
    expect(read.text).toBe('good \ufffd text');
    expect(read.notes).toEqual(['1 NUL character was left out.', '1 place is not valid UTF-8.']);
  });
  it.each<[string, Uint8Array, string]>([
    ['a picture', bytes([0x89], 'PNG\r\n'), 'a PNG picture'],
    ['a zip', bytes('PK', [3, 4, 20, 0]), 'a zip file'],
    ['noise', Uint8Array.from({ length: 4000 }, (_v, at) => (at * 7919) % 251), 'binary'],
    ['more text than a post can hold', new Uint8Array(5_000_001).fill(97), '5.0 MB of text'],
  ])('%s under a text name is refused in words', (_, file, words) => {
    expect(() => decodeText(file)).toThrow(UnreadableFile);
    expect(() => decodeText(file)).toThrow(words);
  });
  it.each(['\n', '\r\n', '\r'])('line ends %j are the same text', async (end) => {
    const lines = ['---', 'title: Tides', '---', '', '## Ebb', '', '- one', '- two', '', 'Last', 'line'];
    const { fields, draft } = await readPostFile(strToU8(lines.join(end)), 'a.md');
    expect(fields.title).toBe('Tides');
    expect(draft.blocks.map((block) => block.text)).toEqual(['Ebb', 'one', 'two', 'Last line']);
  });
});

const PNG = Uint8Array.from(
  Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  ),
);

const BODY = `## What to pack

A **warm** layer, _some_ bread and [a pump](https://saltmarsh.example/pumps).

- one
  - deeper
- two

1. first
2. second

| Item | Grams |
| --- | --- |
| Pump | 120 |

> Slow is fast.

![A pump on a quay](media/pump.png)

\`\`\`
ride --slow
\`\`\`
`;

describe('a .docx file', () => {
  const document = {
    fields: {
      ...emptyFields(),
      title: 'Packing for the dyke',
      language: 'en-GB',
      metaDescription: 'What to take.',
    },
    draft: readMarkdown(BODY).draft,
  };
  const written = () => writeDocx(document, new Map([['media/pump.png', PNG]]));

  it('keeps title, headings, marks, lists, tables, links, quotes and pictures on the way out and in', async () => {
    const { bytes: file, left } = await written();
    const read = await readPostFile(file, 'packing.docx');
    expect(left).toEqual([]);
    expect(read.format).toBe('docx');
    expect(read.fields).toMatchObject({
      title: 'Packing for the dyke',
      language: 'en-GB',
      metaDescription: 'What to take.',
    });
    const shape = read.draft.blocks.map(({ kind, level, text, path }) =>
      [kind, level, path.map((one) => one.type).join('/'), text].filter(Boolean).join(' '),
    );
    expect(shape).toEqual([
      'heading 1 Packing for the dyke',
      'heading 2 What to pack',
      'paragraph A warm layer, some bread and a pump.',
      'paragraph list/item one',
      'paragraph list/item/list/item deeper',
      'paragraph list/item two',
      'paragraph list/item first',
      'paragraph list/item second',
      'paragraph table/row/cell Item',
      'paragraph table/row/cell Grams',
      'paragraph table/row/cell Pump',
      'paragraph table/row/cell 120',
      'paragraph quote Slow is fast.',
      'image',
      'code ride --slow',
    ]);
    const prose = read.draft.blocks[2];
    expect(linksOf(prose).map((link) => [link.text, link.href])).toEqual([
      ['a pump', 'https://saltmarsh.example/pumps'],
    ]);
    expect(prose.marks.filter((mark) => mark.type === 'bold').map((mark) => mark.start)).toEqual([2]);
    const picture = read.draft.blocks.find((block) => block.kind === 'image')!.image!;
    expect(picture).toMatchObject({ src: 'media/picture-1.png', alt: 'A pump on a quay' });
    expect(read.pictures.get(picture.src)).toEqual(PNG);
    const lists = read.draft.blocks.flatMap(({ path }) =>
      path[0]?.type === 'list' ? [path[0].ordered] : [],
    );
    expect(lists).toEqual([false, false, false, true, true]);
  });
  it('names a picture that is not at hand', async () => {
    const { bytes: file, left } = await writeDocx(document, new Map());
    expect(left).toEqual(['media/pump.png']);
    const read = await readPostFile(file, 'a.docx');
    expect(read.draft.blocks.map((block) => block.text)).toContain('[Picture: A pump on a quay]');
  });
  it('a text in the style Title is the title, and level 1 headings stand below it', async () => {
    const { bytes: file } = await writeDocx(
      { fields: emptyFields(), draft: readMarkdown('# One\n\n## Two\n\n# Three').draft },
      new Map(),
    );
    const parts = readZip(file, { files: 99, bytes: 1e8 });
    const xml = new TextDecoder().decode(parts.get('word/document.xml'));
    parts.set('word/document.xml', strToU8(xml.replace('w:val="Heading1"', 'w:val="Title"')));
    const read = await readPostFile(zipSync(Object.fromEntries(parts)), 'a.docx');
    expect(read.fields.title).toBe('One');
    expect(read.draft.blocks.map((block) => block.level)).toEqual([1, 3, 2]);
  });
  it('cut at any place is refused in words', async () => {
    const { bytes: file } = await written();
    for (let at = 0; at < file.length; at += Math.ceil(file.length / 40))
      await expect(readPostFile(file.slice(0, at), 'cut.docx')).rejects.toBeInstanceOf(UnreadableFile);
  });
  it('that unpacks to more than it says, or to far too much, is refused', async () => {
    const bomb = zipSync({ 'word/document.xml': new Uint8Array(31_000_000) }, { level: 9 });
    expect(bomb.length).toBeLessThan(100_000);
    await expect(readPostFile(bomb, 'bomb.docx')).rejects.toThrow('too large');
    const lying = bomb.slice();
    const view = new DataView(lying.buffer);
    for (let at = 0; at < lying.length - 4; at++) {
      const signature = view.getUint32(at, true);
      if (signature === 0x02014b50) view.setUint32(at + 24, 1000, true);
      if (signature === 0x04034b50) view.setUint32(at + 22, 1000, true);
    }
    await expect(readPostFile(lying, 'lying.docx')).rejects.toBeInstanceOf(UnreadableFile);
    expect(() => readZip(bomb, { files: 10, bytes: 1_000_000 })).toThrow('more than 1.0 MB');
    expect(() => readZip(zipSync({ a: PNG, b: PNG }), { files: 1, bytes: 1e6 })).toThrow('more than 1 files');
  });
  it('a zip that is no document, and formats of other word processors, are named', async () => {
    await expect(readPostFile(zipSync({ a: PNG }), 'a.docx')).rejects.toThrow('no .docx document');
    await expect(readPostFile(PNG, 'a.odt')).rejects.toThrow('Save it as .docx');
  });
});
