import type { Draft } from '../../draft/index.ts';
import { plainWords } from '../../language/index.ts';
import { contractionShare, easeOf, voiceCounts, voiceReading } from './reading.ts';
import { type Measure, measuresOf } from './spreads.ts';
import type { VoiceFigures } from './voice.ts';

/** Something in which a text differs from a voice. */
export interface VoiceDifference {
  /** What, with both figures, as a sentence. */
  says: string;
  /** How many spreads apart; for a paragraph 1. */
  apart: number;
}

/** A paragraph that does not sound like the voice, and why. */
export interface VoiceRemark {
  blockId: string;
  differences: string[];
}

/** A text held against a voice. */
export interface VoiceNearness {
  /** 0-100; null: the text is too short to be heard. */
  near: number | null;
  differences: VoiceDifference[];
  paragraphs: VoiceRemark[];
}

/** So many spreads away a measure counts nothing any more. */
const FARTHEST = 4;
/** From here on a difference is worth a word. */
const TOLD = 2;
/** Measures that say most of a voice count twice. */
const TELLING: ReadonlySet<Measure> = new Set([
  'sentence-words',
  'we',
  'you',
  'i',
  'contractions',
  'ease',
  'word-letters',
]);

const whole = (value: number) => String(Math.round(value));
const percent = (value: number) => `${Math.round(100 * value)}%`;
const one = (value: number) => value.toFixed(1);
const SAYS: Record<Measure, (here: number, there: number) => string> = {
  'sentence-words': (here, there) =>
    `Sentences have ${one(here)} words on average; the voice has ${one(there)}.`,
  'sentence-spread': (here, there) =>
    here < there
      ? `Sentences are of one length (they spread by ${one(here)} words); in the voice short and long ones change (${one(there)}).`
      : `Sentences differ in length by ${one(here)} words; in the voice by ${one(there)}.`,
  'paragraph-words': (here, there) =>
    `Paragraphs have ${whole(here)} words on average; the voice has ${whole(there)}.`,
  we: (here, there) =>
    `"We" and "our" stand ${one(here)} times in 1,000 words; in the voice ${one(there)} times.`,
  you: (here, there) =>
    `"You" and "your" stand ${one(here)} times in 1,000 words; in the voice ${one(there)} times.`,
  i: (here, there) =>
    `"I" and "my" stand ${one(here)} times in 1,000 words; in the voice ${one(there)} times.`,
  contractions: (here, there) =>
    `${percent(here)} of the words that can be said short are; in the voice ${percent(there)}.`,
  questions: (here, there) =>
    `${percent(here)} of the sentences are questions; in the voice ${percent(there)}.`,
  exclamations: (here, there) =>
    `${percent(here)} of the sentences end with an exclamation mark; in the voice ${percent(there)}.`,
  commas: (here, there) =>
    `${whole(here)} commas and semicolons in 1,000 words; in the voice ${whole(there)}.`,
  dashes: (here, there) => `${one(here)} dashes in 1,000 words; in the voice ${one(there)}.`,
  brackets: (here, there) => `${one(here)} brackets in 1,000 words; in the voice ${one(there)}.`,
  ease: (here, there) => `It reads with an ease of ${whole(here)}; the voice with ${whole(there)}.`,
  'word-letters': (here, there) => `Words have ${one(here)} letters on average; the voice has ${one(there)}.`,
};

/**
 * How near a text is to a voice, 0-100, and what differs: the mean over its measures of how few spreads each lies away (z score),
 * those that say most of a voice counted twice. Below, paragraphs that would not stand so in the samples.
 */
export function voiceNearness(draft: Draft, voice: VoiceFigures): VoiceNearness {
  const reading = voiceReading(draft);
  const measured = measuresOf(reading);
  let sum = 0;
  let weights = 0;
  const differences: VoiceDifference[] = [];
  for (const { measure, mean, spread } of voice.spreads) {
    const here = measured.get(measure);
    if (here === undefined) continue;
    const apart = Math.abs(here - mean) / spread;
    const weight = TELLING.has(measure) ? 2 : 1;
    sum += weight * Math.max(0, 1 - apart / FARTHEST);
    weights += weight;
    if (apart >= TOLD) differences.push({ says: SAYS[measure](here, mean), apart });
  }
  return {
    near: weights === 0 ? null : (100 * sum) / weights,
    differences: differences.sort((a, b) => b.apart - a.apart),
    paragraphs: reading.paragraphs.flatMap(({ blockId, sentences, inList }) => {
      const said = paragraphDifferences(sentences, inList, voice);
      return said.length > 0 ? [{ blockId, differences: said }] : [];
    }),
  };
}

/** Sentences and paragraphs longer than the longest tenth of the voice's by so much stand out. */
const LONGER = 1.35;
/** Ease that a paragraph may be harder by: short texts swing widely. */
const HARDER = 28;

function paragraphDifferences(sentences: readonly string[], inList: boolean, voice: VoiceFigures): string[] {
  const counts = voiceCounts(sentences);
  const out: string[] = [];
  const longest = Math.max(0, ...counts.sentenceWords);
  if (longest > Math.max(18, voice.sentenceWords.long * LONGER))
    out.push(
      `A sentence of ${longest} words; the voice's have ${voice.sentenceWords.lower} to ${voice.sentenceWords.upper}, nine of ten at most ${voice.sentenceWords.long}.`,
    );
  if (!inList && counts.words > Math.max(40, voice.paragraphWords.long * LONGER))
    out.push(
      `${counts.words} words in a paragraph; nine of ten of the voice's have at most ${voice.paragraphWords.long}.`,
    );
  if (counts.exclamations > 0 && voice.exclamations < 0.005)
    out.push('An exclamation mark; the voice uses none.');
  if (counts.i > 0 && voice.person.i < 0.6) out.push('It says "I" or "my"; the voice does not.');
  if (counts.we > 0 && voice.person.we < 0.6) out.push('It says "we" or "our"; the voice does not.');
  if (counts.you > 0 && voice.person.you < 0.6)
    out.push('It speaks to the reader as "you"; the voice does not.');
  const contractions = contractionShare(counts, 2);
  if (voice.contractions !== null && contractions !== null) {
    if (voice.contractions >= 0.7 && contractions === 0)
      out.push(`It writes every word in full; the voice says ${percent(voice.contractions)} of them short.`);
    if (voice.contractions <= 0.1 && contractions >= 0.5)
      out.push(`It says words short; the voice writes ${percent(1 - voice.contractions)} of them in full.`);
  }
  const said = new Set(plainWords(sentences.join(' ')));
  const avoided = voice.avoided.filter(({ word }) => said.has(word)).map(({ word }) => `"${word}"`);
  if (avoided.length > 0) out.push(`It says ${avoided.slice(0, 3).join(', ')}, which the voice avoids.`);
  const ease = easeOf(counts);
  if (ease !== null && counts.words >= 30 && ease < voice.ease - HARDER)
    out.push(`It reads with an ease of ${whole(ease)}; the voice with ${whole(voice.ease)}.`);
  return out;
}
