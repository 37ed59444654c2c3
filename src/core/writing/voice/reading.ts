import type { Draft } from '../../draft/index.ts';
import { fleschReadingEase, plainWords, syllablesOf } from '../../language/index.ts';
import { sentencesIn } from '../sentences.ts';

/** A paragraph as its voice is heard. */
export interface VoiceParagraph {
  blockId: string;
  text: string;
  sentences: string[];
  /** In a list or a quote: its length says nothing of the paragraphs. */
  inList: boolean;
}

/** A text as its voice is heard: its prose, paragraph by paragraph, and its headings. */
export interface VoiceReading {
  paragraphs: VoiceParagraph[];
  headings: string[];
}

/** The prose of a draft; quotes are somebody else's voice, tables and code are none. */
export function voiceReading({ blocks }: Draft): VoiceReading {
  const paragraphs = blocks.flatMap(({ id, kind, path, text, step }): VoiceParagraph[] => {
    const bare = text.replace(/†/g, '').replace(/\s+/g, ' ').trim();
    if (
      kind !== 'paragraph' ||
      bare === '' ||
      step ||
      path.some(({ type }) => type === 'quote' || type === 'cell')
    )
      return [];
    return [{ blockId: id, text: bare, sentences: sentencesIn(bare), inList: path.length > 0 }];
  });
  return {
    paragraphs,
    headings: blocks
      .filter(({ kind }) => kind === 'heading')
      .map(({ text }) => text.trim())
      .filter(Boolean),
  };
}

/** Full forms that are often said short, and the short ones. */
const FULL =
  /\b(?:(?:i|you|we|they) (?:have|will|would)|(?:you|we|they) are|i am|(?:he|she|it|that|there|what|who|here) (?:is|will|has)|(?:do|does|did|is|are|was|were|have|has|had|could|should|would|can|must|will) ?not|let us)\b/gi;
const SHORT =
  /\b(?:i['’]m|(?:i|you|we|they)['’](?:ve|ll|d)|(?:you|we|they)['’]re|(?:he|she|it|that|there|what|who|here)['’](?:s|ll)|(?:do|does|did|is|are|was|were|have|has|had|could|should|would|ca|must|wo|need)n['’]t|let['’]s)\b/gi;

/** What is counted of a stretch of prose. */
export interface VoiceCounts {
  words: number;
  sentences: number;
  syllables: number;
  /** Words of each sentence. */
  sentenceWords: number[];
  we: number;
  you: number;
  i: number;
  /** "The reader", "one", "users": spoken of and not to. */
  contracted: number;
  full: number;
  questions: number;
  exclamations: number;
  commas: number;
  semicolons: number;
  dashes: number;
  brackets: number;
}

const times = (text: string, pattern: RegExp) => text.match(pattern)?.length ?? 0;

/** Counts one stretch of prose out of its sentences. */
export function voiceCounts(sentences: readonly string[]): VoiceCounts {
  const text = sentences.join(' ');
  const words = plainWords(text);
  return {
    words: words.length,
    sentences: sentences.length,
    syllables: words.reduce((sum, word) => sum + syllablesOf(word), 0),
    sentenceWords: sentences.map((sentence) => plainWords(sentence).length),
    we: times(text, /\b(?:we|us|our|ours|ourselves)\b/gi),
    you: times(text, /\b(?:you|your|yours|yourself)\b/gi),
    i: times(text, /\bI\b|\b(?:my|mine|myself)\b/g),
    contracted: times(text, SHORT),
    full: times(text, FULL),
    questions: sentences.filter((sentence) => /\?["'”’)]*$/.test(sentence)).length,
    exclamations: sentences.filter((sentence) => /!["'”’)]*$/.test(sentence)).length,
    commas: times(text, /,/g),
    semicolons: times(text, /;/g),
    dashes: times(text, /\s[–—-]\s|—/g),
    brackets: times(text, /\(/g),
  };
}

/** Flesch Reading Ease of what was counted; null without a sentence. */
export const easeOf = (counts: VoiceCounts): number | null => fleschReadingEase(counts);

/** Places where a short form could stand in which one does, 0-1; null where there are fewer than `least`. */
export const contractionShare = ({ contracted, full }: VoiceCounts, least = 1): number | null =>
  contracted + full < least ? null : contracted / (contracted + full);
