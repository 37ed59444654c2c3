import { stem } from '../language/index.ts';
import { gistOf } from '../writing/index.ts';
import { disfluencies } from './disfluencies.ts';
import { countedItems } from './enumerations.ts';
import { HeadingWords } from './heading-words.ts';
import type { LeftWhy } from './marking.ts';
import { type HeadingSource, sectionHeading, sectionWeights } from './section-heading.ts';
import { sectionStarts } from './sections.ts';
import { type SpokenSentence, spokenSentences } from './spoken-sentences.ts';
import { type SpokenWord, spokenWords } from './spoken-words.ts';
import { isTelling } from './telling.ts';
import type { Transcript } from './transcript.ts';
import { turnOfTalk } from './turns-of-talk.ts';
import { type KnownNames, WrittenOut } from './written-out.ts';

/** A sentence of a talk as it is written. */
export interface TalkSentence {
  text: string;
  /** Indices of its words in the transcript. */
  words: SpokenSentence;
  /** Seconds; null where the transcript has no times. */
  start: number | null;
  speaker: string;
  asks: boolean;
}

/** Sentences of one speaker that belong together; with an item's number where the speaker counts. */
export interface TalkParagraph {
  kind: 'paragraph' | 'item';
  speaker: string;
  sentences: TalkSentence[];
}

export interface TalkSection {
  /** The speaker's own words; empty for what opens the talk. */
  heading: string;
  start: number | null;
  paragraphs: TalkParagraph[];
}

/** A question of the talk, and what was said to it. */
export interface TalkQuestion {
  question: string;
  answer: string;
  start: number | null;
}

/** A sentence worth pulling out, or one that sums up. */
export interface TalkExcerpt {
  text: string;
  speaker: string;
  start: number | null;
}

/** A talk as a written text, every word of it the speaker's. */
export interface WrittenTalk {
  words: SpokenWord[];
  left: (LeftWhy | null)[];
  sections: TalkSection[];
  questions: TalkQuestion[];
  quotations: TalkExcerpt[];
  summary: TalkExcerpt[];
}

/** Seconds of silence that open a section or a paragraph more likely. */
const LONG_PAUSE = 1.8;
/** A paragraph of more words is parted where it best can be. */
const LONG_PARAGRAPH = 90;
const LEAST_PARAGRAPH = 30;
/** What opens a talk has no heading, where it is no longer than this share of it, or than so many words. */
const OPENING_SHARE = 0.3;
const MOST_QUOTATIONS = 6;
const SUMMARY = 3;

function sentencesOf(
  words: readonly SpokenWord[],
  left: readonly (LeftWhy | null)[],
  names: KnownNames,
): TalkSentence[] {
  const written = new WrittenOut(words, names);
  return spokenSentences(words, left).map((sentence) => {
    const first = words[sentence[0]];
    const text = written.sentence(sentence);
    return { text, words: sentence, start: first.start, speaker: first.speaker, asks: text.endsWith('?') };
  });
}

const formsOf = (words: readonly SpokenWord[], sentence: TalkSentence) =>
  sentence.words.map((at) => words[at].form);

/** Silence before a sentence, what was left out of it counted too. */
function pauseBefore(
  words: readonly SpokenWord[],
  sentence: TalkSentence,
  before: TalkSentence | undefined,
): number {
  let pause = 0;
  for (let at = (before?.words.at(-1) ?? sentence.words[0] - 1) + 1; at <= sentence.words[0]; at++)
    pause = Math.max(pause, words[at]?.pause ?? 0);
  return pause;
}

/** Which of the sentences another speaker than the one before says. */
const isTurn = (
  words: readonly SpokenWord[],
  sentence: TalkSentence,
  before: TalkSentence | undefined,
): boolean => {
  for (let at = (before?.words.at(-1) ?? sentence.words[0] - 1) + 1; at <= sentence.words[0]; at++)
    if (words[at]?.turn) return true;
  return false;
};

function opensOf(words: readonly SpokenWord[], sentences: readonly TalkSentence[]): number[] {
  return sentences.map((sentence, at) => {
    if (at === 0) return 0;
    const before = sentences[at - 1];
    const forms = formsOf(words, sentence);
    let opens = turnOfTalk(forms);
    const pause = pauseBefore(words, sentence, before);
    if (pause >= LONG_PAUSE) opens += 3;
    else if (pause >= 1) opens += 1.5;
    const turn = isTurn(words, sentence, before);
    // Who asks opens something; who answers goes on with it.
    if (turn && sentence.asks) opens += 4;
    else if (turn && before.asks) opens -= 8;
    else if (turn) opens += forms.length < 8 ? -2 : 1;
    else if (sentence.asks && !before.asks) opens += 2.5;
    else if (before.asks) opens -= 4;
    return opens;
  });
}

/** Paragraphs of one section: by speaker, by pause, and where a long one changes its words most. */
function paragraphsOf(
  words: readonly SpokenWord[],
  sentences: readonly TalkSentence[],
  opens: readonly number[],
): TalkParagraph[] {
  const items = countedItems(sentences.map((sentence) => formsOf(words, sentence)));
  const out: TalkParagraph[] = [];
  let open: TalkSentence[] = [];
  let kind: TalkParagraph['kind'] = 'paragraph';
  let size = 0;
  const close = () => {
    if (open.length > 0) out.push({ kind, speaker: open[0].speaker, sentences: open });
    open = [];
    size = 0;
  };
  sentences.forEach((sentence, at) => {
    const before = sentences[at - 1];
    const length = sentence.words.length;
    if (before) {
      const pause = pauseBefore(words, sentence, before);
      const starts =
        isTurn(words, sentence, before) ||
        items[at] !== items[at - 1] ||
        (items[at] === null &&
          ((pause >= LONG_PAUSE && size >= LEAST_PARAGRAPH) ||
            (size >= LEAST_PARAGRAPH && opens[at] >= 2) ||
            (size + length > LONG_PARAGRAPH && opens[at] >= 0) ||
            size + length > LONG_PARAGRAPH * 1.5));
      if (starts) close();
    }
    if (open.length === 0) kind = items[at] === null ? 'paragraph' : 'item';
    open.push(sentence);
    size += length;
  });
  close();
  return out;
}

const excerpt = ({ text, speaker, start }: TalkSentence): TalkExcerpt => ({ text, speaker, start });

/** Questions with what was said to them: by somebody else, or by the one who asks. */
function questionsOf(words: readonly SpokenWord[], sentences: readonly TalkSentence[]): TalkQuestion[] {
  const out: TalkQuestion[] = [];
  sentences.forEach((sentence, at) => {
    if (!sentence.asks || sentence.words.length < 4 || sentences[at + 1]?.asks) return;
    const answer: string[] = [];
    let size = 0;
    for (let next = at + 1; next < sentences.length && size < 60; next++) {
      const other = sentences[next];
      if (other.asks || (next > at + 1 && isTurn(words, other, sentences[next - 1]))) break;
      answer.push(other.text);
      size += other.words.length;
    }
    if (size >= 5) out.push({ question: sentence.text, answer: answer.join(' '), start: sentence.start });
  });
  return out;
}

/** What makes a sentence worth pulling out: it turns against something, sums up, or says a thing without a condition. */
const STRIKING =
  /\b(?:never|always|nobody|everything|nothing|only|best|worst|most|remember|secret|trick|mistake|wrong|truth|matters?|every|instead|not|don't|enough|better|rather|real)\b/i;
const QUOTABLE = { least: 6, most: 24 };

function quotationsOf(sentences: readonly TalkSentence[], ranked: readonly number[]): TalkExcerpt[] {
  const rank = new Map(ranked.map((at, place) => [at, place]));
  const rated = sentences.flatMap((sentence, at) => {
    const size = sentence.words.length;
    if (sentence.asks || size < QUOTABLE.least || size > QUOTABLE.most || !rank.has(at)) return [];
    const striking = [...sentence.text.matchAll(new RegExp(STRIKING, 'gi'))].length;
    if (striking === 0) return [];
    return [
      {
        at,
        value:
          Math.min(2, striking) +
          1 -
          (rank.get(at) ?? 0) / Math.max(1, ranked.length) -
          Math.abs(size - 13) / 20,
      },
    ];
  });
  return rated
    .sort((a, b) => b.value - a.value || a.at - b.at)
    .slice(0, MOST_QUOTATIONS)
    .sort((a, b) => a.at - b.at)
    .map(({ at }) => excerpt(sentences[at]));
}

/**
 * A talk as a written text: fillers, doubled words and false starts out; sentences with capitals and stops; paragraphs by
 * speaker, pause and topic; sections by their vocabulary, each under words of the speaker's own; what was counted as items;
 * questions, quotations and a summary. Nothing stands there that was not said.
 *
 * @param names how names are written that the transcript may have in small letters
 */
export function writeTalk(transcript: Transcript, names: KnownNames = new Map()): WrittenTalk {
  const words = spokenWords(transcript);
  const left = disfluencies(words);
  const sentences = sentencesOf(words, left, names);
  const opens = opensOf(words, sentences);
  const forms = sentences.map((sentence) => formsOf(words, sentence));
  const known = new Map<string, string>();
  const stemsOf = (own: readonly string[]) =>
    own.flatMap((form) => {
      let each = known.get(form);
      if (each === undefined) {
        each = isTelling(form) ? stem(form) : '';
        known.set(form, each);
      }
      return each === '' ? [] : [each];
    });
  const starts = sectionStarts(
    sentences.map((sentence, at) => ({
      stems: stemsOf(forms[at]),
      words: sentence.words.length,
      opens: opens[at],
    })),
  );
  const ranges = starts.map((from, at) => [from, starts[at + 1] ?? sentences.length] as const);
  const looked = new HeadingWords();
  const weights = sectionWeights(
    ranges.map(([from, to]) => forms.slice(from, to).flat()),
    looked,
  );
  const taken = new Set<string>();
  const shown = new WrittenOut(words, names);
  const total = sentences.reduce((sum, sentence) => sum + sentence.words.length, 0);
  const sections = ranges.map(([from, to], at): TalkSection => {
    const own = sentences.slice(from, to);
    const size = own.reduce((sum, sentence) => sum + sentence.words.length, 0);
    const opensTalk = at === 0 && ranges.length > 1 && size <= total * OPENING_SHARE;
    const heading = opensTalk ? '' : headingOf(words, own, weights[at], taken, shown, looked);
    return { heading, start: own[0].start, paragraphs: paragraphsOf(words, own, opens.slice(from, to)) };
  });
  const placed = sections.flatMap(({ paragraphs }, section) =>
    paragraphs.flatMap(({ sentences: own }, paragraph) =>
      own.map(({ text }, inParagraph) => ({ text, section, paragraph, inParagraph })),
    ),
  );
  const ranked = gistOf(placed, { title: '', headings: sections.map(({ heading }) => heading) }, 40);
  return {
    words,
    left,
    sections,
    questions: questionsOf(words, sentences),
    quotations: quotationsOf(sentences, ranked),
    summary: ranked
      .slice(0, SUMMARY)
      .sort((a, b) => a - b)
      .map((at) => excerpt(sentences[at])),
  };
}

function headingOf(
  words: readonly SpokenWord[],
  own: readonly TalkSentence[],
  weights: ReadonlyMap<string, number>,
  taken: Set<string>,
  shown: WrittenOut,
  looked: HeadingWords,
): string {
  const sources = own.map(
    (sentence): HeadingSource => ({
      words: sentence.words.map((at) => looked.of(words[at].form)),
      parted: sentence.words.map((at) => /[,;:.!?–—"”)]/.test(words[at].after)),
      asks: sentence.asks,
    }),
  );
  const found = sectionHeading(sources, weights, taken);
  if (!found) return '';
  const { sentence, from, to } = found;
  const run = own[sentence].words.slice(from, to);
  taken.add(run.map((at) => words[at].form).join(' '));
  return shown.phrase(run, own[sentence].asks && to === own[sentence].words.length && from <= 1);
}
