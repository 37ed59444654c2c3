import { criterion } from '../criterion.ts';
import { measure, wholeBlock } from '../judging.ts';
import { ramp } from '../ramp.ts';

/** Paragraphs that are shown. */
const SHOWN = 8;

/** No points unless a house gives some: how near its posts must be to each other is the house's own affair. */
export const houseVoice = criterion({
  id: 'house-voice',
  group: 'reading',
  title: 'Sounds like the house',
  place: 'text',
  weight: 0,
  needs: ['words', 'wording', 'voice'],
  target: ({ voiceNearness: [, from] }) => `${from ?? 0} of 100 near to the voice of the house`,
  measure({ readings, settings: { limits } }, { voice }) {
    const { near, differences, blockIds } = voice!;
    const rounded = Math.round(near!);
    const apart = new Set(blockIds);
    return measure(
      ramp(near!, limits.voiceNearness),
      rounded,
      `It is ${rounded} of 100 near to the voice of the house. ${differences[0] ?? 'Look at the paragraphs that differ.'}`,
      readings
        .flatMap(({ block }, index) => (apart.has(block.id) ? [wholeBlock(block, index)] : []))
        .slice(0, SHOWN),
    );
  },
});
