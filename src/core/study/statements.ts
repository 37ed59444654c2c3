import { type ClaimWords, isClaim, sentenceSpans } from '../criteria/index.ts';
import { type Block, linksOf } from '../draft/index.ts';
import type { Tokens } from '../language/index.ts';

/** A sentence that states a figure, with what is known of where it comes from. */
export interface Statement {
  text: string;
  /** The heading it stands under; the page's title before the first. */
  about: string;
  /** The page that says it. */
  address: string;
  publisher: string;
  /** Whom the page names for it, in the page's own words; empty: nobody. */
  source: string;
  /** Where the page links to in the same sentence; empty: nowhere. */
  link: string;
  /** The page says that the figure is its own. */
  own: boolean;
  /** 2: a figure that asks for a source; 1: a number with what it counts. */
  weight: number;
}

const SHORTEST = 6;
const MAX_SENTENCE_WORDS = 45;

/** A number and what it counts. */
const COUNTED =
  /(?:^|[^\p{L}\d])\d[\d.,]*\s?(?:%|°|[a-z]{1,4}\b|(?!o'clock)[a-z]{3,})|\b(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty|sixty|hundred|thousand) (?!of us\b)[a-z]{3,}/iu;
const NAMED = [
  /\baccording to ((?:the |a |an )?[^,.;:()]{3,60})/i,
  /\b((?:a|an|the|one|our|their) [^,.;:()]{0,40}?\b(?:survey|study|test|trial|count|report|poll|data|log|records?|measurements?)(?: (?:of|by|from|among) [^,.;:()]{3,50})?)/i,
];
/** The same in other languages. */
const NAMED_ELSEWHERE =
  /(?<![\p{L}])(?:laut|gemäß|selon|d['’]après|según|secondo|volgens|segundo|enligt) ([^,.;:()]{3,60})/iu;
const OWN =
  /\b(?:we|our|i|my)\b[^.]*\b(?:measured|weighed|tested|tried|counted|hung|rode|mended|found|asked|paid|cut|hire|hired|have|test|survey|log|numbers|count|records?)\b/i;

/** Sentences of a page that state a figure, in order. Headings, captions of prices and bare lists of numbers are left out. */
export function statementsOf(
  { address, publisher, title }: { address: string; publisher: string; title: string },
  blocks: readonly { block: Block; tokens: Tokens; section: number }[],
  sections: readonly { heading: string }[],
  claims: ClaimWords | null,
): Statement[] {
  const out: Statement[] = [];
  for (const { block, tokens, section } of blocks) {
    if (block.kind !== 'paragraph' || block.path.some(({ type }) => type === 'cell')) continue;
    if (
      !/\d|two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|forty|fifty|half|third|quarter|hundred/i.test(
        block.text,
      )
    )
      continue;
    const links = linksOf(block);
    for (const { start, end, words } of sentenceSpans(block.text, tokens)) {
      if (words < SHORTEST || words > MAX_SENTENCE_WORDS) continue;
      const text = block.text.slice(start, end).replace(/\s+/g, ' ').trim();
      const claim = claims !== null && isClaim(text, text, claims);
      if (text.endsWith('?') || /\breviews?\.?$/i.test(text) || !(claim || COUNTED.test(text))) continue;
      const named =
        [...NAMED, NAMED_ELSEWHERE].map((pattern) => pattern.exec(text)?.[1] ?? '').find(Boolean) ?? '';
      const link = links.find((each) => each.start < end && each.end > start && /^https?:/i.test(each.href));
      out.push({
        text,
        about: sections[section].heading || title,
        address,
        publisher,
        source: named.trim(),
        link: link?.href ?? '',
        own: OWN.test(text) || claims?.ownCount.test(text) === true,
        weight: claim ? 2 : 1,
      });
    }
  }
  return out;
}

/** Statements worth citing: those that ask for a source first, among them those whose page names one. */
export const worthCiting = (statements: readonly Statement[]): Statement[] =>
  statements
    .map((statement, at) => ({ statement, at, rank: rankOf(statement) }))
    .sort((a, b) => b.rank - a.rank || a.at - b.at)
    .map(({ statement }) => statement);

const rankOf = ({ weight, link, source, own }: Statement): number =>
  2 * weight + (link ? 1.5 : 0) + (source ? 1 : 0) + (own ? 0.5 : 0);
