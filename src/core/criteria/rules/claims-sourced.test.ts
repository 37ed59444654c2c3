import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('claims-sourced', () => {
  it.each<[string, Case, number | null]>([
    ['no figure', { md: PROSE }, null],
    ['a bare percentage', { md: `${PROSE} Of these, 80% carry too much.` }, 0],
    [
      'a link in the same sentence',
      { md: `${PROSE} Of these, 80% [carry too much](https://tide.example).` },
      1,
    ],
    [
      'a link in the next',
      {
        md: `${PROSE}\n\nThe sea is cold.\n\nNobody swims.\n\nIt costs £40 a day. See the [price list](/prices).`,
      },
      1,
    ],
    [
      'one of two',
      {
        md: `${PROSE}\n\nThe sea is cold.\n\nNobody swims.\n\nThree out of four turn back. It costs £40 a day. See [prices](/p).`,
      },
      0.5,
    ],
    [
      'a sentence that goes on from one with a link',
      {
        md: `${PROSE} A [study](https://tide.example) watched 200 of them. It found four times as many breaks.`,
      },
      1,
    ],
    [
      'a sentence of its own after one with a link',
      {
        md: `${PROSE} A [study](https://tide.example) watched them. Riders in town break four times as many.`,
      },
      0,
    ],
    [
      'once in some years, which is no share',
      { md: `${PROSE} One of us has opened one in six years.` },
      null,
    ],
    ['half of what is no number of things', { md: `${PROSE} That is half of the truth at best.` }, null],
    ['half of the people', { md: `${PROSE} Half of the older riders turn back.` }, 0],
    [
      'prices of a list below a paragraph of the house',
      {
        md: `${PROSE}\n\nThe sea is cold.\n\nAll of it is done in our shop.\n\n- Tube: £6\n- Tyre: £20\n- Wheel: about £90\n- Frame: from £200\n- Bell: £4\n\nThe sea is cold.\n\nNobody swims.`,
      },
      1,
    ],
    ['own data', { md: `${PROSE} Eight in ten riders rest.`, ownFigures: ['Eight in ten riders rest.'] }, 1],
    [
      'what the writer has counted',
      { md: `${PROSE} Three out of four flats that we see could be mended.` },
      1,
    ],
    ['where it was counted', { md: `${PROSE} In our workshop a third of all flats come from the rim.` }, 1],
    ['what the writer only knows', { md: `${PROSE} We know that 80% of riders carry too much.` }, 0],
    [
      'the title said again',
      { title: 'Half of all tyres are flat', md: `${PROSE} Half of all tyres are flat.` },
      null,
    ],
    ['another language', { language: 'fi', md: `${PROSE} 80%.` }, null],
  ])('%s', (_, given, expected) => expect(share('claims-sourced', given)).toBe(expected));
  it('offers to mark it as own data', () =>
    expect(judge('claims-sourced', { md: `${PROSE} Twice as many came.` }).mended().share).toBe(1));
});
