import { isFunctionWord, normalForm, plainWords, stem } from '../language/index.ts';

/** Words that are spelled one way here and another way there; phrases with either ask for the same. */
const SAME: ReadonlyMap<string, string> = new Map(
  Object.entries({
    tire: 'tyre',
    bicycl: 'bike',
    cycl: 'bike',
    bike: 'bike',
    hire: 'rent',
    rental: 'rent',
  }),
);

const known = new Map<string, string>();

/** The stem of a word, by which phrases are told to be about the same; spellings of two regions share one. */
export function researchStem(word: string): string {
  let found = known.get(word);
  if (found === undefined) {
    const plain = stem(normalForm(word));
    found = SAME.get(plain) ?? plain;
    // A session meets some ten thousand words; the bound keeps a hostile import from filling memory.
    if (known.size < 200_000) known.set(word, found);
  }
  return found;
}

/** The stems of a phrase's content words, each once, in order; all of its words where it has no content word. */
export function phraseStems(phrase: string): string[] {
  const words = plainWords(phrase).map((word) => word.toLowerCase());
  const content = words.filter((word) => !isFunctionWord(word) && !QUESTION_WORDS.has(word));
  return [...new Set((content.length > 0 ? content : words).map(researchStem))];
}

const QUESTION_WORDS = new Set(
  'how what which where when why who whose can could do does did is are should would will may i you we they it there best'.split(
    ' ',
  ),
);

const ASKS =
  /^(?:how|what|which|where|when|why|who|whose|can|could|do|does|did|is|are|should|would|will|may|has|have|am)\b/i;

/** Whether a phrase asks something. */
export const isQuestion = (phrase: string): boolean =>
  ASKS.test(phrase.trim()) || phrase.trim().endsWith('?');
