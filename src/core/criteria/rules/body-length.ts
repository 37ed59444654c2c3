import type { Criterion } from '../criterion.ts';
import { count, grouped, measure } from '../judging.ts';
import { ramp } from '../ramp.ts';

export const bodyLength: Criterion = {
  id: 'body-length',
  group: 'reading',
  title: 'Length',
  unit: 'words',
  place: 'text',
  applies: () => true,
  target({ bodyLength: [, from, to], bodyWords }, { fields }) {
    const wanted = fields.targetWords ?? bodyWords;
    return `${Math.round(wanted * (from ?? 0))}-${Math.round(wanted * (to ?? 1))} words`;
  },
  measure({ words, fields, settings: { limits } }) {
    const wanted = fields.targetWords ?? limits.bodyWords;
    const x = words / wanted;
    const short = x < (limits.bodyLength[1] ?? 0);
    const advice = short
      ? `${count(words, 'word')} of about ${grouped(wanted)}: ${count(Math.ceil(wanted * (limits.bodyLength[1] ?? 0)) - words, 'word')} to go.`
      : `${count(words, 'word')} is far over the ${grouped(wanted)} wished. Cut, or make two posts.`;
    return measure(ramp(x, limits.bodyLength), words, advice);
  },
};
