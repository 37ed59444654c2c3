import { isFunctionWord, normalForm, plainWords, stem } from '../../language/index.ts';
import type { BlockReading } from '../block-reader.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { measure, wholeBlock } from '../judging.ts';

/** Part of the text that counts as its end, and words that do so in a short one. */
const END = 0.25;
const LEAST_WORDS = 60;
/** Share of the step's words that say it. */
const SAID = 0.5;

const stemsOf = (text: string): string[] => [
  ...new Set(
    plainWords(text)
      .filter((word) => !isFunctionWord(word))
      .map((word) => stem(normalForm(word))),
  ),
];

/** Share of the words of the promised next step that stand near the end, or in a block for the next step wherever it stands. */
function saidAtEnd({ readings, fields, words }: DraftFacts): number {
  const wanted = stemsOf(fields.nextStep);
  if (wanted.length === 0) return 1;
  const room = Math.max(LEAST_WORDS, words * END);
  const held = new Set(
    readings.flatMap(({ block }) => (block.step === undefined ? [] : stemsOf(block.text))),
  );
  let after = 0;
  for (let at = readings.length - 1; at >= 0 && after < room; at--) {
    for (const each of stemsOf(readings[at].block.text)) held.add(each);
    after += readings[at].words;
  }
  return wanted.filter((each) => held.has(each)).length / wanted.length;
}

/** What a next step without a link earns. */
const UNLINKED = 0.5;

const leadsNowhere = ({ block, links }: BlockReading): boolean =>
  block.step !== undefined && block.text !== '' && links.length === 0;

export const nextStep = criterion({
  id: 'next-step',
  group: 'substance',
  title: 'The next step',
  place: 'text',
  weight: 1,
  needs: ['words'],
  ownOnly: true,
  applies: ({ fields }) => fields.nextStep.trim() !== '',
  target: (_limits, { fields }) =>
    fields.nextStep.trim() === ''
      ? 'what the brief promises as next step'
      : `"${fields.nextStep.trim()}" near the end`,
  measure(facts) {
    const said = saidAtEnd(facts);
    const bare = said >= SAID ? facts.readings.findIndex(leadsNowhere) : -1;
    if (bare >= 0)
      return measure(
        UNLINKED,
        'there, without a link',
        'The next step leads nowhere: link its words to where readers can take it.',
        [wholeBlock(facts.blocks[bare], bare)],
      );
    return measure(
      Math.min(1, said / SAID),
      said >= SAID ? 'there' : 'not there',
      `The brief promises a next step: "${facts.fields.nextStep.trim()}". Say so near the end.`,
    );
  },
});
