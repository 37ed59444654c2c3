import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Redirect } from '../site/index.ts';
import { readRedirects, redirectLines, redirectsCsv } from './redirects.ts';

const NOW = '2026-11-29T12:00:00.000Z';
const redirect = (from: string, to: string | null, why = 'The address changed'): Redirect => ({
  from,
  to,
  since: NOW,
  why,
});

describe('redirects as a table', () => {
  it('come back as they went out', () => {
    const redirects = [
      redirect('/a', '/b', 'a "quoted" word, and a comma'),
      redirect('/gone', null),
      redirect('/old', 'https://other.example/new'),
    ];
    const { redirects: back, problems } = readRedirects(redirectsCsv(redirects), [], NOW);
    expect(back).toEqual(redirects);
    expect(problems).toEqual([]);
  });
  it('are read without names, by other names, and with whole addresses', () => {
    expect(readRedirects('/a;/b\n/c;', [], NOW).redirects.map(({ from, to }) => [from, to])).toEqual([
      ['/a', '/b'],
      ['/c', null],
    ]);
    expect(
      readRedirects('Status Code\tSource\tDestination\n410\thttps://blog.example/x\t/y', [], NOW).redirects,
    ).toMatchObject([{ from: '/x', to: null }]);
  });
  it('collapse chains', () => {
    const { redirects } = readRedirects('from,to\n/b,/c', [redirect('/a', '/b')], NOW);
    expect(redirects.map(({ from, to }) => [from, to])).toEqual([
      ['/a', '/c'],
      ['/b', '/c'],
    ]);
  });
  it('collapse them in whatever order the lines stand, and end where a page is gone', () => {
    const { redirects } = readRedirects('/b,/c\n/a,/b\n/d,/e\n/e,\n/f,https://x.example/', [], NOW);
    expect(redirects.map(({ from, to }) => [from, to])).toEqual([
      ['/b', '/c'],
      ['/a', '/c'],
      ['/d', null],
      ['/e', null],
      ['/f', 'https://x.example/'],
    ]);
  });
  it('take the last of several lines for one path', () => {
    const { redirects } = readRedirects('/a,/b\n/c,/a\n/a,/d', [], NOW);
    expect(redirects.map(({ from, to }) => [from, to])).toEqual([
      ['/a', '/d'],
      ['/c', '/d'],
    ]);
  });
  it.each([
    ['from its end', (lines: string[]) => lines.reverse()],
    ['from its beginning', (lines: string[]) => lines],
  ])('of fifty thousand lines that are one chain are read %s', (_, ordered) => {
    const lines = ordered(Array.from({ length: 50_000 }, (_, at) => `/p${at},/p${at + 1}`));
    const { redirects, added } = readRedirects(lines.join('\n'), [], NOW);
    expect(added).toBe(50_000);
    expect(new Set(redirects.map(({ to }) => to))).toEqual(new Set(['/p50000']));
  });
  it('refuse circles and what is no address, by line', () => {
    const { redirects, added, problems } = readRedirects(
      'from,to\n/a,/a\n/b,/c\n/c,/b\n__proto__,/x\n/y,javascript:alert(1)\n',
      [],
      NOW,
    );
    expect(redirects.map(({ from, to }) => [from, to])).toEqual([['/b', '/c']]);
    expect(added).toBe(1);
    expect(problems).toEqual([
      'Line 2: /a would lead round to itself.',
      'Line 4: /c would lead round to itself.',
      'Line 5: "__proto__" is no path and no address.',
      'Line 6: "javascript:alert(1)" is nothing that /y can lead to.',
    ]);
  });
  it('an empty table says so', () =>
    expect(readRedirects(' \n', [], NOW).problems).toEqual(['The table is empty.']));
});

describe('redirects as lines for web servers', () => {
  it('are those that the servers read', () => {
    const redirects = [
      redirect('/a', '/b'),
      redirect('/c', null),
      redirect('/d.html', 'https://x.example/e'),
    ];
    expect(redirectLines(redirects, 'redirect')).toBe(
      'Redirect 301 /a /b\nRedirect 410 /c\nRedirect 301 /d.html https://x.example/e\n',
    );
    expect(redirectLines(redirects, 'rewrite')).toBe(
      'rewrite ^/a$ /b permanent;\nlocation = /c { return 410; }\nrewrite ^/d\\.html$ https://x.example/e permanent;\n',
    );
  });
  it('stay one line each, whatever an address holds', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.string({ maxLength: 40 }), (from, to) => {
        const redirects = [redirect(`/${from}`, `/${to}`), redirect(`/${from}`, null)];
        for (const form of ['redirect', 'rewrite'] as const)
          expect(redirectLines(redirects, form).trimEnd().split('\n')).toHaveLength(2);
      }),
    );
    expect(redirectLines([redirect('/a\nRedirect 301 /x /y', '/b')], 'redirect')).toBe(
      'Redirect 301 "/aRedirect 301 /x /y" /b\n',
    );
  });
});
