import type { Criterion, Evidence } from '../criterion.ts';
import { type DraftFacts, isJudgeable } from '../draft-facts.ts';
import { count, measure, wholeBlock } from '../judging.ts';

/** Runs of words between headings; each with the first block that goes past the limit. */
function runs({ readings, settings: { limits } }: DraftFacts): { words: number; past: Evidence | null }[] {
  const out: { words: number; past: Evidence | null }[] = [];
  let words = 0;
  let past: Evidence | null = null;
  const close = () => {
    if (words > 0) out.push({ words, past });
    words = 0;
    past = null;
  };
  readings.forEach((reading, index) => {
    if (reading.block.kind === 'heading') {
      close();
      return;
    }
    words += reading.words;
    if (past === null && words > limits.headingRunWords && reading.words > 0)
      past = wholeBlock(reading.block, index);
  });
  close();
  return out;
}

export const headingSpacing: Criterion = {
  id: 'heading-spacing',
  group: 'headings',
  title: 'Words between headings',
  unit: 'words',
  place: 'text',
  applies: isJudgeable,
  target: (limits) => `at most ${limits.headingRunWords} words without a heading`,
  measure(facts) {
    const all = runs(facts);
    const limit = facts.settings.limits.headingRunWords;
    const total = all.reduce((sum, run) => sum + run.words, 0);
    const within = all.reduce((sum, run) => sum + Math.min(run.words, limit), 0);
    const long = all.filter((run) => run.words > limit);
    const longest = Math.max(0, ...all.map((run) => run.words));
    return measure(
      total === 0 ? 0 : within / total,
      longest,
      `${count(longest, 'word')} run on without a heading. Set one before here.`,
      long.flatMap((run) => (run.past ? [run.past] : [])),
    );
  },
};
