import { describe, expect, it } from 'vitest';
import { stackNotes } from './note-layout.ts';

const box = (id: string, anchor: number, height = 40) => ({ id, anchor, height });

describe('notes in the margin', () => {
  it('stand level with their lines where there is room', () =>
    expect([...stackNotes([box('a', 10), box('b', 200)], null)]).toEqual([
      ['a', 10],
      ['b', 200],
    ]));
  it('give way downwards', () =>
    expect([...stackNotes([box('a', 10), box('b', 20), box('c', 30)], null)]).toEqual([
      ['a', 10],
      ['b', 60],
      ['c', 110],
    ]));
  it('the one in hand stays on its line; those before it give way upwards', () =>
    expect([...stackNotes([box('a', 100), box('b', 110), box('c', 120)], 'c')]).toEqual([
      ['a', 20],
      ['b', 70],
      ['c', 120],
    ]));
});
