import type { Along, AnswerRules, Pattern, PatternField } from './pattern.ts';
import { fieldsOf, STANDARD_FIELDS } from './standard-fields.ts';

const FREE: AnswerRules = { pieces: null, width: null, characters: null };
const HOUSE: Along[] = ['house', 'voice'];
/** What most patterns need to know of the person who reads. */
export const FOR_WHOM = fieldsOf(['audience', 'tone', 'style', 'language']);
/** How many results, and how long they are. */
export const count: PatternField = STANDARD_FIELDS.count;
export const length: PatternField = STANDARD_FIELDS.length;

type Given = Omit<Pattern, 'rules' | 'words' | 'along'> &
  Partial<Pick<Pattern, 'words' | 'along'>> & { rules?: Partial<AnswerRules> };
/** A pattern that comes along: the house and its voice go along with each, and what is not said is free. */
export const shipped = ({ rules, words = null, along = [], ...pattern }: Given): Pattern => ({
  ...pattern,
  along: [...HOUSE, ...along],
  words,
  rules: { ...FREE, ...rules },
});

/** What of a request says who reads and how it sounds: the same in all that have these fields. */
export const VOICE_LINES =
  'It is read by {{audience}}.\nTone: {{tone}}.\nStyle: {{style}}.\nWrite in {{language}}.';
