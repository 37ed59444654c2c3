import { describe, expect, it } from 'vitest';
import { contrastOf, PICTURE_COLOURS, READABLE_CONTRAST } from './picture-colours.ts';

describe('the colours of a picture with a sentence', () => {
  it('have the contrast that WCAG defines, in either order', () => {
    expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 5);
    expect(contrastOf('#ffffff', '#ffffff')).toBe(1);
    // The known edge: this grey on white is just readable, the next lighter one is not.
    expect(contrastOf('#767676', '#ffffff')).toBeGreaterThanOrEqual(READABLE_CONTRAST);
    expect(contrastOf('#ffffff', '#777777')).toBeLessThan(READABLE_CONTRAST);
  });
  it('can be read where they come along, words and name', () => {
    for (const { name, colours } of PICTURE_COLOURS) {
      expect(contrastOf(colours.words, colours.ground), name).toBeGreaterThan(READABLE_CONTRAST);
      expect(contrastOf(colours.line, colours.ground), name).toBeGreaterThanOrEqual(READABLE_CONTRAST);
    }
  });
});
