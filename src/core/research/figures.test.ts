import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bareKeyword,
  type Keyword,
  KeywordBook,
  looksLikePerformance,
  packKeywords,
  previewPerformance,
  previewTable,
  readKeywordTable,
  readPerformance,
  readPhraseList,
  tableBatches,
  unpackKeywords,
  writeKeywordTable,
} from './index.ts';
import { readFigure, readSmallFigure } from './read-figure.ts';

const source = { name: 'panniers.csv', date: '2026-11-20' };
const defaults = { region: 'GB', source };
const read = (text: string) => readKeywordTable(text, previewTable(text), defaults);
const keyword = (phrase: string, rest: Partial<Keyword> = {}): Keyword => ({
  ...bareKeyword(phrase, 'GB', source),
  ...rest,
});

describe('a figure as tables write it', () => {
  it.each([
    ['1200', 1200],
    ['1,200', 1200],
    ['1.200', 1200],
    ['1 200', 1200],
    ['1.2K', 1200],
    ['1,2k', 1200],
    ['12.5', 12.5],
    ['1,234,567', 1_234_567],
    ['1.234,5', 1234.5],
    ['3.4M', 3_400_000],
    ['1.234K', 1234],
    ['<10', 10],
    ['10-100', 55],
    ['1K – 10K', 5500],
    ['45 %', 45],
    ['', null],
    ['-', null],
    ['n/a', null],
  ])('%s is %s', (cell, value) => expect(readFigure(cell)).toBe(value));
  it.each([
    ['4.125', 4.125],
    ['4,125', 4.125],
    ['12', 12],
    ['1.2K', 1200],
    ['', null],
  ])('a small figure: %s is %s', (cell, value) => expect(readSmallFigure(cell)).toBe(value));
  it.each(['many', '12 apples', '1..2..', '--4'])('%s is none', (cell) => expect(readFigure(cell)).toBeNaN());
  it('never throws', () => fc.assert(fc.property(fc.string(), (cell) => void readFigure(cell))));
});

describe('a table of keywords', () => {
  it('is read whatever its delimiter, quoting and names; bad rows are told by line, good ones kept', () => {
    const text = [
      'Keyword;Search Volume;Keyword Difficulty;Country',
      '"waterproof panniers";"6,6K";41;gb',
      '"roll top;bag";880;;GB',
      '"a phrase',
      'over two lines";90;12;US',
      'no number;lots;10;GB',
      ';50;10;GB',
      'too hard;50;140;GB',
      '',
      'no volume;;;',
    ].join('\r\n');
    const { keywords, bad, cells, empty } = read(text);
    expect(
      keywords.map(({ phrase, volume, givenDifficulty, region }) => [
        phrase,
        volume,
        givenDifficulty,
        region,
      ]),
    ).toEqual([
      ['waterproof panniers', 6600, 41, 'GB'],
      ['roll top;bag', 880, null, 'GB'],
      ['a phrase over two lines', 90, 12, 'US'],
      ['no number', null, 10, 'GB'],
      ['too hard', 50, null, 'GB'],
      ['no volume', null, null, 'GB'],
    ]);
    // The row before them takes up two lines.
    expect(bad).toEqual([{ line: 7, reason: 'no phrase stands in it' }]);
    // A cell that cannot be read costs the cell.
    expect(cells).toEqual([
      { line: 6, reason: '"lots" is no volume' },
      { line: 8, reason: '"140" is no difficulty from 0 to 100' },
    ]);
    expect(empty).toBe(1);
    expect(keywords[0].source).toEqual(source);
  });

  it('has months where twelve columns or one trend give them', () => {
    const names = [
      'Jan 2026',
      'February',
      'Mar',
      'Apr',
      'May',
      'Jun',
      'Jul',
      'Aug',
      'Sep',
      'Oct',
      'Nov',
      'Dec',
    ];
    const wide = read(`keyword,${names.join(',')}\npanniers,1,2,3,4,5,6,7,8,9,10,11,12`);
    expect(wide.keywords[0].months).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    const trend = read('keyword,trend\npanniers,1|2|3|4|5|6|7|8|9|10|11|12');
    expect(trend.keywords[0].months).toEqual(wide.keywords[0].months);
  });

  it('without names is a list of phrases', () => {
    expect(read('roll top bag\nwaxed bag').keywords.map(({ phrase }) => phrase)).toEqual([
      'roll top bag',
      'waxed bag',
    ]);
    expect(readPhraseList('1. roll top bag\n\n- Waxed bag\nwaxed  bag')).toEqual([
      'roll top bag',
      'Waxed bag',
    ]);
    expect(readPhraseList('roll top, waxed bag')).toEqual(['roll top', 'waxed bag']);
    expect(readPhraseList('20 litre panniers')).toEqual(['20 litre panniers']);
  });

  it('comes in batches that are the whole, without quotes too', () => {
    const text = `${Array.from({ length: 57 }, (_, at) => `phrase ${at},${at}`).join('\n')}\n`;
    for (const size of [1, 7, 57, 58]) {
      const rows = [...tableBatches(text, ',', size)]
        .flatMap((batch) => batch.rows)
        .filter((row) => row.length > 1);
      expect(rows).toEqual(Array.from({ length: 57 }, (_, at) => [`phrase ${at}`, String(at)]));
    }
  });

  it('comes in batches that are the whole, quoted line breaks and all', () => {
    const text = Array.from({ length: 57 }, (_, at) => `"phrase\n${at}";${at}`).join('\r\n');
    for (const size of [1, 7, 56, 57, 58]) {
      const batches = [...tableBatches(text, ';', size)];
      expect(batches.flatMap(({ rows }) => rows).map(([phrase]) => phrase)).toEqual(
        Array.from({ length: 57 }, (_, at) => `phrase\n${at}`),
      );
      expect(batches.at(-1)?.read).toBe(1);
      expect(batches.flatMap(({ lines }) => lines)).toEqual(
        Array.from({ length: 57 }, (_, at) => 1 + at * 2),
      );
    }
  });

  it('written out gives the same figures when it is read again', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            phrase: fc
              .stringMatching(/^[a-z"',;=@ -]{1,30}$/)
              .map((text) => `p${text.replace(/\s+/g, ' ').trim()}`),
            volume: fc.option(fc.nat(1_000_000)),
            givenDifficulty: fc.option(fc.nat(100)),
            setIntent: fc.option(fc.constantFrom('commercial' as const, 'navigational' as const)),
            months: fc.option(fc.array(fc.nat(9999), { minLength: 12, maxLength: 12 })),
          }),
          { minLength: 1, maxLength: 20 },
        ),
        (rows) => {
          const keywords = rows.map((row) => keyword(row.phrase, row));
          const again = read(writeKeywordTable(keywords));
          expect(again.bad).toEqual([]);
          expect(again.keywords).toEqual(keywords);
        },
      ),
    ));
});

describe('phrases that a spreadsheet would compute', () => {
  const hostile = ['=HYPERLINK("https://evil.example")', '-5 degree bag', '@tide', '+1 tyre', "'quoted'"];
  it('are written so that it does not, and read back as they were', () => {
    const keywords = hostile.map((phrase) =>
      keyword(phrase, { source: { name: '=cmd', date: '2026-11-01' } }),
    );
    const csv = writeKeywordTable(keywords);
    for (const cell of csv.split(/[,\n]/)) expect(cell).not.toMatch(/^"?[=+@-]/);
    const again = read(csv);
    expect(again.bad).toEqual([]);
    expect(again.keywords.map(({ phrase }) => phrase)).toEqual(hostile);
    expect(again.keywords[0].source.name).toBe('=cmd');
  });
});

describe('records of one phrase', () => {
  it('merge: the later figure wins, what it does not know stays, decisions stay', () => {
    const book = new KeywordBook([
      keyword('Panniers', { volume: 10, givenDifficulty: 30, setIntent: 'commercial' }),
    ]);
    const later = { name: 'new.csv', date: '2026-12-01' };
    expect(book.add(keyword('panniers ', { volume: 20, source: later }))).toEqual({ row: 0, fresh: false });
    expect(book.records).toEqual([
      keyword('Panniers', { volume: 20, givenDifficulty: 30, setIntent: 'commercial', source: later }),
    ]);
    book.add(keyword('panniers', { volume: 5, source: { name: 'old.csv', date: '2020-01-01' } }));
    expect(book.records[0].volume).toBe(20);
    expect(book.add(keyword('panniers', { region: 'US' }))).toEqual({ row: 1, fresh: true });
    expect(book.rowOf('PANNIERS', 'US')).toBe(1);
  });

  it('are packed into columns and out again', () => {
    const page = {
      address: 'https://a.example/',
      title: 'A',
      publisher: 'A',
      kind: 'blog' as const,
      standing: 20,
      squareness: 0.5,
    };
    const keywords = [
      keyword('one', { found: [page, { ...page, address: 'https://b.example/', squareness: 0.25 }] }),
      keyword('two', { volume: 3, months: Array(12).fill(3), found: [page] }),
    ];
    expect(unpackKeywords(packKeywords(keywords))).toEqual(keywords);
    expect(packKeywords(keywords).pages).toHaveLength(2);
  });
});

describe('a performance export', () => {
  const text = [
    'Top queries\tPage\tClicks\tImpressions\tPosition',
    'waterproof panniers\thttps://saltmarsh.example/journal/waterproof-panniers\t12\t1,400\t7.2',
    'waterproof panniers\thttps://saltmarsh.example/journal/waterproof-panniers\t3\t600\t5',
    'bad\thttps://saltmarsh.example/\t1\tfew\t3',
    'bad too\thttps://saltmarsh.example/\t1\t10\t0',
  ].join('\n');
  it('is known by its columns and read; rows of one query and page are added up', () => {
    expect(looksLikePerformance(text)).toBe(true);
    expect(looksLikePerformance('keyword,volume\npanniers,10')).toBe(false);
    const { rows, bad } = readPerformance(text, previewPerformance(text));
    expect(rows).toEqual([
      {
        query: 'waterproof panniers',
        page: 'https://saltmarsh.example/journal/waterproof-panniers',
        clicks: 15,
        impressions: 2000,
        position: (7.2 * 1400 + 5 * 600) / 2000,
        // Nobody said of which days.
        from: '',
        to: '',
      },
    ]);
    expect(bad).toEqual([
      { line: 4, reason: '"few" is no number of impressions' },
      { line: 5, reason: '"0" is no position from 1' },
    ]);
  });
});
