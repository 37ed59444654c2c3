import type { Draft } from '../../draft/index.ts';
import { CORPUS_WORDS, fold, isFunctionWord, plainWords, wordCount } from '../../language/index.ts';
import { headingKind } from '../../outline/index.ts';
import { contractionShare, easeOf, type VoiceReading, voiceCounts, voiceReading } from './reading.ts';
import { spreads, type VoiceSpread } from './spreads.ts';

/** Where figures of a kind lie: a quarter below `lower`, half below `median`, a quarter above `upper`, a tenth above `long`. */
export interface Quartiles {
  lower: number;
  median: number;
  upper: number;
  long: number;
}

/** A word that a house uses much more, or less, than English does. */
export interface VoiceWord {
  word: string;
  uses: number;
  /** Uses that as many words of English writing would have, estimated from counts of speech. */
  expected: number;
  /** A sentence with it; empty for a word that is never used. */
  example: string;
}

/** How a house writes, counted over posts that were chosen as samples. */
export interface VoiceFigures {
  posts: number;
  words: number;
  sentences: number;
  sentenceWords: Quartiles;
  paragraphWords: Quartiles;
  /** Uses in 1,000 words. */
  person: { we: number; you: number; i: number };
  /** Places where a short form could stand in which one does, 0-1; null: too few places. */
  contractions: number | null;
  /** Shares of the sentences, 0-1. */
  questions: number;
  exclamations: number;
  /** Flesch Reading Ease. */
  ease: number;
  /** Words with which sentences begin, the commonest first, in 100 sentences. */
  openings: { words: string; share: number }[];
  favourites: VoiceWord[];
  avoided: VoiceWord[];
  headings: {
    count: number;
    /** Words, in the middle. */
    words: number;
    questions: number;
    howTo: number;
    orders: number;
    /** Share that has capitals as a sentence has, 0-1. */
    sentenceCase: number;
  };
  /** What a text is held against: mean and spread of each measure over the samples. */
  spreads: VoiceSpread[];
}

/** Samples of fewer words say too little. */
export const LEAST_SAMPLE_WORDS = 300;
/** Words that English uses so often that a house which never does avoids them. */
const LEAST_EXPECTED = 1.5;
/** A favourite stands so many times as often as English writing has it, and so often at least. */
const FAVOURED = 1.8;
const LEAST_USES = 4;
const MOST_WORDS = 12;

/** Quartiles of figures; all 0 without any. */
export function quartilesOf(values: readonly number[]): Quartiles {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted.length === 0 ? 0 : sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
  return { lower: at(0.25), median: at(0.5), upper: at(0.75), long: at(0.9) };
}

/**
 * The voice of a house, counted over samples. Null where they have fewer than {@link LEAST_SAMPLE_WORDS} words of prose. English
 * is taken for granted; in other languages words, contractions and ease say little.
 */
export function learnVoice(samples: readonly Draft[]): VoiceFigures | null {
  const readings = samples.map(voiceReading);
  const sentences = readings.flatMap(({ paragraphs }) => paragraphs.flatMap((one) => one.sentences));
  const all = voiceCounts(sentences);
  if (all.words < LEAST_SAMPLE_WORDS) return null;
  const prose = readings.flatMap(({ paragraphs }) => paragraphs.filter(({ inList }) => !inList));
  const headings = readings.flatMap((one) => one.headings);
  const inThousand = (uses: number) => (1000 * uses) / all.words;
  const share = (kind: string) =>
    headings.length === 0
      ? 0
      : headings.filter((heading) => headingKind(heading) === kind).length / headings.length;
  return {
    posts: samples.length,
    words: all.words,
    sentences: all.sentences,
    sentenceWords: quartilesOf(
      prose.flatMap((one) => one.sentences.map((sentence) => plainWords(sentence).length)),
    ),
    paragraphWords: quartilesOf(prose.map(({ text }) => plainWords(text).length)),
    person: { we: inThousand(all.we), you: inThousand(all.you), i: inThousand(all.i) },
    contractions: contractionShare(all, 8),
    questions: all.questions / all.sentences,
    exclamations: all.exclamations / all.sentences,
    ease: easeOf(all) ?? 0,
    openings: openingsOf(sentences),
    ...wordsOf(readings, all.words),
    headings: {
      count: headings.length,
      words: quartilesOf(headings.map((heading) => heading.split(/\s+/).length)).median,
      questions: share('question'),
      howTo: share('how-to'),
      orders: share('order'),
      sentenceCase:
        headings.length === 0
          ? 0
          : headings.filter((heading) => isSentenceCase(heading)).length / headings.length,
    },
    spreads: spreads(readings),
  };
}

/** Whether a heading has its capitals as a sentence has: at its beginning, and of names. */
const isSentenceCase = (heading: string): boolean => {
  const rest = heading
    .split(/\s+/)
    .slice(1)
    .filter((word) => /^\p{L}/u.test(word) && !isFunctionWord(fold(word)));
  return rest.length === 0 || rest.filter((word) => /^\p{Lu}/u.test(word)).length / rest.length < 0.5;
};

/** Openings that stand in so many sentences say something of the voice. */
const LEAST_OPENING = 0.012;

function openingsOf(sentences: readonly string[]): VoiceFigures['openings'] {
  const counts = new Map<string, number>();
  for (const sentence of sentences) {
    const [first, second] = plainWords(sentence);
    if (!first) continue;
    // "The" alone opens sentences everywhere: with what follows it says more.
    const key = isFunctionWord(first) && second ? `${first} ${second}` : first;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts]
    .map(([words, count]) => ({ words, share: count / sentences.length }))
    .filter(({ share }) => share >= LEAST_OPENING)
    .sort((a, b) => b.share - a.share || (a.words < b.words ? -1 : 1))
    .slice(0, 6);
}

/** Words of emphasis, judgement and vagueness, by which voices differ whatever they write about; those that a house never uses it avoids. */
const EMPHASIS = new Set(
  `really very quite just simply actually basically literally truly absolutely completely totally extremely incredibly
amazing great awesome perfect best easy easily quickly important essential crucial key ultimate huge
things stuff lot guys folks obviously clearly definitely certainly maybe probably always never`
    .split(/\s+/)
    .filter(Boolean),
);
/** Words that join and hedge; writing has so many times more of them than the spoken English that the counts are of. */
const JOINING_WORDS: ReadonlyMap<string, number> = new Map([
  ['also', 3],
  ['although', 6],
  ['though', 1.5],
  ['however', 8],
  ['therefore', 8],
  ['thus', 10],
  ['hence', 6],
  ['moreover', 10],
  ['furthermore', 10],
  ['additionally', 8],
  ['while', 2.5],
  ['rather', 2],
  ['often', 3],
  ['usually', 3],
  ['sometimes', 2],
  ['mostly', 2.5],
  ['nearly', 2],
  ['roughly', 4],
  ['perhaps', 1.5],
  ['enough', 1],
  ['even', 1],
  ['still', 1],
  ['yet', 1],
  ['only', 1.5],
  ['almost', 1.2],
  ['plenty', 2],
  ['nobody', 1.5],
  ['everybody', 1],
  ['exactly', 1],
  ['should', 1.2],
  ['must', 1.2],
  ['may', 2.5],
  ['might', 1],
]);
/** Times that spoken English has more of emphasis than writing has. */
const SPOKEN = 2.5;

function wordsOf(
  readings: readonly VoiceReading[],
  words: number,
): Pick<VoiceFigures, 'favourites' | 'avoided'> {
  const uses = new Map<string, { count: number; posts: Set<number>; example: string }>();
  readings.forEach(({ paragraphs }, post) => {
    for (const { sentences } of paragraphs)
      for (const sentence of sentences)
        for (const word of plainWords(sentence)) {
          const known = uses.get(word);
          if (known) {
            known.count += 1;
            known.posts.add(post);
            if (sentence.length < known.example.length && sentence.length > 40) known.example = sentence;
          } else uses.set(word, { count: 1, posts: new Set([post]), example: sentence });
        }
  });
  const inWriting = (word: string) => JOINING_WORDS.get(word) ?? (EMPHASIS.has(word) ? 1 / SPOKEN : 1);
  const expected = (word: string) => (wordCount(word) * words * inWriting(word)) / CORPUS_WORDS;
  // In a third of the posts at least: what one post repeats is that post's affair.
  const least = Math.min(readings.length, Math.max(2, Math.ceil(readings.length / 3)));
  const favourites = [...uses]
    .filter(
      ([word, { count, posts }]) =>
        (EMPHASIS.has(word) || JOINING_WORDS.has(word)) &&
        count >= LEAST_USES &&
        posts.size >= least &&
        count >= FAVOURED * expected(word),
    )
    .map(([word, { count, example }]) => ({ word, uses: count, expected: expected(word), example }))
    .sort((a, b) => liking(b) - liking(a) || (a.word < b.word ? -1 : 1))
    .slice(0, MOST_WORDS);
  const avoided = [...EMPHASIS]
    .filter((word) => expected(word) >= LEAST_EXPECTED && (uses.get(word)?.count ?? 0) <= expected(word) / 8)
    .map((word) => ({ word, uses: uses.get(word)?.count ?? 0, expected: expected(word), example: '' }))
    .sort((a, b) => b.expected - a.expected || (a.word < b.word ? -1 : 1))
    .slice(0, MOST_WORDS);
  return { favourites, avoided };
}

/** Log likelihood of a word's uses against those expected (T. Dunning, Computational Linguistics 19, 1993), one side of it. */
const liking = ({ uses, expected }: VoiceWord): number => uses * Math.log(uses / Math.max(expected, 0.05));
