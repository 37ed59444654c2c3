import { describe, expect, it } from 'vitest';
import { type Case, share, words } from '../judge.test-data.ts';

describe('heading-spacing', () => {
  it.each<[string, Case, number | null]>([
    ['short runs', { md: `${words(200)}\n\n## A\n\n${words(300)}` }, 1],
    ['a run of 600 words', { md: words(600) }, 0.5],
    ['600 and 200 words', { md: `${words(600)}\n\n## A\n\n${words(200)}` }, 0.625],
    ['too little text', { md: 'Short.' }, null],
  ])('%s', (_, given, expected) => expect(share('heading-spacing', given)).toBe(expected));
});
