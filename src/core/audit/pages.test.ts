import { describe, expect, it } from 'vitest';
import { readHtml } from '../draft/index.ts';
import { emptyScene } from '../scoring/index.ts';
import { indexedPost, SiteIndex, unknownSite } from '../site/index.ts';
import { checkPage, kindOfPage } from './index.ts';

describe('what a page is for', () => {
  it.each([
    ['/', 'home'],
    ['/index.html', 'home'],
    ['/shop/panniers', 'shop'],
    ['/pricing', 'shop'],
    ['/rent', 'booking'],
    ['/book-a-tour', 'booking'],
    ['/tours/coast.html', 'booking'],
    ['/category/gear', 'category'],
    ['/author/ines', 'category'],
    ['/journal', 'category'],
    ['/journal/page/2', 'category'],
    // A post about it is none of it.
    ['/journal/rent-touring-bike', 'other'],
    ['/news/2026/shop-opens', 'other'],
    ['/store-locator', 'other'],
    ['/constructor', 'other'],
  ])('is told by its address: %s', (path, kind) => {
    expect(kindOfPage(path, '')).toBe(kind);
  });
  it('is told by its data and its forms where the address says nothing', () => {
    expect(kindOfPage('/panniers', '<script>{"@type": "Product"}</script>')).toBe('shop');
    expect(kindOfPage('/stay', '<script>{"@type":["LodgingBusiness"]}</script>')).toBe('booking');
    expect(kindOfPage('/stay', '<form><input name="from" type="date"></form>')).toBe('booking');
    expect(kindOfPage('/panniers', '<button class="x">Add to basket</button>')).toBe('shop');
    expect(kindOfPage('/about', '<p>We add to basket weaving what we know.</p>')).toBe('other');
  });
});

describe('a page that is no post', () => {
  const page = (head: string, body: string) =>
    readHtml(`<html lang="en"><head>${head}</head><body>${body}</body></html>`);
  const site = {
    ...unknownSite(),
    name: 'Saltmarsh Wheelworks',
    baseAddress: 'https://saltmarsh.example',
    pages: [],
  };
  const scene = (...others: { id: string; title: string }[]) => ({
    ...emptyScene(),
    site,
    index: new SiteIndex(
      site,
      others.map(({ id, title }) => indexedPost(id, page(`<title>${title}</title>`, ''))),
    ),
  });
  const fit = page(
    '<title>Rent a touring bike on the coast: what it costs</title><meta name="description" content="Touring bikes for rent in Eddering from April to October: a weekend for 58 pounds, a week for 165, with bags, a lock and a repair kit.">',
    '<h1>Rent a touring bike</h1><p>Short.</p>',
  );
  it('is fit with a listing that says enough, however short its text is', () => {
    expect(checkPage('p', fit, 'booking', scene())).toEqual({ faults: [], proposals: [] });
  });
  it('is held to its keyword where it has one', () => {
    const wants = (keyword: string) =>
      checkPage('p', { ...fit, fields: { ...fit.fields, keyword } }, 'booking', scene()).faults.map(
        ({ id }) => id,
      );
    expect(wants('rent a touring bike')).not.toContain('meta-title-keyword');
    expect(wants('bicycle insurance')).toEqual([
      'meta-title-keyword',
      'meta-description-keyword',
      'keyword-title',
    ]);
  });
  it('needs work without a description, with a title that another has, with pictures without words', () => {
    const bare = page('<title>Rent</title>', '<h1>Rent</h1><p>Text.</p><img src="a.jpg">');
    const { faults } = checkPage(
      'p',
      bare,
      'booking',
      scene({ id: 'q', title: 'Rent' }, { id: 'p', title: 'Rent' }),
    );
    expect(faults.map(({ id }) => id)).toEqual(
      expect.arrayContaining([
        'meta-title-width',
        'meta-title-distinct',
        'meta-description-width',
        'alt-present',
      ]),
    );
  });
  it('is offered a description out of its own sentences, never of its menus or of what it lists', () => {
    const teaser =
      '<h2>The bottom bracket</h2><p>Everybody thinks that it is the bottom bracket that creaks.</p>';
    const list = page(
      '<title>Journal</title>',
      `<h1>Journal</h1><ul><li>Gear and more gear</li></ul>${teaser}`,
    );
    expect(
      checkPage('p', list, 'category', scene()).proposals.filter(({ what }) => what === 'meta description'),
    ).toEqual([]);
    const intro = '<p>Everything that we know about touring by bicycle along the coast of the estuary.</p>';
    const told = page('<title>Journal</title>', `<h1>Journal</h1>${intro}${teaser}`);
    expect(checkPage('p', told, 'category', scene()).proposals).toContainEqual({
      what: 'meta description',
      text: 'Everything that we know about touring by bicycle along the coast of the estuary.',
    });
  });
  it('takes no account of the picture that is shared with it', () => {
    const shared = page(
      '<title>About</title><meta property="og:image" content="a.jpg">',
      '<h1>About</h1><p>Text.</p>',
    );
    expect(checkPage('p', shared, 'other', scene()).faults.map(({ id }) => id)).not.toContain('alt-present');
  });
});
