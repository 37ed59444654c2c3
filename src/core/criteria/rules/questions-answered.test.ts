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
    [
      'other words for the same',
      {
        keyword: 'touring tent',
        questions: ['How do I repair a touring tent?', 'What does a touring tent cost?'],
        md: '## Mending it\n\nA hole is patched in ten minutes.\n\n## Prices\n\nYou pay about 200 for one.',
      },
      1,
    ],
    [
      'a word of it alone, or nonsense',
      {
        keyword: 'touring tent',
        questions: ['What should I bring on a ride?', 'How heavy may a tent be?'],
        md: 'We ride along the dyke in the morning.\n\n## Copper kettles\n\nPurple ladders forgive the soup.',
      },
      0,
    ],
    ['one of two', { questions: ['Where is the mill?', 'How far is the ferry?'], md: PROSE }, 0.5],
  ])('%s', (_, given, expected) => expect(share('questions-answered', given)).toBe(expected));
});
