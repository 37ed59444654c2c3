import { criterion } from '../criterion.ts';
import { count, measure, wholeBlock } from '../judging.ts';

export const headingSpacing = criterion({
  id: 'heading-spacing',
  group: 'headings',
  title: 'Words between headings',
  unit: 'words',
  place: 'text',
  weight: 4,
  needs: ['words'],
  target: (limits) => `at most ${limits.headingRunWords} words without a heading`,
  measure(facts) {
    const all = facts.totals.runs;
    const limit = facts.settings.limits.headingRunWords;
    const total = all.reduce((sum, run) => sum + run.words, 0);
    const within = all.reduce((sum, run) => sum + Math.min(run.words, limit), 0);
    const long = all.filter((run) => run.words > limit);
    const longest = Math.max(0, ...all.map((run) => run.words));
    return measure(
      total === 0 ? 0 : within / total,
      longest,
      `${count(longest, 'word')} run on without a heading. Set one before here.`,
      long.flatMap((run) => (run.past ? [wholeBlock(run.past.reading.block, run.past.index)] : [])),
    );
  },
});
