import { describe, expect, it } from 'vitest';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { numberValue } from './check-this.ts';
import { SourceTexts } from './index.ts';

const sources = new SourceTexts([
  'Of the twenty-two bags in our store, 86% passed. A pair of rear panniers holds 40 litres and costs £95.',
  'Ada Marsh of the Eddering Ferry says: "Nobody waits for the tide, and the tide waits for nobody."',
  'In 2024 we counted 1,240 riders on the causeway. Half of the riders turned back. It weighs 1.5 kg.',
]);
const found = (text: string) => sources.unsupported(text).map(({ kind, quote }) => `${kind}: ${quote}`);

describe('what stands in none of the sources', () => {
  it('are three invented figures, and not the ones that are known', () =>
    expect(
      found(
        'Our store has 22 bags, and 86 per cent passed. In a survey 73% of riders said so. Each pair holds 40 litres and costs £120. By 2031 there will be 1,240 riders.',
      ),
    ).toEqual(['figure: 73', 'figure: £120', 'figure: 2031']));
  it('is a figure that counts something else there', () => {
    expect(found('It takes 40 days.')).toEqual(['figure: 40']);
    expect(found('It holds 40 l.')).toEqual([]);
    expect(found('It weighs 1.5 kilos.')).toEqual([]);
  });
  it('is either end of a range, with what both count', () => {
    expect(found('It holds 40-55 litres.')).toEqual(['figure: 55']);
    expect(found('It holds 35–40 litres.')).toEqual(['figure: 35']);
    // A day is no range.
    expect(found('Since 2024-11-30.')).toEqual([]);
  });
  it('is a share in words', () =>
    expect(found('Half of the riders came back. A third of the riders never did.')).toEqual([
      'figure: A third of',
    ]));
  it('is a name that nobody knows', () =>
    expect(
      found(
        'Ada Marsh rides there. The baker Tom Hollis says otherwise. At Eddering Ferry nobody asks. On Monday I ride with Greta.',
      ),
    ).toEqual(['name: Tom Hollis', 'name: Greta']));
  it('is a quotation that nobody said, and none that somebody did', () =>
    expect(
      found(
        '“Nobody waits for the tide,” and so on. She adds: “The ferry has never once been late.” A “dry bag” is one.',
      ),
    ).toEqual(['quote: “The ferry has never once been late.”']));
  it('are no small numbers in words, no capitals at the beginning, no days', () =>
    expect(
      found('Two bags are enough. Take three days. Panniers hold more: Bags too. In March it rains.'),
    ).toEqual([]));
  it('are no numbers of sections and steps, and no kinds of things in capitals', () =>
    expect(found('See Section 12.1 and Table 9 for step 14. On Sundays two DVD-ROMs are enough.')).toEqual(
      [],
    ));
  it('is the one of two names that nobody knows, and not what only begins a sentence', () =>
    expect(
      found(
        'We asked Ada Marsh and Tom Hollis. Once Ada Marsh came, the Eddering-like light was gone. Once Greta Vole came, it rained.',
      ),
    ).toEqual(['name: Tom Hollis', 'name: Once Greta Vole']));
  it('are no places in a text, no things just told of, and no pieces of code', () =>
    expect(
      found(
        'See Binding Nails in the list (see “The four ways to hang a bag” there). Those 4 bags and firstLineBlank stay; “\\\\b{}, \\\\b, \\\\B{}, \\\\B” is none.',
      ),
    ).toEqual([]));
  it('may be any word', () => {
    for (const word of HOSTILE_WORDS)
      expect(() => sources.unsupported(`The ${word} of ${word} 12 ${word}.`)).not.toThrow();
    expect(new SourceTexts().unsupported('')).toEqual([]);
  });
});

describe('a number as it is written', () => {
  it.each([
    ['1,240', 1240],
    ['£ 95', 95],
    ['twenty-two', 22],
    ['two hundred', 200],
    ['ninety', 90],
    ['3.5', 3.5],
    ['a lot', null],
  ])('%j is %s', (written, value) => expect(numberValue(written)).toBe(value));
});
