/**
 * Language: what the words of a text are.
 *
 * `Vocabulary` interns words; `tokenize` splits a text into words, sentences and the gaps between them;
 * `inflections`, `stems`, `syllables`, `stop-words` and `word-frequency` tell about single words, `word-bases` gives base forms and `term-counter` counts by them, `spellings` are those of two sides of an ocean, `word-vectors` compare whole texts by their words; `PhraseMatcher` finds keywords and
 * their variants; `readability` holds the reading formulas; `detectLanguage` guesses what a text is written in.
 */
export { hasCompounds, isPartOf } from './compounds.ts';
export { detectLanguage, isEnglish, smallWordsOf } from './detect.ts';
export { areVariants, baseForm, inflectionCandidates } from './inflections.ts';
export { keywordKeys } from './keyword-keys.ts';
export { languageName } from './language-name.ts';
export { isSameLanguage } from './language-tags.ts';
export { type LanguageRules, languageRules } from './languages/index.ts';
export {
  MATCH_COUNTS,
  MATCH_KINDS,
  MATCH_VALUES,
  type Match,
  type MatchKind,
  PhraseMatcher,
} from './matcher.ts';
export { type Matching, matchingOf } from './matching.ts';
export { type MeasuredWords, WordMeasure } from './measured-words.ts';
export { fold, normalForm } from './normal.ts';
export { perVocabulary } from './per-vocabulary.ts';
export { type ProseLikeness, proseLikeness } from './prose-likeness.ts';
export { fleschKincaidGrade, fleschReadingEase } from './readability.ts';
export { hasReadingFormula, type ReadingEase, readingEaseOf } from './reading-ease.ts';
export { asHeading, sentenceCase } from './sentence-case.ts';
export { sentenceBreaks } from './sentences.ts';
export { spelledLike } from './spellings.ts';
export { stemCount } from './stem-frequency.ts';
export { stem } from './stems.ts';
export { isFunctionWord, isStopWord } from './stop-words.ts';
export { syllablesOf } from './syllables.ts';
export { syntaxClassOf } from './syntax-classes.ts';
export { tellingStems } from './telling-stems.ts';
export { TermCounter, type TermUse } from './term-counter.ts';
export { Gap, plainWords, type Tokens, tokenize } from './tokens.ts';
export { Vocabulary } from './vocabulary.ts';
export { WordBases } from './word-bases.ts';
export {
  isAuxiliary,
  isDeterminer,
  isJoining,
  isLikelyVerb,
  mayTakeArticle,
} from './word-classes.ts';
export { CORPUS_WORDS, isMostlyVerb, partOfSpeech, wordCount } from './word-frequency.ts';
export {
  addStems,
  likeness,
  sharedStems,
  sumOfVectors,
  type WordVector,
  wordVectors,
} from './word-vectors.ts';
