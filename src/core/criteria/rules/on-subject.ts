import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { leavesAtLeast, measure, NO_KEYWORD, wholeBlock } from '../judging.ts';
import { ramp } from '../ramp.ts';

/** Share of the sentences that name a word of the keyword in a text that is about it: the rarer half of articles has so much. */
const NAMED = 0.12;
/** Uses of the phrase in running text that say the same. */
const USES = 3;
/** Aboutness at which nothing and everything is earned; articles lie at 0.6 to 1, those about something else below 0.35. */
const ABOUT: [number, number] = [0.3, 0.6];
/** What all else earns at least in a text about something else. */
const LEAST = 0.8;
/** Sentences of a section that is long enough to be told. */
const LONG = 4;
const SHOWN = 5;

/** How far running text is about the keyword, 0 to 1: by its words, the rarer the more, and by the phrase. */
function aboutness({ whole, reader, totals }: DraftFacts): number {
  let sum = 0;
  let weights = 0;
  for (const { stem, weight } of reader.keywordStems) {
    sum += weight * Math.min(1, whole.sentencesWith(stem) / whole.sentences / NAMED);
    weights += weight;
  }
  const uses = totals.withUses.reduce((all, { reading }) => all + (reading.prose ? reading.useCount : 0), 0);
  const byPhrase = Math.min(1, uses / USES);
  return weights === 0 ? byPhrase : (sum / weights + byPhrase) / 2;
}

export const onSubject = criterion({
  id: 'on-subject',
  group: 'substance',
  title: 'On the subject',
  place: 'text',
  weight: 3,
  needs: ['words', 'english'],
  applies: ({ whole }) => whole.sentences > 0,
  target: () => 'the running text is about the keyword, not only its headings',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const about = aboutness(facts);
    const share = ramp(about, [...ABOUT, null, null]);
    const far =
      share === 1
        ? []
        : facts.whole.sectionsWithout(
            facts.reader.keywordStems.map(({ stem }) => stem),
            LONG,
          );
    const places = far.slice(0, SHOWN).map((at) => wholeBlock(facts.blocks[at], at));
    return measure(
      share,
      Math.round(about * 100) / 100,
      share === 0
        ? `The text itself hardly speaks of "${facts.keyword}". Write about it, or choose the keyword that it is about.`
        : `The text speaks little of "${facts.keyword}"${far.length > 0 ? `; ${far.length === 1 ? 'a section does' : `${far.length} sections do`} not name it at all` : ''}. Say more of it, in its own words.`,
      places,
    );
  },
  holdsBack: leavesAtLeast(LEAST),
});
