import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('keyword-intro', () => {
  it.each<[string, Case, number | null]>([
    ['in the first sentence', { keyword: 'bike tour', md: 'A bike tour begins.' }, 1],
    ['the best of several', { keyword: 'bike tour', md: 'Tours by bike. A bike tour begins.' }, 1],
    ['word 100 is the last', { keyword: 'bike tour', md: `${words(98)} bike tour` }, 1],
    ['word 101 is past it', { keyword: 'bike tour', md: `${words(99)} bike tour` }, 0],
    ["the title's own h1 is no introduction", { keyword: 'bike tour', md: `# Bike tour\n\n${PROSE}` }, 0],
  ])('%s', (_, given, expected) => expect(share('keyword-intro', given)).toBe(expected));
});
