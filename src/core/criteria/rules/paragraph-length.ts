import { sentenceSpans } from '../block-sentences.ts';
import { criterion, type Fix } from '../criterion.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { count, measure, wholeBlock } from '../judging.ts';

export const paragraphLength = criterion({
  id: 'paragraph-length',
  group: 'reading',
  title: 'Length of paragraphs',
  place: 'text',
  weight: 2,
  needs: ['words'],
  target: (limits) => `paragraphs of at most ${limits.paragraphWords} words`,
  measure(facts) {
    const all = facts.totals.paragraphs;
    if (all === 0) return measure(0, 'no paragraphs', 'There are no paragraphs yet.');
    const long = facts.totals.longParagraphs;
    const [first] = long;
    const more = long.length > 1 ? ` ${long.length - 1} more ${long.length === 2 ? 'is' : 'are'} long.` : '';
    return measure(
      (all - long.length) / all,
      `${long.length} of ${all} long`,
      first ? `This paragraph has ${count(first.reading.words, 'word')}. Break it up.${more}` : '',
      long.map(({ reading, index }) => wholeBlock(reading.block, index)),
    );
  },
  fixes(facts) {
    return firstFixes(facts.totals.longParagraphs, ({ reading: { block, tokens, words } }): Fix[] => {
      let before = 0;
      let best: { at: number; off: number } | null = null;
      for (const { start, words: own } of sentenceSpans(block.text, tokens)) {
        const off = Math.abs(before - words / 2);
        if (before > 0 && (!best || off < best.off)) best = { at: start, off };
        before += own;
      }
      if (!best) return [];
      return [
        {
          label: 'Break it in the middle',
          edits: [{ kind: 'split-block', blockId: block.id, at: best.at, newId: `${block.id}-2` }],
        },
      ];
    });
  },
});
