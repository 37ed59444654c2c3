import { describe, expect, it } from 'vitest';
import {
  comparablePath,
  cutToWidth,
  effectiveMetaTitle,
  linkKind,
  openingSentences,
  openingWords,
  pixelWidth,
  postPath,
  slugOf,
} from './index.ts';

describe('pixel widths', () => {
  // Advances of the face in units of 2048 to the em: A 1366, V 1366, kern A-V -152, space 569, i 455.
  it('adds advances and kerning', () => {
    expect(pixelWidth('A', 20)).toBeCloseTo((1366 / 2048) * 20, 9);
    expect(pixelWidth('AV', 20)).toBeCloseTo(((1366 * 2 - 152) / 2048) * 20, 9);
    expect(pixelWidth('i i', 14)).toBeCloseTo(((455 * 2 + 569) / 2048) * 14, 9);
  });
  it('gives full width to Japanese and emoji, none to joiners', () => {
    expect(pixelWidth('旅行', 20)).toBe(40);
    expect(pixelWidth('\u200d', 20)).toBe(0);
    expect(pixelWidth('', 20)).toBe(0);
  });
  it('never shrinks to nothing by decomposing letters', () =>
    expect(pixelWidth('é', 20)).toBeCloseTo(pixelWidth('e\u0301', 20), 6));
});

describe('where a results page cuts', () => {
  const title = 'Bike tour packing list: what a first trip of four days really needs and what stays home';
  it('leaves a line that fits', () =>
    expect(cutToWidth('Packing light', 20, 580)).toEqual({ shown: 'Packing light', cut: null }));
  it('cuts at a word so that the ellipsis fits', () => {
    const { shown, cut } = cutToWidth(title, 20, 580);
    expect(title.slice(0, cut!)).toMatch(/\w$/);
    expect(title[cut!]).toBe(' ');
    expect(pixelWidth(shown, 20)).toBeLessThanOrEqual(580);
    expect(pixelWidth(shown, 20)).toBeGreaterThan(480);
  });
  it('cuts between characters where there are no spaces', () =>
    expect(cutToWidth('旅'.repeat(60), 20, 580).cut).toBe(27));
});

describe('slugs', () => {
  it.each([
    ['What to Pack for Your First Bike Tour', 'what-to-pack-for-your-first-bike-tour'],
    ['Süße Fähre über Øresund', 'suesse-faehre-ueber-oresund'],
    ["The rider's map", 'the-riders-map'],
    ['春の自転車旅行 2 日', '春の自転車旅行-2-日'],
    ['قائمة الرحلة', 'qaymt-alrhlt'],
    ['  —  ', ''],
  ])('of "%s"', (text, slug) => expect(slugOf(text)).toBe(slug));
});

describe('addresses', () => {
  it.each([
    ['https://saltmarsh.example/journal/Tides/?a=1#b', '/journal/tides'],
    ['../tides.md', '/tides'],
    ['tides', '/journal/tides'],
    ['/', '/'],
    ['/index.html', '/'],
    ['mailto:a@b.example', null],
    ['/100%', '/100%'],
  ])('%s compares as %s', (href, path) => expect(comparablePath(href, '/journal/packing')).toBe(path));
  it.each([
    ['/a', 'internal'],
    ['a', 'internal'],
    ['#a', 'fragment'],
    ['mailto:x@y.example', 'mail'],
    ['tel:1', 'other'],
    ['https://www.saltmarsh.example/a', 'internal'],
    ['//saltmarsh.example', 'internal'],
    ['https://tide.example', 'external'],
  ])('%s is %s', (href, kind) => expect(linkKind(href, 'https://saltmarsh.example')).toBe(kind));
  it('without a known host an absolute address is external', () =>
    expect(linkKind('https://saltmarsh.example/a', null)).toBe('external'));
  it('a post lives where the pattern says', () =>
    expect([
      postPath({ addressPattern: '/journal/{slug}/' }, { slug: 'tides' }),
      postPath({ addressPattern: '/{slug}' }, { slug: '' }),
    ]).toEqual(['/journal/tides/', null]));
});

describe('what stands in for missing words', () => {
  it('the title through the pattern', () => {
    expect(effectiveMetaTitle('', 'Tides', '{title} | {site}', 'Saltmarsh')).toBe('Tides | Saltmarsh');
    expect(effectiveMetaTitle('Tide tables', 'Tides', null, 'Saltmarsh')).toBe('Tide tables');
    expect(effectiveMetaTitle('', '', '{title} | {site}', 'Saltmarsh')).toBe('');
  });
  it('the opening, in whole sentences that fit', () => {
    expect(openingWords(['One two', 'three  four'], 3)).toBe('One two three');
    expect(openingSentences(['Pack light. ', 'Ride far. ', 'W'.repeat(90)], 920)).toBe(
      'Pack light. Ride far.',
    );
    expect(openingSentences(['W'.repeat(90)], 920)).toBe('');
  });
});
