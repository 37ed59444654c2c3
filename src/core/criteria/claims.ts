import { partOfSpeech, plainWords } from '../language/index.ts';

/** Digits of a figure, few enough that a page of digits is not gone through from each of them. */
const DIGITS = '\\d{1,12}';

const FIGURE = new RegExp(
  [
    // "100% free" is a way of speaking, "0x%08" is code.
    '\\d\\s?(?:%(?![\\w])|per ?cent\\b)(?<!\\b100\\s?(?:%|per ?cent)(?! of\\b))',
    `\\b(?:${DIGITS}|one|two|three|four|five|six|seven|eight|nine|ten) (?:out of|in) (?:every )?(?:${DIGITS}|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)\\b(?! (?:years?|months?|weeks?|days?|hours?|minutes?|seconds?|summers?|winters?|seasons?)\\b)`,
    '\\b(?:half|a third|a quarter|two thirds|three quarters) of (?:all|our|those|these|riders|people|readers|the (?:\\p{L}+ ){0,2}\\p{L}+[^s\\P{L}]s)\\b',
    `\\b(?:twice|thrice|(?:two|three|four|five|six|seven|eight|nine|ten|${DIGITS}) times) (?:as|more|less|the|faster|slower|longer|higher|lower)\\b`,
    '\\b[1-9]\\d{0,11}x\\b',
  ].join('|'),
  'iu',
);

const MONEY = /[$£€¥]\s?\d|\b\d[\d.,]{0,20}\s?(?:dollars?|pounds?|euros?|pence|cents)\b/i;
/** Who speaks of their own prices is their source: the house. */
export const SPEAKS_OF_ITSELF = /\b(?:we|us|our|ours|my)\b/i;

/** Words by which a figure names the writer's own count as its source: "flats that we see", "in our workshop". */
export const OWN_COUNT =
  /\b(?:we|I) (?:have |had |ever |once )?(?:saw|see|seen|count(?:ed)?|measure[d]?|weigh(?:ed)?|s[eo]ld?|rent(?:ed)?(?: out)?|mend(?:ed)?|repair(?:ed)?|ask(?:ed)?|test(?:ed)?|timed?|log(?:ged)?|survey(?:ed)?|interview(?:ed)?|track(?:ed)?|record(?:ed)?|found)\b|\b(?:in|at|of|among|from|to) (?:our|my) (?:own |last |first |small )?(?:workshop|shop|store|yard|office|kitchen|garden|team|practice|customers?|clients?|guests?|readers?|users?|members?|students?|patients?|survey|records?|books|counts?|tests?|data|figures|experience)\b/i;

/** How something is set is no figure about the world. */
const SETTING =
  /\b(?:defaults?|set|scale[ds]?|reduced?|enlarged?|zoom(?:ed)?(?: in| out)?|opacity|brightness|contrast) (?:to|at|by|of) \d[\d.,]{0,9}\s?(?:%|per ?cent)/i;

const DATED = /\b(?:in|since|by|until|from|between) (?:19|20)\d\d\b/gi;
/** A figure that counts something: no year, no number of a version or a standard ("Debian 7", "RFC 1945", "1.0"). */
const COUNTED =
  /(?<![\p{L}\d][\d.,/-]{0,3})(?<!\p{Lu}[\p{L}.]{0,20} )(?!(?:19|20)\d\d\b)\d{1,3}(?:,\d{3}|\d){0,9}(?![\d.,]*\d)(?! ?(?:am|pm|o['’]clock)\b)(?= \p{L})/u;

/** A year, and another figure before or after it: "sold 300 bikes in 2024", "in 2024 it sold 300". */
const isDatedFigure = (sentence: string): boolean => {
  DATED.lastIndex = 0;
  return DATED.test(sentence) && COUNTED.test(sentence.replace(DATED, ' '));
};

/** An order to the reader begins with its verb: advice, whatever number stands in it ("Bring twice the water"). */
function isAdvice(sentence: string): boolean {
  const [first, second] = plainWords(sentence.slice(0, 40));
  if (first === undefined) return false;
  return (
    ((ORDERS.has(first) || partOfSpeech(first) === 'v') && second !== undefined) ||
    /^(?:never|always|do not|don['’]t|please) \p{L}/iu.test(sentence)
  );
}
const ORDERS = new Set(
  'bring take use keep allow leave carry drink eat cut set plan add buy choose check put give make save expect pay try start stop turn ask wait let get go book pack pick'.split(
    ' ',
  ),
);

/** What every figure has one of: most sentences have none, and are not gone through for each form. */
const MAY_BE =
  /[%$£€¥]|\dx\b|per ?cent|dollar|pound|euro|pence|cents|half|third|quarter|twice|thrice|times|out of| in (?:every|\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)|(?:19|20)\d\d/i;

/** Whether a text may hold a claim at all: most paragraphs hold none, and are not taken apart for it. */
export const mayClaim = (text: string): boolean => MAY_BE.test(text);

/**
 * True for an English sentence that states a figure about the world which a reader could ask a source for: no advice, no setting,
 * and no price where `around`, the paragraph that it stands in, speaks of "our" and "we": the house is its own source.
 *
 * @example isClaim('About 40% of them turned back.') // true
 */
export const isClaim = (sentence: string, around = sentence): boolean =>
  kindOfClaim(sentence, around) !== null;

/** What a claim states: a price alone, or another figure; null where it is none. As {@link isClaim}. */
export function kindOfClaim(sentence: string, around = sentence): 'price' | 'figure' | null {
  if (!MAY_BE.test(sentence)) return null;
  const figure = FIGURE.test(sentence) || isDatedFigure(sentence);
  if (!figure && (!MONEY.test(sentence) || SPEAKS_OF_ITSELF.test(around))) return null;
  if (SETTING.test(sentence) || isAdvice(sentence)) return null;
  return figure ? 'figure' : 'price';
}

/** A sentence that states a figure. */
export interface Claim {
  start: number;
  end: number;
  quote: string;
  /** It is a price alone. */
  price: boolean;
  /** Its source stands there: a link, or that it is the writer's own count. */
  sourced: boolean;
  /** Where that link leads; null without one. */
  href: string | null;
}

/** Sentences that go on from the one before, whose link is theirs: "A study followed 200. It found twice as many." */
const GOES_ON = /^(?:it|they|this|that|these|those|he|she|its|their|the same)\b/i;

/**
 * The sentences of a block that state a figure, each with its source: a link in it, in the next, or in the one that it goes
 * on from; or the writer's own count.
 */
export function claimsOf(
  text: string,
  sentences: { start: number; end: number }[],
  links: { start: number; end: number; href: string }[],
) {
  const linkIn = (span: { start: number; end: number } | undefined) =>
    span && links.find((link) => link.start < span.end && link.end > span.start);
  return sentences.flatMap((span, at) => {
    const quote = text.slice(span.start, span.end);
    const kind = kindOfClaim(quote, text);
    if (kind === null) return [];
    const link =
      linkIn(span) ??
      linkIn(sentences[at + 1]) ??
      (GOES_ON.test(quote) ? linkIn(sentences[at - 1]) : undefined);
    return [
      {
        start: span.start,
        end: span.end,
        quote,
        price: kind === 'price',
        sourced: link !== undefined || OWN_COUNT.test(quote),
        href: link?.href ?? null,
      },
    ];
  });
}
