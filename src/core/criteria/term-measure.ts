import type { Fix, Measure } from './criterion.ts';
import type { DraftFacts } from './draft-facts.ts';
import { firstNamed } from './fixing/named-in-text.ts';
import { measure, placeIn } from './judging.ts';
import type { StudyTerm } from './surroundings.ts';
import { groupUse, termBand, termUses } from './term-use.ts';

/** The target of what compares with other pages where none were studied. */
export const NO_STUDY = 'what the result pages share (study them first)';

/** Terms that a note names. */
const NAMED = 5;

/** Judges the terms of a group: the mean of their shares over `enough` of them. */
export function termMeasure(facts: DraftFacts, group: StudyTerm['group'], enough: number): Measure {
  const { terms: all, share: sum, fine, missing, seldom, often } = groupUse(facts, group);
  const share = Math.min(1, sum / (all * enough));
  const measured = `${fine} of ${all}`;
  const { terms } = facts.settings.study!;
  if (often.length > 0 && missing.length + seldom.length === 0) {
    const [index] = often;
    const term = terms[index];
    const evidence = facts.readings.flatMap(({ block, termUses: found }, at) =>
      found.filter((use) => use.term === index).map(({ start, end }) => placeIn(block, at, start, end)),
    );
    return measure(
      share,
      measured,
      `"${term.form}" stands ${facts.totals.termUses[index]} times; the pages use it up to ${termBand(term, facts.words).to} times in a text of this length.`,
      evidence,
    );
  }
  const short = missing.length > 0 ? missing : seldom;
  const list = short.slice(0, NAMED).map((index) => `"${terms[index].form}"`);
  const more = short.length - list.length;
  const named = `${list.join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
  return measure(
    share,
    measured,
    missing.length > 0
      ? `Not there yet: ${named}. Use those that fit what you say.`
      : `Seldom here: ${named}. The pages use them more.`,
  );
}

/** Terms that are not there yet, put where their nouns stand alone. */
export const termFixes = (facts: DraftFacts, group: StudyTerm['group']): Fix[] =>
  firstNamed(
    facts,
    termUses(facts)
      .filter(({ term, uses }) => term.group === group && uses === 0)
      .map(({ term }) => term.form),
  );
