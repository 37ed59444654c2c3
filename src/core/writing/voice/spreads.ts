import { plainWords } from '../../language/index.ts';
import { contractionShare, easeOf, type VoiceReading, voiceCounts } from './reading.ts';

/** What two texts are held against each other by; each is one figure of a text. */
export const MEASURES = [
  'sentence-words',
  'sentence-spread',
  'paragraph-words',
  'we',
  'you',
  'i',
  'contractions',
  'questions',
  'exclamations',
  'commas',
  'dashes',
  'brackets',
  'ease',
  'word-letters',
] as const;
export type Measure = (typeof MEASURES)[number];

/** How a measure lies over the samples. */
export interface VoiceSpread {
  measure: Measure;
  mean: number;
  /** Standard deviation, at least what chance alone makes of it. */
  spread: number;
}

/** What texts of one voice differ by anyway: the least spread of each measure. */
const LEAST_SPREAD: Record<Measure, number> = {
  'sentence-words': 1.5,
  'sentence-spread': 1.5,
  'paragraph-words': 9,
  we: 6,
  you: 7,
  i: 4,
  contractions: 0.12,
  questions: 0.02,
  exclamations: 0.01,
  commas: 8,
  dashes: 3,
  brackets: 3,
  ease: 4,
  'word-letters': 0.12,
};

/** Texts of fewer words are not measured by themselves: one question in five sentences is no habit. */
const LEAST_WORDS = 60;

/** The measures of a text; those that it is too short for are left out. */
export function measuresOf({ paragraphs }: VoiceReading): Map<Measure, number> {
  const sentences = paragraphs.flatMap((one) => one.sentences);
  const counts = voiceCounts(sentences);
  const out = new Map<Measure, number>();
  if (counts.words < LEAST_WORDS) return out;
  const { sentenceWords: lengths } = counts;
  const mean = counts.words / counts.sentences;
  out.set('sentence-words', mean);
  if (lengths.length >= 5)
    out.set(
      'sentence-spread',
      Math.sqrt(lengths.reduce((sum, length) => sum + (length - mean) ** 2, 0) / lengths.length),
    );
  const prose = paragraphs.filter(({ inList }) => !inList).map(({ text }) => plainWords(text).length);
  if (prose.length >= 3)
    out.set('paragraph-words', prose.reduce((sum, words) => sum + words, 0) / prose.length);
  const inThousand = (uses: number) => (1000 * uses) / counts.words;
  out.set('we', inThousand(counts.we));
  out.set('you', inThousand(counts.you));
  out.set('i', inThousand(counts.i));
  const contractions = contractionShare(counts, 3);
  if (contractions !== null) out.set('contractions', contractions);
  out.set('questions', counts.questions / counts.sentences);
  out.set('exclamations', counts.exclamations / counts.sentences);
  out.set('commas', inThousand(counts.commas + counts.semicolons));
  out.set('dashes', inThousand(counts.dashes));
  out.set('brackets', inThousand(counts.brackets));
  const ease = easeOf(counts);
  if (ease !== null) out.set('ease', ease);
  const words = plainWords(sentences.join(' '));
  out.set('word-letters', words.reduce((sum, word) => sum + word.length, 0) / words.length);
  return out;
}

/** Mean and spread of each measure over samples that have it. */
export function spreads(readings: readonly VoiceReading[]): VoiceSpread[] {
  const measured = readings.map(measuresOf);
  return MEASURES.flatMap((measure) => {
    const values = measured.flatMap((one) => one.get(measure) ?? []);
    if (values.length === 0) return [];
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const variance =
      values.length < 2
        ? 0
        : values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
    return [{ measure, mean, spread: Math.max(LEAST_SPREAD[measure], Math.sqrt(variance)) }];
  });
}
