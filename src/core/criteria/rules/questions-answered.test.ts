import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('questions-answered', () => {
  it.each<[string, Case, number | null]>([
    ['none chosen', { md: PROSE }, null],
    ['the words stand in one section', { questions: ['Where can I fill a bottle?'], md: PROSE }, 1],
    ['inflections count', { questions: ['Filling bottles?'], md: PROSE }, 1],
    [
      'scattered over two sections',
      { questions: ['Where can I fill a bottle?'], md: '## A\n\nFill up.\n\n## B\n\nA bottle.' },
      0,
    ],
    ['one of two', { questions: ['Where is the mill?', 'How far is the ferry?'], md: PROSE }, 0.5],
  ])('%s', (_, given, expected) => expect(share('questions-answered', given)).toBe(expected));
});
