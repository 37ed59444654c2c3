import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('links-live', () => {
  it.each<[string, Case, number | null]>([
    ['judged alone', { md: `${PROSE} [a](/a)` }, null],
    ['no link', { md: PROSE, others: [], site: { pages: [] } }, null],
    [
      'a known post and a dead link',
      { md: `${PROSE} [a](/tides) [b](/gone)`, others: [{ slug: 'tides' }], site: { pages: [] } },
      0.5,
    ],
    [
      'a known page of another kind',
      { md: `${PROSE} [a](/shop/)`, others: [], site: { pages: [{ address: 'https://own.example/shop' }] } },
      1,
    ],
    [
      'pages not known yet: neither dead nor live',
      { md: `${PROSE} [a](/tides) [b](/gone)`, others: [{ slug: 'tides' }] },
      null,
    ],
    [
      'a picture over plain http',
      {
        md: `${PROSE} [a](/tides)\n\n![a](http://own.example/a.png)`,
        others: [{ slug: 'tides' }],
        site: { pages: [] },
      },
      0.5,
    ],
  ])('%s', (_, given, expected) => expect(share('links-live', given)).toBe(expected));
  it('offers https', () =>
    expect(
      judge('links-live', { md: `${PROSE} [a](/)\n\n![a](http://own.example/a.png)`, others: [] }).mended()
        .share,
    ).toBe(1));
});

describe('links to posts of the site', () => {
  const others = [
    { title: 'Tides', slug: 'tides', status: 'published' as const },
    { title: 'Winter', slug: 'winter', status: 'draft' as const },
  ];
  it('lead nowhere while those are not published', () => {
    const line = judge('links-live', { md: `${PROSE} See [winter](/winter).`, others, site: { pages: [] } });
    expect(line.share).toBe(0);
    expect(line.advice).toContain('"Winter" is not published yet');
  });
  it('lead somewhere where nothing of the site is marked as published', () =>
    expect(
      share('links-live', {
        md: `${PROSE} See [winter](/winter).`,
        others: others.slice(1),
        site: { pages: [] },
      }),
    ).toBe(1));
});

describe('links in the navigation of a page', () => {
  const page = (nav: string) =>
    `<body><nav>${nav}</nav><article><h1>Tides</h1><p>${PROSE}</p></article></body>`;
  const given = { others: [{ title: 'Tides', slug: 'tides' }], site: { pages: [] } };
  it('are no faults, and no links of the post', () => {
    const nav = '<a href="/gone">Gone</a> <a href="/tides">Tides</a>';
    expect(share('links-live', { html: page(nav), ...given })).toBeNull();
    expect(judge('links-internal', { html: page(nav), ...given }).measured).toBe(0);
  });
});
