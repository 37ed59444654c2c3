import { describe, expect, it } from 'vitest';
import { judge, loadSets } from './study.ts';

/** The demo's three main queries, judged against what a rider wrote down about their pages. */
const sets = (await loadSets('')).filter(({ name }) => name.startsWith('demo-'));

describe.each(sets.map((set) => [set.list.query, set] as const))('a study of "%s"', (_, set) => {
  const rows = new Map(judge(set).map((row) => [row.what, row]));
  const share = (what: string) => {
    const { right, of } = rows.get(what)!;
    return of === 0 ? 1 : right / of;
  };
  it('suggests to leave out what is of another subject, and nothing else', () =>
    expect([share('left out, right'), rows.get('left out, right')!.misses]).toEqual([1, []]));
  it('names terms that a rider accepts', () => {
    const { right, of } = rows.get('terms')!;
    expect([of, right >= 23]).toEqual([25, true]);
  });
  it('finds topics that are on the subject, and all that half of the pages have', () => {
    expect(share('topics')).toBeGreaterThan(0.85);
    expect(rows.get('topics needed')!.misses).toEqual([]);
    expect(share('gaps')).toBeGreaterThan(0.9);
  });
  it('says of nothing falsely that nobody says it, and puts no foreign question', () => {
    expect(rows.get('unsaid, true')!.misses).toEqual([]);
    expect(share('questions')).toBeGreaterThan(0.9);
  });
  it('knows most headings that say what is asked in other words, and no nonsense', () =>
    expect(share('covers')).toBeGreaterThan(0.8));
});
