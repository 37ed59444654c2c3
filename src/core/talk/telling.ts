import { isAuxiliary, isFunctionWord, partOfSpeech } from '../language/index.ts';

/** Whether a word tells something: no small word, and none of the commonest verbs. */
export const isTelling = (form: string): boolean =>
  !isFunctionWord(form) && !isAuxiliary(form) && /\p{L}{3}|\p{N}/u.test(form) && partOfSpeech(form) !== 'r';
