import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { leavesAtLeast, measure, NO_KEYWORD, wholeBlock } from '../judging.ts';
import { ramp } from '../ramp.ts';
import { aboutness, apartness, studyLikeness } from '../subject.ts';

/** Aboutness at which nothing and everything is earned; articles lie at 0.6 to 1, those about something else below 0.35. */
const ABOUT: [number, number] = [0.3, 0.5];
/** What all else earns at least in a text about something else. */
const LEAST = 0.8;
/** Sentences of a section that is long enough to be told. */
const LONG = 4;
const SHOWN = 5;

/** What all else earns at least where the words never stand apart: what the uses of the phrase earn goes. */
const DROPPED_IN = 0.6;

/** Places of sections that are far from the subject: no word of the keyword stands in them and no term of the study. */
function sectionsFar({ whole, reader, readings }: DraftFacts): number[] {
  const stems = reader.keywordStems.map(({ stem }) => stem);
  return whole.sectionsWithout(stems, LONG).filter((from) => {
    for (let at = from; at < readings.length && (at === from || readings[at].level === 0); at++)
      if (readings[at].termUses.length > 0) return false;
    return true;
  });
}

export const onSubject = criterion({
  id: 'on-subject',
  group: 'substance',
  title: 'On the subject',
  place: 'text',
  weight: 4,
  needs: ['words', 'wording'],
  applies: ({ whole }) => whole.sentences > 0,
  target: () => 'the running text is about the keyword, not only its headings',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const about = aboutness(facts);
    const apart = apartness(facts);
    const like = studyLikeness(facts);
    const share = ramp(about, [...ABOUT, null, null]) * Math.min(apart, like);
    const far = share === 1 ? [] : sectionsFar(facts);
    const places = far.slice(0, SHOWN).map((at) => wholeBlock(facts.blocks[at], at));
    return measure(
      share,
      Math.round(about * 100) / 100,
      advice(facts, { share, apart, like }, far.length),
      places,
    );
  },
  holdsBack: (facts, share) =>
    Math.min(
      leavesAtLeast(LEAST)(facts, share),
      DROPPED_IN + (1 - DROPPED_IN) * Math.min(apartness(facts), studyLikeness(facts)),
    ),
});

function advice(
  { keyword }: DraftFacts,
  { share, apart, like }: Record<'share' | 'apart' | 'like', number>,
  far: number,
): string {
  if (apart < 0.5)
    return `The words of "${keyword}" stand in the phrase alone, never apart from it, as they would in a text about it. Write about the subject, or choose the keyword that the text is about.`;
  if (like < 0.5)
    return `The text says little of what the studied pages say of "${keyword}". See what they share on Study, or choose the keyword that the text is about.`;
  if (share === 0)
    return `The text itself hardly speaks of "${keyword}". Write about it, or choose the keyword that it is about.`;
  const sections =
    far === 0 ? '' : `; ${far === 1 ? 'a section does' : `${far} sections do`} not name it at all`;
  return `The text speaks little of "${keyword}"${sections}. Say more of it, in its own words.`;
}
