import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('scannable', () => {
  it.each<[string, Case, number | null]>([
    ['nothing to hold on to', { md: PROSE }, 0],
    ['a list', { md: `${PROSE}\n\n- a\n- b` }, 1],
    ['one in 1,600 words', { md: `${words(1599)}\n\n> a` }, 0.5],
  ])('%s', (_, given, expected) => expect(share('scannable', given)).toBe(expected));
});
