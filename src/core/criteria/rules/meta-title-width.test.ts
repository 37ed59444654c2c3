import { describe, expect, it } from 'vitest';
import { type Case, judge, share } from '../judge.test-data.ts';

describe('meta-title-width', () => {
  it.each<[string, Case, number | null]>([
    ['nothing written', {}, 0],
    ['a width inside the wished range', { title: 'Bike tour packing list: what a first trip needs' }, 1],
    ['a short one, by its pixels over 380', { title: 'A'.repeat(14) }, 0.491],
    ['one past the point where nothing is earned', { title: 'W'.repeat(40) }, 0],
    [
      "one of which only the site's name is cut",
      {
        title: 'Bike tour packing list: what to bring for three days',
        site: { name: 'Saltmarsh Wheelworks', titlePattern: '{title} | {site}' },
      },
      1,
    ],
    [
      "the title through the site's pattern",
      {
        title: 'Bike tour packing list',
        site: { name: 'Saltmarsh Wheelworks', titlePattern: '{title} | {site}' },
      },
      1,
    ],
  ])('%s', (_, given, expected) => expect(share('meta-title-width', given)).toBe(expected));
  it('says how many pixels there are', () =>
    expect(judge('meta-title-width', { title: 'A'.repeat(14) })).toMatchObject({
      measured: 187,
      target: '380-580 px',
    }));
});
