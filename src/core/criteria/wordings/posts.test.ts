import { describe, expect, it } from 'vitest';
import { disorder, judge, share } from '../judge.test-data.ts';
import { POSTS } from './posts.test-data.ts';

/** The sentences of a post dealt out among its sections. */
function dealt(md: string): string {
  const [intro, ...sections] = md.split(/\n\n(?=## )/);
  const headings = sections.map((section) => section.split('\n\n')[0]);
  const sentences = sections.flatMap((section) => section.split('\n\n')[1].split(/(?<=\.)\s+/));
  const mixed = headings
    .map(
      (heading, at) =>
        `${heading}\n\n${sentences.filter((_, place) => place % headings.length === at).join(' ')}`,
    )
    .join('\n\n');
  return `${intro}\n\n${mixed}`;
}

describe.each(Object.keys(POSTS))('a post in %s', (language) => {
  const { keyword, other, title, md } = POSTS[language];
  const given = { language, keyword, title, md };
  it('is prose, and its words in disorder are none', () => {
    expect(share('prose', given)).toBeGreaterThan(0.9);
    expect(share('prose', { ...given, md: disorder(md.replace(/## .*\n\n/g, '')) })).toBeLessThan(0.2);
  });
  it('is in order, and its sentences dealt out anyhow are less so', () => {
    expect(share('sentence-order', given)).toBe(1);
    const { measured } = judge('sentence-order', given);
    expect(judge('sentence-order', { ...given, md: dealt(md) }).measured).toBeLessThan(measured as number);
  });
  it('is about its keyword and no other, and answers it early', () => {
    expect(share('on-subject', given)).toBeGreaterThan(0.9);
    expect(share('on-subject', { ...given, keyword: other })).toBe(0);
    expect(share('answer', given)).toBe(1);
    expect(share('answer', { ...given, keyword: other })).toBe(0);
  });
  it('has no stock phrases, no words that age, and a reading ease', () => {
    expect(share('stock-phrases', given)).toBe(1);
    expect(share('timely', given)).toBe(1);
    expect(share('reading-ease', given)).toBeGreaterThan(0.5);
  });
  it('is offered no change that puts English words into it', () => {
    for (const id of ['keyword-rate', 'alt-keyword', 'sentence-length', 'scannable'] as const)
      expect([id, judge(id, { ...given, keyword: `${keyword} x` }).fixes]).toEqual([id, []]);
  });
});

it('German nouns keep their capital behind a phrase that leads a heading, others do not', () => {
  const labels = (language: string) =>
    judge('heading-keyword', { language, ...POSTS[language], keyword: `${POSTS[language].keyword} x` }).fixes;
  expect(labels('de')).toContain('Write "Wasserdichte Packtaschen x: Nähte und Haken"');
  expect(labels('fr')).toContain('Write "Sacoches étanches x: coutures et crochets"');
});
