/** Digits of a figure, few enough that a page of digits is not gone through from each of them. */
const DIGITS = '\\d{1,12}';

const FIGURE = new RegExp(
  [
    '\\d\\s?(?:%|per ?cent\\b)',
    '[$£€¥]\\s?\\d',
    '\\b\\d[\\d.,]{0,20}\\s?(?:dollars?|pounds?|euros?|pence|cents)\\b',
    `\\b(?:${DIGITS}|one|two|three|four|five|six|seven|eight|nine|ten) (?:out of|in) (?:every )?(?:${DIGITS}|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)\\b`,
    '\\b(?:half|a third|a quarter|two thirds|three quarters) of (?:all|our|the|those|these|riders|people|readers)\\b',
    `\\b(?:twice|thrice|(?:two|three|four|five|six|seven|eight|nine|ten|${DIGITS}) times) (?:as|more|less|the|faster|slower|longer|higher|lower)\\b`,
    `\\b${DIGITS}x\\b`,
  ].join('|'),
  'i',
);

const DATED = /\b(?:in|since|by|until|from|between) (?:19|20)\d\d\b/gi;
/** A figure with what it counts. */
const COUNTED = /\d[\d.,]{0,20} \S/;

/** A year, and another figure before or after it: "sold 300 bikes in 2024", "in 2024 it sold 300". */
function isDatedFigure(sentence: string): boolean {
  const years = [...sentence.matchAll(DATED)];
  const [first, last] = [years[0], years.at(-1)];
  if (!first || !last) return false;
  if (/\d/.test(sentence.slice(first.index + first[0].length))) return true;
  const counted = COUNTED.exec(sentence);
  return counted !== null && counted.index + counted[0].length <= last.index;
}

/** What every figure has one of: most sentences have none, and are not gone through for each form. */
const MAY_BE =
  /[%$£€¥]|\dx\b|per ?cent|dollar|pound|euro|pence|cents|half|third|quarter|twice|thrice|times|out of| in (?:every|\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)|(?:19|20)\d\d/i;

/** True for an English sentence that states a figure which a reader could ask a source for. */
export const isClaim = (sentence: string): boolean =>
  MAY_BE.test(sentence) && (FIGURE.test(sentence) || isDatedFigure(sentence));
