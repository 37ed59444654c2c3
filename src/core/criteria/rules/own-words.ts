import { criterion, type Evidence, MOST_EDITS } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { asEdit } from '../fixing/named-in-text.ts';
import { count, measure, placeIn } from '../judging.ts';
import { staleRuns } from '../stale-runs.ts';

/** Share of words in repeated sentences at which nothing is earned. */
const NONE = 0.3;
/** What all else earns at least. */
const LEAST = 0.4;
/** What each sentence that stands a third time or more costs all else beside its share of the words, and the most that they cost so. */
const EACH = 0.04;
const MOST_EACH = 0.24;

/** Places from which a note stops to name more. */
const SHOWN = 4;

const repeatedShare = ({ whole, words }: DraftFacts): number =>
  words === 0 ? 0 : whole.repeatedWords / words;

/** Where sentences stand that were said before: the first of them. */
function placesOfRepetition({ whole, readings }: DraftFacts): Evidence[] {
  const met = new Set<number>();
  const places: Evidence[] = [];
  for (let index = 0; index < readings.length && places.length < SHOWN; index++) {
    const { block, said } = readings[index];
    for (const { key, start, end } of said) {
      if (!whole.isRepeated(key)) continue;
      if (met.has(key)) places.push(placeIn(block, index, start, end));
      met.add(key);
    }
  }
  return places;
}

export const ownWords = criterion({
  id: 'own-words',
  group: 'substance',
  title: 'Nothing said twice',
  place: 'text',
  weight: 3,
  needs: ['words'],
  target: () =>
    'no sentence of a paragraph stands more than once, and none of them goes on without anything new',
  measure(facts) {
    const { whole, words, blocks } = facts;
    const stale = facts.english ? staleRuns(facts) : [];
    const staleWords = stale.reduce((sum, run) => sum + run.words, 0);
    const share = Math.max(
      0,
      1 - Math.max(repeatedShare(facts), words === 0 ? 0 : staleWords / words) / NONE,
    );
    if (whole.repeatedSentences === 0 && stale.length === 0) return measure(1, 'none', '');
    if (whole.repeatedSentences === 0)
      return measure(
        share,
        `${count(staleWords, 'word')} without anything new`,
        `${stale.length === 1 ? `A run of ${count(staleWords, 'word')} names` : `${count(stale.length, 'run')} of ${count(staleWords, 'word')} in all name`} nothing that the post has not named before. Say something new there, or say it in fewer words.`,
        stale.slice(0, SHOWN).map(({ block, start, end }) => placeIn(blocks[block], block, start, end)),
      );
    const places = placesOfRepetition(facts);
    return measure(
      share,
      count(whole.repeatedSentences, 'repeated sentence'),
      `${count(whole.repeatedSentences, 'sentence')} ${whole.repeatedSentences === 1 ? 'was' : 'were'} said before, word for word. Take the repetition out.`,
      places,
    );
  },
  holdsBack: (facts) =>
    1 -
    Math.min(1 - LEAST, 1.25 * repeatedShare(facts) + Math.min(MOST_EACH, EACH * facts.whole.wornSentences)),
  fixes({ whole, readings }) {
    const met = new Set<number>();
    const edits: DraftEdit[] = [];
    for (const { block, said, prose, tokens } of readings) {
      const again = said.filter(({ key }) => whole.isRepeated(key) && met.has(key));
      for (const { key } of said) met.add(key);
      if (again.length === 0 || !prose) continue;
      // A paragraph of nothing else goes whole.
      if (again.length === tokens.sentenceCount) edits.push({ kind: 'remove-block', blockId: block.id });
      else
        for (const { start, end } of [...again].reverse())
          edits.push(
            asEdit(block, { start, end: end + /^\s*/.exec(block.text.slice(end))![0].length, text: '' }),
          );
    }
    edits.splice(MOST_EDITS);
    return edits.length === 0 ? [] : [{ label: 'Take out what was said before', edits, readOver: true }];
  },
});
