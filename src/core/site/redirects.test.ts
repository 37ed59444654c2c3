import { describe, expect, it } from 'vitest';
import { isLeadable, type Redirect, redirectedTo, withoutRedirect, withRedirect } from './redirects.ts';
import { type StandingPage, whatHappens } from './what-happens.ts';

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

describe('what happens with an address', () => {
  const page = (title: string, status: StandingPage['status'] = 'published'): StandingPage => ({
    title,
    postId: title,
    status,
  });
  const pages = new Map([
    ['/tides', page('Tides')],
    ['/lamp', page('A lamp', 'draft')],
    ['/rent', { title: 'Rent', postId: null, status: null }],
  ]);
  const redirects = [
    redirect('/old', '/older'),
    redirect('/older', '/tides'),
    redirect('/tides', '/rent'),
    redirect('/away', 'https://other.example/x'),
    redirect('/lost', '/nowhere'),
    redirect('/dead', null),
    redirect('/a', '/b'),
    redirect('/b', '/a'),
    redirect('/torch', '/lamp'),
    redirect('constructor', '/tides'),
  ];
  const told = (typed: string) =>
    whatHappens(typed, pages, redirects, 'https://saltmarsh.example', (status) => status !== 'draft');
  it('a page that stands there is opened, whatever redirect there is', () =>
    expect(told('/tides/')).toMatchObject({ kind: 'page', path: '/tides', way: [], isOpen: true }));
  it('redirects are followed to the page at their end, over however many', () => {
    for (const typed of ['/old', 'https://www.saltmarsh.example/old?x=1#y', 'saltmarsh.example/OLD.html'])
      expect(told(typed), typed).toMatchObject({
        kind: 'page',
        path: '/tides',
        page: { title: 'Tides' },
        way: ['/old', '/older'],
      });
  });
  it('a page that readers cannot open yet is told as such', () =>
    expect(told('/torch')).toMatchObject({ kind: 'page', page: { title: 'A lamp' }, isOpen: false }));
  it('what leads elsewhere, nowhere, round and round, or is gone is told apart', () => {
    expect(told('/away')).toEqual({
      kind: 'leads',
      to: 'https://other.example/x',
      way: ['/away'],
      isElsewhere: true,
    });
    expect(told('/lost')).toEqual({ kind: 'leads', to: '/nowhere', way: ['/lost'], isElsewhere: false });
    expect(told('/dead')).toEqual({ kind: 'gone', way: ['/dead'] });
    expect(told('/a')).toEqual({ kind: 'circle', way: ['/a', '/b', '/a'] });
    expect(told('/unheard')).toEqual({ kind: 'nothing', path: '/unheard' });
    expect(told('https://other.example/tides')).toEqual({ kind: 'elsewhere' });
    expect([told(''), told('two words'), told('mailto:a@b.example')].map(({ kind }) => kind)).toEqual([
      'no-address',
      'no-address',
      'elsewhere',
    ]);
    expect(told('/constructor')).toEqual({ kind: 'nothing', path: '/constructor' });
    expect(told('/__proto__')).toEqual({ kind: 'nothing', path: '/__proto__' });
  });
});
