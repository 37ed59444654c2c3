import { plainWords } from '../../language/index.ts';
import type { AgeingWords, AnswerForm, AnswerWords, ClaimWords } from './wording.ts';

/** Where a word begins and ends: `\b` knows the letters of English alone. */
const START = '(?<![\\p{L}\\p{N}])';
const END = '(?![\\p{L}\\p{N}])';

/** Any of some words or patterns (parted by bars), as whole words, in either case. */
export const whole = (alternatives: string, flags = 'iu'): RegExp =>
  new RegExp(`${START}(?:${alternatives})${END}`, flags);

/** The same where a text begins. */
export const opening = (alternatives: string): RegExp => new RegExp(`^(?:${alternatives})${END}`, 'iu');

/** Words in a line as a set. */
export const wordSet = (line: string): ReadonlySet<string> => new Set(line.split(' ').filter(Boolean));

const YEAR = '(?:19|20)\\d\\d';

/** Words that may begin with a capital. */
const eitherCase = (alternatives: string): string =>
  alternatives
    .split('|')
    .map((word) => `[${word[0].toUpperCase()}${word[0]}]${word.slice(1)}`)
    .join('|');

/**
 * A figure that counts something, in languages that write a thousand with a point or a space: as in English no year, no version.
 */
const counted = (clock: string, months: string): RegExp =>
  new RegExp(
    `(?<![\\p{L}\\d][\\d.,/-]{0,3})(?!${YEAR}(?!\\d))(?:(?<!\\p{Lu}[\\p{L}.]{0,20} )\\d{1,3}(?:[.\\u00a0\\u202f ]\\d{3}|\\d){0,9}|\\d{1,3}(?:[.\\u00a0\\u202f ]\\d{3}){1,4})(?:,\\d{1,3})?(?![\\d.,]*\\d)(?! ?(?:${clock})${END})(?!\\.? (?:de )?(?:${eitherCase(months)})${END})(?= \\p{L})`,
    'u',
  );

/** What {@link claimWords} needs of a language: patterns of whole words, parted by bars. */
export interface ClaimParts {
  percent: string;
  /** What follows "100 %" where a share of something is meant. */
  of: string;
  /** Numbers in words, two to ten. */
  numbers: string;
  /** Twenty to ninety. */
  tens: string;
  months: string;
  /** Ratios; `#` stands for a number in digits or words. */
  ratios: string;
  /** Shares in words, with of whom. */
  fractions: string;
  /** Multiples; `#` as above. */
  times: string;
  money: string;
  /** Words one of which every ratio, share or multiple holds. */
  hints: string;
  ownVoice: string;
  ownCount: string;
  /** Words of settings: a share beside one is how something is set. */
  settings: string;
  /** What stands before a year that dates something; absent: nothing needs to. */
  years?: string;
  /** Hours of the day, behind a number. */
  clock: string;
  goesOn: string;
  /** How a sentence begins that tells the reader to do something. */
  advice: RegExp;
}

/** By what sentences that state figures are told in a language. */
export function claimWords(parts: ClaimParts): ClaimWords {
  const number = `(?:\\d{1,12}|${parts.numbers})`;
  const filled = (pattern: string) => pattern.replaceAll('#', number);
  const percent = `(?:%(?![\\w])|(?:${parts.percent})${END})`;
  const figure = [
    `(?:\\d|${START}(?:${parts.numbers}|${parts.tens}))\\s?${percent}(?<!${START}100\\s?(?:%|${parts.percent})(?! (?:${parts.of})${END}))`,
    ...[parts.ratios, parts.fractions, parts.times].map((pattern) => `${START}(?:${filled(pattern)})${END}`),
  ];
  const year = `${YEAR}${END}`;
  return {
    mayBe: new RegExp(`[%$£€¥]|${YEAR}|${parts.percent}|${parts.money}|${parts.hints}`, 'iu'),
    figure: new RegExp(figure.join('|'), 'iu'),
    money: new RegExp(
      `(?<![\\p{L}$"])[$£€¥]\\s?\\d(?!\\d*[$:])|\\d\\s?[$£€¥](?!\\p{L}?\\d)|\\d\\s?(?:${parts.money})${END}`,
      'iu',
    ),
    ownVoice: whole(parts.ownVoice),
    ownCount: whole(parts.ownCount),
    setting: new RegExp(
      `${START}(?:${parts.settings})${END}.{0,80}\\d\\s?${percent}|\\d\\s?${percent}.{0,40}${START}(?:${parts.settings})${END}`,
      'iu',
    ),
    dated: new RegExp(
      parts.years ? `${START}(?:${parts.years}) ${year}` : `(?<![\\p{L}\\d.,/-])${year}(?![.,/-]\\d)`,
      'giu',
    ),
    counted: counted(parts.clock, parts.months),
    goesOn: opening(parts.goesOn),
    isAdvice: (sentence) => parts.advice.test(sentence),
  };
}

/** Words that age (phrases parted by bars), and what stands before the year of a figure; absent: nothing needs to. */
export function ageingWords(phrases: string, years?: string): AgeingWords {
  const longest = (phrase: string) =>
    plainWords(phrase).reduce((best, word) => (word.length > best.length ? word : best), '');
  return {
    words: whole(phrases, 'giu'),
    hints: new Set(phrases.split('|').map(longest)),
    dated: new RegExp(
      years ? `${START}(?:${years}) (${YEAR})${END}` : `(?<![\\p{L}\\d.,/-])(${YEAR})${END}(?![.,/-]\\d)`,
      'giu',
    ),
  };
}

/** What {@link answerWords} needs of a language: patterns of whole words, parted by bars. */
export interface AnswerParts {
  /** How queries that ask for each form are worded; looked for in this order. */
  forms: Partial<Record<Exclude<AnswerForm, 'statement'>, RegExp>>;
  verbs: string;
  money: string;
  /** Words for what costs nothing. */
  free: string;
  /** Numbers in words. */
  numbers: string;
  comparing: string;
  showing: string;
  order: RegExp;
}

/** By what a sentence is told to answer a query in a language. */
export const answerWords = (parts: AnswerParts): AnswerWords => ({
  forms: (['price', 'number', 'steps', 'comparison', 'definition'] as const).flatMap((form) => {
    const pattern = parts.forms[form];
    return pattern ? [[pattern, form] as [RegExp, AnswerForm]] : [];
  }),
  linking: whole(parts.verbs, 'giu'),
  price: new RegExp(
    `[$£€¥]\\s?\\d|\\d\\s?[$£€¥]|\\d\\s?(?:${parts.money})${END}|${START}(?:${parts.free})${END}`,
    'iu',
  ),
  number: new RegExp(`\\d|${START}(?:${parts.numbers})${END}`, 'iu'),
  comparing: whole(parts.comparing),
  showing: opening(parts.showing),
  isOrder: (sentence) => parts.order.test(sentence),
  isVerb: null,
});
