import { describe, expect, it } from 'vitest';
import { isLeadable, type Redirect, redirectedTo, withoutRedirect, withRedirect } from './redirects.ts';

const redirect = (from: string, to: string | null): Redirect => ({
  from,
  to,
  since: '2026-11-01T09:00:00.000Z',
  why: 'moved',
});
const ends = (redirects: readonly Redirect[]) => redirects.map(({ from, to }) => `${from} > ${to}`);

describe('redirects of a site', () => {
  it('are followed to the end of a chain; a page that is gone is gone', () => {
    const all = [redirect('/a', '/b'), redirect('/b', '/c/'), redirect('/old', null), redirect('/x', '/old')];
    expect([redirectedTo('/a', all), redirectedTo('/x', all), redirectedTo('/c', all)]).toEqual([
      '/c/',
      null,
      undefined,
    ]);
  });
  it('to another host end there, whatever stands under that path here', () =>
    expect(redirectedTo('/a', [redirect('/a', 'https://other.example/b'), redirect('/b', '/c')])).toBe(
      'https://other.example/b',
    ));
  it('that go round in a circle lead nowhere', () =>
    expect(redirectedTo('/a', [redirect('/a', '/b'), redirect('/b', '/a')])).toBeUndefined());
  it('are no chain after one is added: what led to the old address leads on', () =>
    expect(ends(withRedirect([redirect('/a', '/b')], redirect('/b', '/c')))).toEqual(['/a > /c', '/b > /c']));
  it('give way where a page stands again: there and back is no circle', () => {
    const there = withRedirect([], redirect('/a', '/b'));
    expect(ends(withRedirect(there, redirect('/b', '/a')))).toEqual(['/b > /a']);
    expect(withRedirect([], redirect('/a', '/a/'))).toEqual([]);
  });
  it('that are taken back leave those that were added since, and lead where they led', () => {
    const before = [redirect('/a', '/b')];
    const after = [...withRedirect(before, redirect('/b', '/c')), redirect('/x', '/y')];
    expect(ends(withoutRedirect(after, { from: '/b', to: '/c' }))).toEqual(['/a > /b', '/x > /y']);
  });
  it('of one address: the last counts', () =>
    expect(ends(withRedirect([redirect('/a', '/b')], redirect('/a', '/c')))).toEqual(['/a > /c']));
  it('take any word for a path', () =>
    expect(redirectedTo('constructor', [redirect('__proto__', '/b')])).toBeUndefined());
});

describe('where readers may be led', () => {
  it.each(['/a', '/', '/a/b?c=d', 'https://other.example/x', 'http://other.example'])('%s', (to) =>
    expect(isLeadable(to)).toBe(true),
  );
  it.each([
    '',
    'a',
    '//other.example',
    '/\\other.example',
    'javascript:alert(1)',
    'data:text/html,x',
    '/a b',
    'ftp://x.example',
  ])('not: %s', (to) => expect(isLeadable(to)).toBe(false));
});
