import type { PostFields } from '../../draft/index.ts';
import { criterion } from '../criterion.ts';
import { count, grouped, measure } from '../judging.ts';
import { ramp } from '../ramp.ts';
import type { StudyFacts } from '../surroundings.ts';

/** The length that was wished: what the brief asks for, else the middle of the studied pages; null: none was. */
export const wishedWords = (fields: PostFields, study: StudyFacts | null): number | null =>
  fields.targetWords ?? (study?.words ? Math.round(study.words.median) : null);

const wantedWords = (fields: PostFields, study: StudyFacts | null, otherwise: number): number =>
  wishedWords(fields, study) ?? otherwise;

export const bodyLength = criterion({
  id: 'body-length',
  group: 'reading',
  title: 'Length',
  unit: 'words',
  place: 'text',
  weight: 4,
  needs: [],
  ownOnly: true,
  target({ bodyLength: [, from, to], bodyWords }, { fields }, { study }) {
    const wanted = wantedWords(fields, study, bodyWords);
    const least = grouped(Math.round(wanted * (from ?? 0)));
    return wishedWords(fields, study) === null
      ? `${least} words or more`
      : `${least}-${grouped(Math.round(wanted * (to ?? 1)))} words`;
  },
  measure({ words, fields, settings: { limits } }, { study }) {
    const wanted = wantedWords(fields, study, limits.bodyWords);
    const x = words / wanted;
    const short = x < (limits.bodyLength[1] ?? 0);
    const advice = short
      ? `${grouped(words)} of about ${count(wanted, 'word')}: ${grouped(Math.ceil(wanted * (limits.bodyLength[1] ?? 0)) - words)} more are enough.`
      : `${count(words, 'word')} is far over the ${grouped(wanted)} wished. Cut, or make two posts.`;
    const [none, full, most, over] = limits.bodyLength;
    // Only a length that was wished can be gone beyond.
    const wished = wishedWords(fields, study) !== null;
    return measure(ramp(x, [none, full, wished ? most : null, wished ? over : null]), words, advice);
  },
});
