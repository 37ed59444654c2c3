import { fleschReadingEase } from '../../language/index.ts';
import type { Criterion } from '../criterion.ts';
import { type DraftFacts, isJudgeable } from '../draft-facts.ts';
import { measure } from '../judging.ts';

/** Counts over running text: headings, captions and table cells are no sentences to read. */
function proseCounts({ readings }: DraftFacts): { words: number; sentences: number; syllables: number } {
  const counts = { words: 0, sentences: 0, syllables: 0 };
  for (const { prose, words, tokens, syllables } of readings) {
    if (!prose) continue;
    counts.words += words;
    counts.sentences += tokens.sentenceCount;
    counts.syllables += syllables;
  }
  return counts;
}

export const readingEase: Criterion = {
  id: 'reading-ease',
  group: 'reading',
  title: 'Reading ease',
  place: 'text',
  applies: (facts) => facts.english && isJudgeable(facts),
  target: ({ readingEase: [from, to] }) => `Flesch Reading Ease of ${from}-${to}`,
  measure(facts) {
    const ease = fleschReadingEase(proseCounts(facts));
    if (ease === null) return measure(0, null, 'There is no running text yet.');
    const {
      readingEase: [from, to],
      readingEaseMargin,
    } = facts.settings.limits;
    const outside = Math.max(0, from - ease, ease - to);
    const rounded = Math.round(ease);
    const advice =
      ease < from
        ? `Reading ease is ${rounded}: use shorter sentences and plainer words.`
        : `Reading ease is ${rounded}: the sentences are very short. Join some.`;
    return measure(Math.max(0, 1 - outside / readingEaseMargin), rounded, advice);
  },
};
