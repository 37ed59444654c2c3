import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('sentence-length', () => {
  it.each<[string, Case, number | null]>([
    ['short ones', { md: PROSE }, 1],
    [
      'half of them long',
      {
        md: Array(3)
          .fill(`Short one. Now ${'then on '.repeat(14)} end.`)
          .join('\n\n'),
      },
      0.286,
    ],
    ['headings are no sentences', { md: `## ${'very '.repeat(30)}long\n\n${PROSE}` }, 1],
  ])('%s', (_, given, expected) => expect(share('sentence-length', given)).toBe(expected));
});
