import { anyOf } from './any-of.ts';
import { markFillers, markHesitantSo, markHesitations, markOpenings } from './fillers.ts';
import { type LeftWhy, Marking } from './marking.ts';
import { markBrokenWords, markCorrections, markRepeats, markRestarts } from './restarts.ts';
import type { SpokenWord } from './spoken-words.ts';

/** Words of one speaker between two turns of another that are a listener's. */
const LISTENING = anyOf(
  "yeah yes yep okay ok right sure mhm mm hmm wow nice great cool exactly totally absolutely oh uh huh really no true indeed good lovely ah aha i see of course got it that's makes sense for definitely gosh",
);
const LISTENING_WORDS = 3;

/** "yeah", "okay" of a listener between two turns of one who speaks. */
function markListening(marking: Marking): void {
  const { words } = marking;
  const turns = words.flatMap(({ turn }, at) => (turn || at === 0 ? [at] : []));
  turns.forEach((from, at) => {
    const to = turns[at + 1] ?? words.length;
    if (at === 0 || to === words.length || to - from > LISTENING_WORDS) return;
    // An answer to a question is none.
    if (/[?]/.test(words[from - 1].after)) return;
    for (let here = from; here < to; here++) if (!LISTENING.test(marking.form(here))) return;
    marking.leave(from, to, 'listening');
  });
}

/**
 * Which words of a talk do not belong into a written text, and why; null for those that do. Hesitations, phrases that fill,
 * what is said twice, broken off or taken back, and what a listener throws in. Words that may mean what they say stay.
 */
export function disfluencies(words: readonly SpokenWord[]): (LeftWhy | null)[] {
  const marking = new Marking(words);
  markListening(marking);
  markHesitations(marking);
  markBrokenWords(marking);
  markFillers(marking);
  markCorrections(marking);
  markOpenings(marking);
  markRepeats(marking);
  markRestarts(marking);
  markRepeats(marking);
  markOpenings(marking);
  markHesitantSo(marking);
  return marking.left;
}
