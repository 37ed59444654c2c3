const FIGURE = new RegExp(
  [
    '\\d\\s?(?:%|per ?cent\\b)',
    '[$£€¥]\\s?\\d',
    '\\b\\d[\\d.,]*\\s?(?:dollars?|pounds?|euros?|pence|cents)\\b',
    '\\b(?:\\d+|one|two|three|four|five|six|seven|eight|nine|ten) (?:out of|in) (?:every )?(?:\\d+|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)\\b',
    '\\b(?:half|a third|a quarter|two thirds|three quarters) of (?:all|our|the|those|these|riders|people|readers)\\b',
    '\\b(?:twice|thrice|(?:two|three|four|five|six|seven|eight|nine|ten|\\d+) times) (?:as|more|less|the|faster|slower|longer|higher|lower)\\b',
    '\\b\\d+x\\b',
    '\\b(?:in|since|by|until|from|between) (?:19|20)\\d\\d\\b(?=.*\\d)|\\d[\\d.,]* \\S+.*\\b(?:in|since|by|until|from|between) (?:19|20)\\d\\d\\b',
  ].join('|'),
  'i',
);

/** True for an English sentence that states a figure which a reader could ask a source for. */
export const isClaim = (sentence: string): boolean =>
  /\d|half|third|quarter|twice|thrice|times| in |out of|per ?cent/i.test(sentence) && FIGURE.test(sentence);
