import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareDrafts, compareTexts, readMarkdown, thinnedVersions } from './index.ts';

const draft = (markdown: string) => readMarkdown(markdown).draft;
const inWords = (pieces: { text: string; change: string }[] | null) =>
  pieces?.map(({ text, change }) => (change === 'same' ? text : `${change}(${text})`)).join('') ?? null;
const rows = (before: string, after: string) =>
  compareDrafts(draft(before), draft(after)).map((row) => [inWords(row.before), inWords(row.after)]);

describe('two states of a text side by side', () => {
  it('tells a changed paragraph word by word, and one that came or went as a whole', () => {
    const before = 'The tide table has two columns.\n\nOld.\n\nLast.';
    expect(rows(before, 'The tide table has three columns.\n\nLast.\n\nNew.')).toEqual([
      ['The tide table has out(two) columns.', 'The tide table has in(three) columns.'],
      ['out(Old.)', null],
      ['Last.', 'Last.'],
      [null, 'in(New.)'],
    ]);
  });
  it('names pictures and lines by what they are', () => {
    expect(rows('![Dyke](a.png)', '![Dyke at dusk](a.png)')).toEqual([
      ['[Picture: Dyke]', '[Picture: Dykein( at dusk)]'],
    ]);
  });
  it('loses no word of either side', () => {
    const words = fc.array(fc.constantFrom('tide', 'dyke', 'ferry', 'rain'), { minLength: 1, maxLength: 6 });
    const text = fc
      .array(
        words.map((list) => list.join(' ')),
        { maxLength: 6 },
      )
      .map((list) => list.join('\n\n'));
    fc.assert(
      fc.property(text, text, (before, after) => {
        const compared = compareDrafts(draft(before), draft(after));
        const side = (own: 'before' | 'after') =>
          compared.flatMap((row) => (row[own] ? [row[own].map((piece) => piece.text).join('')] : []));
        expect(side('before')).toEqual(draft(before).blocks.map((block) => block.text));
        expect(side('after')).toEqual(draft(after).blocks.map((block) => block.text));
      }),
    );
  });
  it('compares plain texts alike', () =>
    expect(inWords(compareTexts('a title', 'a new title').after)).toBe('a in(new )title'));
});

describe('versions thinned by age', () => {
  const version = (at: string, lasting = false) => ({ id: at, at, lasting });
  const NOW = '2026-11-24T12:00:00Z';
  it('keeps all of the last day, the last of each hour for a week, then the last of each day', () => {
    const kept = [
      '2026-11-24T11:50:00Z',
      '2026-11-24T11:40:00Z',
      '2026-11-20T10:50:00Z',
      '2026-10-01T20:00:00Z',
    ];
    const gone = ['2026-11-20T10:40:00Z', '2026-10-01T09:00:00Z'];
    expect(
      thinnedVersions(
        [...kept, ...gone].map((at) => version(at)),
        NOW,
      ).sort(),
    ).toEqual(gone.sort());
  });
  it('never takes a named one, nor one from before a risky step', () => {
    const all = ['2026-10-01T20:00:00Z', '2026-10-01T09:00:00Z'].map((at) => version(at, true));
    expect(thinnedVersions(all, NOW)).toEqual([]);
  });
});
