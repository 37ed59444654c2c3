import { describe, expect, it } from 'vitest';
import { readArticle } from './index.ts';

const TEXT =
  'A pannier is closed by rolling it three times, away from the bike, and clipping it down at the sides.';
const page = (body: string, head = '') =>
  `<!doctype html><html lang="en"><head><title>Bags | A shop</title>${head}</head><body>${body}</body></html>`;
const texts = (html: string) => readArticle(html).draft.blocks.map(({ text }) => text);

describe('the article of a page', () => {
  const furniture =
    '<div class="menu"><ul><li><a href="/a">Home</a></li><li><a href="/b">Shop</a></li></ul></div>';
  it('is found without an article element: by where the running text stands', () =>
    expect(
      texts(
        page(
          `${furniture}<div id="wrap"><div class="content"><h1>Bags</h1><p>${TEXT}</p><h2>Hooks</h2><ul><li>They wear.</li></ul></div><div class="sidebar"><h3>Offers</h3><p>Buy now.</p></div></div><div class="footer">All rights.</div>`,
        ),
      ),
    ).toEqual(['Bags', TEXT, 'Hooks', 'They wear.']));
  it('is found in old pages that are laid out by a table', () =>
    expect(
      texts(
        page(
          `<table><tr><td><ul><li><a href="/">Rides</a></li></ul></td><td><h1>Bags</h1><p>${TEXT}</p><table><tr><td>Hook</td><td>8 mm</td></tr></table></td></tr></table>`,
        ),
      ),
    ).toEqual(['Bags', TEXT, 'Hook', '8 mm']));
  it('keeps a title that stands above it, and what the head says', () => {
    const { fields, draft } = readArticle(
      page(
        `<h1>Bags for rain</h1><section class="posts"><p>${TEXT}</p><p>${TEXT} Yes.</p></section><div class="comments"><p>First!</p></div>`,
        '<meta name="description" content="On bags.">',
      ),
    );
    expect([fields.title, fields.metaTitle, fields.metaDescription]).toEqual([
      'Bags for rain',
      'Bags | A shop',
      'On bags.',
    ]);
    expect(draft.blocks.map(({ text }) => text)).toEqual(['Bags for rain', TEXT, `${TEXT} Yes.`]);
  });
  it('is never taken for furniture by its name alone', () =>
    expect(texts(page(`<div class="sidebar-layout panel"><h1>Bags</h1><p>${TEXT}</p></div>`))).toEqual([
      'Bags',
      TEXT,
    ]));
  it('of anything is a document', () => {
    for (const html of ['', 'words', '<p>', '<html><head></head></html>', page('')])
      expect(readArticle(html).draft.version).toBe(1);
    expect(texts('just words')).toEqual(['just words']);
  });
});
