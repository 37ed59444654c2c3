import { asHeading, baseForm, isDeterminer, isFunctionWord, partOfSpeech } from '../language/index.ts';

/** What a heading is by its grammar. */
export type HeadingKind = 'question' | 'how-to' | 'order' | 'doing' | 'clause' | 'noun';

const OPENS_QUESTION =
  /^(?:how(?! to\b)|what|which|who|why|when|where|can|could|do|does|did|is|are|should|will|may|must)\b/i;
const CLAUSE = /^(?:if|when|before|after|while|until|as)\b|\b(?:we|our|us|i|my|me)\b/i;
const PARTICLE = /^(?:up|off|out|down|in|on|with|for|from|to|after|over|away|back|together|through)$/i;
const POSSESSIVE = /^(?:your|my|our|their|its|his|her)$/i;

/** Verbs that the counts know as something else. */
const VERBS = new Set(
  'back split hit let shut bring set put cut open clean dry keep let read book plan light'.split(' '),
);
const isVerb = (word: string): boolean => /^[vm]$/.test(partOfSpeech(word) ?? '') || VERBS.has(word);
const lower = (word: string): string =>
  /^[\p{Lu}\d]{2}|^\p{Ll}+\p{Lu}/u.test(word) ? word : word.toLowerCase();
/** A heading as it stands within a sentence. */
export const within = (heading: string): string => {
  const [first, ...rest] = heading.split(' ');
  return [lower(first), ...rest].join(' ');
};

const opensObject = (word: string | undefined): boolean =>
  word !== undefined && (isDeterminer(word.toLowerCase()) || POSSESSIVE.test(word) || /^\d/.test(word));

/** What a heading is: a question, "How to", an order ("Pack your bags"), a doing ("Packing the bags"), a clause, or a noun phrase. */
export function headingKind(heading: string): HeadingKind {
  const text = heading.trim();
  if (/\?$/.test(text)) return 'question';
  if (/^how to\b/i.test(text)) return 'how-to';
  if (OPENS_QUESTION.test(text)) return 'question';
  if (CLAUSE.test(text)) return 'clause';
  const [first = '', second, third] = text.split(/\s+/);
  const word = first.toLowerCase().replace(/[^\p{L}-]/gu, '');
  if (/ing$/.test(word) && isVerb(baseForm(word)) && baseForm(word) !== word) {
    const takes = opensObject(second) || (second !== undefined && PARTICLE.test(second));
    // "Splitting strings" does something; "sleeping bags" and "packing list" are things.
    const plural =
      second !== undefined &&
      third === undefined &&
      /[^s]s$/.test(second) &&
      !/^[nm]$/.test(partOfSpeech(word) ?? '');
    return takes || plural ? 'doing' : 'noun';
  }
  const takesObject =
    opensObject(second) ||
    (second !== undefined && third !== undefined && PARTICLE.test(second) && opensObject(third));
  if (isVerb(word) && baseForm(word) === word && takesObject) return 'order';
  return 'noun';
}

/** A heading as what is to be done ("Mend a hole"); null where it names no doing. */
export function asOrder(heading: string): string | null {
  const text = heading.trim().replace(/[?.:!]+$/, '');
  const kind = headingKind(heading);
  if (kind === 'order') return asHeading(text);
  if (kind === 'how-to') return asHeading(text.replace(/^how to\s+/i, ''));
  const asked = /^how (?:do|can|should) (?:i|you|we)\s+(.+)/i.exec(text);
  if (asked) return asHeading(asked[1]);
  if (kind === 'doing') {
    const [first, ...rest] = text.split(' ');
    return asHeading([baseForm(first.toLowerCase()), ...rest].join(' '));
  }
  return null;
}

/** Clauses that begin like a question and name something. */
const NAMES_BY_ASKING =
  /^(?:how|what|when|where|why|which \w+) (?:to|it|they|you|we|i|one)\b(?! (?:is|are|do|does|did)\b)/i;

/** Whether a heading begins like a question and names something: "What they cost", "How to mend a hole". */
export const isClause = (heading: string): boolean => NAMES_BY_ASKING.test(heading.trim());

/** A heading as a question; null where its grammar gives none that a careful person would write. */
export function asAsked(heading: string): string | null {
  const text = heading.trim().replace(/[.:!]+$/, '');
  if (/\?$/.test(text)) return asHeading(text);
  if (isClause(text) && !/^how to\b/i.test(text)) return asHeading(text);
  if (OPENS_QUESTION.test(text)) return `${asHeading(text)}?`;
  const order = asOrder(heading);
  return order === null ? null : `How do you ${within(order)}?`;
}

/** Nouns that are not counted, by their last word. */
const MASS =
  /(?:^|\s)(?:gear|equipment|clothing|clothes|food|water|pressure|insurance|advice|software|hardware|luggage|weather|maintenance|safety|traffic|money|rain|wind|training|research|marketing|seo|data|information|music|art|furniture|news|progress|travel|housing|knowledge)$|(?:ing|ness|ity|ance|ence|ism)$/i;

/** A query as a question about what it is; null for a query that is something to do. */
export function whatIs(query: string): string | null {
  const text = within(query.trim());
  if (headingKind(text) !== 'noun') return null;
  const last = text.split(' ').at(-1)!.toLowerCase();
  if (/[^su]s$/.test(last)) return `What are ${text}?`;
  if (MASS.test(text)) return `What is ${text}?`;
  return `What is ${/^[aeiou]/i.test(text) ? 'an' : 'a'} ${text}?`;
}

/** The doing that a query asks for ("plan a bike tour"), without "how to"; null where it names a thing. */
export function doingOf(query: string): string | null {
  const order = asOrder(query);
  if (order !== null) return within(order);
  const [first = '', ...rest] = query.trim().toLowerCase().split(/\s+/);
  // "Fix flat tyre" is typed without its article.
  return partOfSpeech(first) === 'v' &&
    baseForm(first) === first &&
    rest.length > 0 &&
    !isFunctionWord(rest[0])
    ? query.trim()
    : null;
}

const CONTRACTIONS: readonly (readonly [RegExp, string])[] = [
  [/\bcan['’]t\b/gi, 'cannot'],
  [/\bwon['’]t\b/gi, 'will not'],
  [/n['’]t\b/gi, ' not'],
  [/\b(it|that|what|who|there|here|how|where)['’]s\b/gi, '$1 is'],
  [/['’]re\b/gi, ' are'],
  [/['’]ve\b/gi, ' have'],
  [/['’]ll\b/gi, ' will'],
];

/** A heading in formal words: nothing contracted, nobody addressed. */
export function formalHeading(heading: string): string {
  let text = heading;
  for (const [pattern, words] of CONTRACTIONS) text = text.replace(pattern, words);
  return asHeading(
    text
      .replace(/^How (?:do|can|should) (?:you|i|we) (.+?)\?$/i, 'How to $1')
      .replace(/\byour\b/gi, 'the')
      .replace(/\bdo you need\b/gi, 'is needed')
      .replace(/\byou need\b/gi, 'is needed'),
  );
}
