import { criterion, type Fix } from '../criterion.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { count, measure, wholeBlock } from '../judging.ts';

/** Words up to which a paragraph in bold, or a question, can be a heading. */
const MOST_WORDS = 12;

/** A caption or a notice, however it is set. */
const LABEL = /^(?:example|figure|fig|table|listing|note|tip|warning|caution|important)\b/i;

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
  fixes(facts) {
    const levels = facts.sectionHeadings.map(({ level }) => level).filter((level) => level > 1);
    const level = Math.min(2, ...levels);
    return firstFixes(facts.readings, ({ block, paragraph, words }): Fix[] => {
      const text = block.text.trim();
      if (!paragraph || block.path.length > 0 || words === 0 || words > MOST_WORDS || text.includes('\n'))
        return [];
      const bold = block.marks.some(
        (mark) => mark.type === 'bold' && mark.start === 0 && mark.end >= block.text.trimEnd().length,
      );
      const heading =
        !LABEL.test(text) &&
        ((bold && !/[.,;]$/.test(text)) || (/^\p{Lu}[^.!?]*\?$/u.test(text) && words > 2));
      return heading
        ? [{ label: `Make "${text}" a heading`, edits: [{ kind: 'make-heading', blockId: block.id, level }] }]
        : [];
    });
  },
});
