import { describe, expect, it } from 'vitest';
import { termBand } from './term-use.ts';

describe('the band of a term', () => {
  it('is in whole uses for the length of the text, once at least', () => {
    expect(termBand({ lower: 2, upper: 5 }, 1000)).toEqual({ from: 2, to: 5 });
    expect(termBand({ lower: 2, upper: 5 }, 300)).toEqual({ from: 1, to: 2 });
    expect(termBand({ lower: 0.1, upper: 0.2 }, 500)).toEqual({ from: 1, to: 1 });
  });
  it('asks for no more than readers stand, whatever the pages do', () => {
    expect(termBand({ lower: 30, upper: 60 }, 1000)).toEqual({ from: 15, to: 15 });
    expect(termBand({ lower: 4, upper: 60 }, 2000)).toEqual({ from: 8, to: 30 });
  });
});
