import { type ClaimWords, wordingOf } from './wordings/index.ts';

/** A year, and another figure before or after it: "sold 300 bikes in 2024", "in 2024 it sold 300". */
function isDatedFigure(sentence: string, { dated, counted }: ClaimWords): boolean {
  dated.lastIndex = 0;
  return dated.test(sentence) && counted.test(sentence.replace(dated, ' '));
}

/** A question states nothing; a call of a function is code: "YIELD(99; 100) is 5 %". */
const NO_STATEMENT = /\?["'”’»)\]]{0,3}$|\p{Lu}[\p{Lu}\d._]+\([^)]*\d/u;

const ENGLISH = wordingOf('en')!.claims;

/** Whether a text may hold a claim at all: most paragraphs hold none, and are not taken apart for it. */
export const mayClaim = (text: string, words = ENGLISH): boolean => words.mayBe.test(text);

/**
 * True for a sentence that states a figure about the world which a reader could ask a source for: no advice, no setting,
 * and no price where `around`, the paragraph that it stands in, speaks of "our" and "we": the house is its own source.
 *
 * @example isClaim('About 40% of them turned back.') // true
 */
export const isClaim = (sentence: string, around = sentence, words = ENGLISH): boolean =>
  kindOfClaim(sentence, around, words) !== null;

/** What a claim states: a price alone, or another figure; null where it is none. As {@link isClaim}. */
export function kindOfClaim(sentence: string, around = sentence, words = ENGLISH): 'price' | 'figure' | null {
  if (!words.mayBe.test(sentence) || NO_STATEMENT.test(sentence)) return null;
  const figure = words.figure.test(sentence) || isDatedFigure(sentence, words);
  if (!figure && (!words.money.test(sentence) || words.ownVoice.test(around))) return null;
  if (words.setting.test(sentence) || words.isAdvice(sentence)) return null;
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

/**
 * The sentences of a block that state a figure, each with its source: a link in it, in the next, or in the one that it goes
 * on from; or the writer's own count.
 */
export function claimsOf(
  text: string,
  sentences: { start: number; end: number }[],
  links: { start: number; end: number; href: string }[],
  words = ENGLISH,
) {
  const linkIn = (span: { start: number; end: number } | undefined) =>
    span && links.find((link) => link.start < span.end && link.end > span.start);
  return sentences.flatMap((span, at) => {
    const quote = text.slice(span.start, span.end);
    const kind = kindOfClaim(quote, text, words);
    if (kind === null) return [];
    const link =
      linkIn(span) ??
      linkIn(sentences[at + 1]) ??
      (words.goesOn.test(quote) ? linkIn(sentences[at - 1]) : undefined);
    return [
      {
        start: span.start,
        end: span.end,
        quote,
        price: kind === 'price',
        sourced: link !== undefined || words.ownCount.test(quote),
        href: link?.href ?? null,
      },
    ];
  });
}
