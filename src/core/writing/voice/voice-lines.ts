import type { VoiceFigures } from './voice.ts';

/** Something that a voice does, as a rule for whoever writes in it, with the figures that say so. */
export interface VoiceLine {
  /** The same thing keeps its id, so that what a writer changed stays changed when the voice is learnt anew. */
  id: string;
  /** A rule, as one would tell it. */
  rule: string;
  /** The figures behind it. */
  figures: string;
  /** Sentences or words that show it. */
  examples: string[];
}

const percent = (share: number) => `${Math.round(100 * share)}%`;
const rate = (value: number) => value.toFixed(1);

/** What a voice does, line by line; a habit that is no habit has no line. `sentences` are looked through for examples. */
export function voiceLines(figures: VoiceFigures, sentences: readonly string[]): VoiceLine[] {
  const { sentenceWords, paragraphWords, person, contractions, headings, openings, favourites, avoided } =
    figures;
  const lines: VoiceLine[] = [];
  const add = (id: string, rule: string, shown: string, examples: readonly string[] = []) =>
    lines.push({ id, rule, figures: shown, examples: [...examples] });
  const typical = sentences.filter((text) => text.split(/\s+/).length === sentenceWords.median).slice(0, 1);
  add(
    'sentences',
    `Sentences have ${sentenceWords.lower} to ${sentenceWords.upper} words, and hardly ever more than ${sentenceWords.long}.`,
    `Half of ${figures.sentences.toLocaleString('en')} sentences have ${sentenceWords.lower} to ${sentenceWords.upper} words, ${sentenceWords.median} in the middle; a tenth has more than ${sentenceWords.long}.`,
    typical,
  );
  add(
    'paragraphs',
    `Paragraphs have ${paragraphWords.lower} to ${paragraphWords.upper} words.`,
    `${paragraphWords.median} in the middle; a tenth has more than ${paragraphWords.long}.`,
  );
  add('person', personRule(person), personFigures(person), examplesOf(sentences, personSaid(person)));
  if (contractions !== null)
    add(
      'contractions',
      contractions >= 0.6
        ? 'Words are said short: "it\'s", "don\'t", "you\'ll".'
        : contractions <= 0.15
          ? 'Words are written in full: "it is", "do not", "you will".'
          : 'Short forms and full ones change: "it\'s" beside "it is".',
      `${percent(contractions)} of the words that can be said short are.`,
      examplesOf(
        sentences,
        contractions >= 0.4
          ? /\w['’](?:s|t|re|ll|ve|d|m)\b/i
          : /\b(?:it is|do not|does not|is not|you will|cannot)\b/i,
      ),
    );
  add(
    'questions',
    figures.questions >= 0.06
      ? 'The reader is asked questions now and then.'
      : figures.questions >= 0.02
        ? 'A question to the reader is rare.'
        : figures.questions > 0
          ? 'The text hardly ever asks a question.'
          : 'The text asks no questions.',
    `${percent(figures.questions)} of the sentences are questions, ${percent(figures.exclamations)} end with an exclamation mark.`,
    examplesOf(sentences, /\?$/),
  );
  if (figures.exclamations < 0.005)
    add('exclamations', 'No exclamation marks.', 'Fewer than one in 200 sentences has one.');
  add(
    'ease',
    figures.ease >= 70
      ? 'Plain everyday words.'
      : figures.ease >= 55
        ? 'Plain words, with those of the trade where they are needed.'
        : 'Longer words are usual.',
    `Flesch Reading Ease ${Math.round(figures.ease)}.`,
  );
  if (openings.length > 0)
    add(
      'openings',
      `Sentences often begin with ${openings
        .slice(0, 4)
        .map(({ words }) => `"${capital(words)}"`)
        .join(', ')}.`,
      openings.map(({ words, share }) => `"${capital(words)}" ${percent(share)}`).join(', '),
    );
  if (favourites.length > 0)
    add(
      'favourites',
      `It likes ${favourites
        .slice(0, 6)
        .map(({ word }) => `"${word}"`)
        .join(', ')}.`,
      favourites
        .slice(0, 6)
        .map(
          ({ word, uses, expected }) => `"${word}" ${uses} times, where English has ${Math.round(expected)}`,
        )
        .join('; '),
      favourites.slice(0, 2).map(({ example }) => example),
    );
  if (avoided.length > 0)
    add(
      'avoided',
      `It avoids ${avoided
        .slice(0, 8)
        .map(({ word }) => `"${word}"`)
        .join(', ')}.`,
      avoided
        .slice(0, 8)
        .map(
          ({ word, uses, expected }) =>
            `"${word}" ${uses === 0 ? 'never' : uses}, where English has ${Math.round(expected)}`,
        )
        .join('; '),
    );
  if (headings.count >= 3) add('headings', headingRule(headings), headingFigures(headings));
  return lines;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** So often in 1,000 words a person is spoken of as a habit. */
const HABIT = 4;

function personRule({ we, you, i }: VoiceFigures['person']): string {
  const says = [
    ...(you >= HABIT ? ['speaks to the reader as "you"'] : []),
    ...(we >= HABIT ? ['speaks of the house as "we"'] : []),
    ...(i >= HABIT ? ['says "I"'] : []),
  ];
  const not = [...(you < 1 ? ['"you"'] : []), ...(we < 1 ? ['"we"'] : []), ...(i < 1 ? ['"I"'] : [])];
  const first = says.length > 0 ? `It ${says.join(' and ')}` : 'It speaks of things and rarely of anybody';
  return `${first}${not.length > 0 ? `; it does not say ${not.join(' or ')}` : ''}.`;
}

const personFigures = ({ we, you, i }: VoiceFigures['person']) =>
  `In 1,000 words: "you" ${rate(you)}, "we" ${rate(we)}, "I" ${rate(i)} times, their other forms counted.`;

const personSaid = ({ we, you, i }: VoiceFigures['person']): RegExp =>
  Math.max(we, you, i) === you
    ? /\b(?:you|your)\b/i
    : Math.max(we, i) === we
      ? /\b(?:we|our)\b/i
      : /\b(?:I|my)\b/;

const headingRule = ({ words, questions, orders, howTo, sentenceCase }: VoiceFigures['headings']) =>
  [
    `Headings have about ${words} ${words === 1 ? 'word' : 'words'}`,
    sentenceCase >= 0.7
      ? 'with capitals as in a sentence'
      : sentenceCase <= 0.3
        ? 'With Capitals in Every Word'
        : '',
    questions >= 0.4
      ? 'and are mostly questions'
      : orders >= 0.4
        ? 'and mostly say what to do'
        : howTo >= 0.4
          ? 'and mostly begin with "How to"'
          : questions >= 0.15
            ? 'and are questions now and then'
            : '',
  ]
    .filter(Boolean)
    .join(' ')
    .concat('.');

const headingFigures = ({ count, questions, orders, howTo, sentenceCase }: VoiceFigures['headings']) =>
  `Of ${count} headings ${percent(questions)} ask, ${percent(howTo)} begin with "How to", ${percent(orders)} say what to do; ${percent(sentenceCase)} have capitals as a sentence.`;

/** Two sentences that show something, short ones first. */
function examplesOf(sentences: readonly string[], shows: RegExp): string[] {
  return sentences
    .filter((text) => shows.test(text) && text.length >= 25 && text.length <= 140)
    .slice(0, 400)
    .sort((a, b) => a.length - b.length || (a < b ? -1 : 1))
    .filter((_, at, all) => at === Math.floor(all.length / 3) || at === Math.floor((2 * all.length) / 3))
    .slice(0, 2);
}
