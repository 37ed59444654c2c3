/**
 * Posts in several languages: whether each names the others, both ways.
 */
export { translationFaultInWords } from './fault-words.ts';
export { translatedPost, translationGround } from './translated-post.ts';
export {
  mendedTranslations,
  type TranslatedPost,
  type TranslationFault,
  type TranslationFaultKind,
  type TranslationGround,
  translationFaults,
} from './translation-faults.ts';
