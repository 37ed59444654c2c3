import { describe, expect, it } from 'vitest';
import { type Case, judge, share } from '../judge.test-data.ts';

const topic = (name: string, part: number, ...stems: string[]) => ({
  name,
  share: part,
  stems: stems.map((stem): [string, number] => [stem, 1 / stems.length]),
});
const study = {
  topics: [
    topic('Which hooks fit', 0.8, 'hook', 'rack', 'tube'),
    topic('How to mend a hole', 0.6, 'mend', 'hole', 'glue', 'patch'),
    topic('Prices', 0.2, 'price', 'shop'),
  ],
};

describe('topics-covered', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { md: 'Hooks.' }, null],
    ['no topic that half of the pages have', { md: 'x', study: { topics: [study.topics[2]] } }, null],
    ['of the topic no words are known', { md: 'Hooks.', study: { topics: [topic('Odds', 0.8)] } }, 0],
    ['none is covered', { md: 'Gulls over the dyke.', study }, 0],
    ['the one that more pages have counts more', { md: '## Hooks\n\nThey clamp the rack.', study }, 0.571],
    ['both, each in a section', { md: '## Hooks\n\nThe rack.\n\n## Holes\n\nGlue and wait.', study }, 1],
    [
      'words scattered over two sections are no section',
      { md: '## Hooks\n\nThey rattle.\n\n## Racks\n\nOld ones.\n\n## Glue\n\nx', study },
      0,
    ],
  ])('%s', (_, given, expected) => expect(share('topics-covered', given)).toBe(expected));
  it('names the topic that most pages have and the draft has not', () =>
    expect(judge('topics-covered', { md: '## Holes\n\nMend them with glue.', study }).advice).toContain(
      '"Which hooks fit", which 80 % of the pages have',
    ));
});
