// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { CriterionResult } from '../../../../core/criteria/index.ts';
import { Ledger } from './ledger.tsx';
import { measuredInWords } from './measured-in-words.ts';

afterEach(cleanup);

const line = (own: Partial<CriterionResult>): CriterionResult => ({
  id: 'slug-shape',
  group: 'listing',
  title: 'Slug form',
  place: 'slug',
  applies: true,
  points: 2,
  available: 2,
  measured: 'fine',
  target: 'up to 6 words',
  advice: null,
  evidence: [],
  ...own,
});
const CRITERIA = [
  line({}),
  line({
    id: 'meta-title-width',
    title: 'Meta title width',
    points: 1.25,
    available: 5,
    measured: 223,
    unit: 'px',
    target: '380-580 px',
    advice: 'The meta title can say more.',
  }),
  line({
    id: 'links-live',
    group: 'links',
    title: 'Links that lead somewhere',
    applies: false,
    points: 0,
    available: 0,
    measured: null,
  }),
];
const rowOf = (name: string) => screen.getByRole('row', { name: new RegExp(name) });
const cells = (name: string) =>
  within(rowOf(name))
    .getAllByRole('cell')
    .map((cell) => cell.textContent);

describe('what was measured, in words', () => {
  it.each<[CriterionResult['measured'], string | undefined, string]>([
    [1, 'links', '1 link'],
    [2, 'links', '2 links'],
    [1234, 'words', '1,234 words'],
    [62, undefined, '62'],
    [0, 'px', '0 px'],
    ['3 of 4', 'links', '3 of 4'],
    [null, 'links', '–'],
    [true, undefined, 'true'],
  ])('%s %s is "%s"', (measured, unit, words) =>
    expect(measuredInWords({ measured, ...(unit ? { unit } : {}) })).toBe(words),
  );
});

describe('the ledger', () => {
  it('tells of each criterion what was measured, its target, its points and what is to win', () => {
    render(<Ledger criteria={CRITERIA} />);
    expect(cells('Meta title width')).toEqual([
      '',
      'Meta title width',
      '223 px',
      '380-580 px',
      '1.3 of 5.0',
      '+3.8',
    ]);
    expect(within(rowOf('Meta title width')).getByRole('img', { name: '25 % earned' })).toBeDefined();
    expect(cells('Slug form').at(-1)).toBe('');
  });
  it('sums each group, and says nothing of one that does not apply', () => {
    render(<Ledger criteria={CRITERIA} />);
    const groups = screen.getAllByRole('rowheader').map((group) => group.closest('tr')?.textContent);
    expect(groups).toContain('Listing3.3 of 7.0');
    expect(groups).toContain('Links');
    expect(cells('Links that lead')).toEqual([
      '',
      'Links that lead somewhere',
      'does not apply',
      'up to 6 words',
      '–',
      '',
    ]);
  });
  it('in a column says of each whether it is earned, and keeps the advice at hand', () => {
    render(<Ledger criteria={CRITERIA} narrow />);
    expect(cells('Meta title width')).toEqual(['', 'Meta title width', '+3.8']);
    expect(cells('Slug form')).toEqual(['', 'Slug form', 'earned']);
    expect(cells('Links that lead')).toEqual(['', 'Links that lead somewhere', '–']);
    expect(screen.getByTitle('The meta title can say more.').textContent).toBe('Meta title width');
    // Readers are told what the columns are, though nothing of it is shown.
    expect(screen.getAllByRole('columnheader').map((heading) => heading.textContent)).toEqual([
      'State',
      'Criterion',
      'To win',
    ]);
  });
});
