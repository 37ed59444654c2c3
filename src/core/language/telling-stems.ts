import { stem } from './stems.ts';
import { isFunctionWord } from './stop-words.ts';
import { plainWords } from './tokens.ts';

/**
 * The stems of a text's words that tell something: no words of grammar, no numbers, no single letters.
 *
 * @example tellingStems('The tides of the bay, 3 of them') // Set { 'tide', 'bay' }
 */
export const tellingStems = (text: string): Set<string> =>
  new Set(
    plainWords(text)
      .filter((word) => !isFunctionWord(word) && /\p{L}{2}/u.test(word))
      .map(stem),
  );
