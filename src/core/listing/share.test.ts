import { describe, expect, it } from 'vitest';
import { emptyFields, shareOf } from '../draft/index.ts';
import { shareCut, sharePictureFault } from './index.ts';

const fields = {
  ...emptyFields(),
  title: 'Tide tables for cyclists',
  metaDescription: 'When the causeway is dry.',
  image: 'media/dyke.webp',
};

describe('a share', () => {
  it('shows what the listing says, where nothing was written for it', () =>
    expect(shareOf(fields)).toEqual({
      title: 'Tide tables for cyclists',
      description: 'When the causeway is dry.',
      picture: 'media/dyke.webp',
    }));
  it('shows its own words and picture', () =>
    expect(shareOf({ ...fields, shareTitle: ' Dry feet ', shareImage: 'media/share.png' })).toEqual({
      title: 'Dry feet',
      description: 'When the causeway is dry.',
      picture: 'media/share.png',
    }));
  it('falls back to the excerpt', () =>
    expect(shareOf({ ...fields, metaDescription: '', excerpt: 'Dry at noon.' }).description).toBe(
      'Dry at noon.',
    ));
  it('is cut where a card ends', () => {
    const long =
      'How to read a tide table before a bike tour over the causeway, and what to do when the water comes back before you do';
    const cut = shareCut({ title: `${long}. ${long}`, description: long, picture: '' });
    expect(cut.title.shown).toMatch(/^How to read .* …$/);
    expect(cut.description.cut).toBeLessThan(90);
    expect(shareCut(shareOf(fields)).title.cut).toBeNull();
  });
  it.each([
    [1200, 630, null],
    [2400, 1260, null],
    [1600, 900, null],
    [500, 500, 'Too small: 500 x 500 px'],
    [640, 2000, 'Small: 640 x 2,000 px'],
    [900, 600, 'Small: 900 x 600 px'],
    [3000, 3000, 'Another shape (3,000 x 3,000 px)'],
  ])('with a picture of %i x %i: %s', (width, height, said) => {
    const fault = sharePictureFault(width, height);
    if (said === null) expect(fault).toBeNull();
    else expect(fault?.startsWith(said)).toBe(true);
  });
});
