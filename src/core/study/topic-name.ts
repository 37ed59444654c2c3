import { isFunctionWord, isMostlyVerb, sentenceCase, stem } from '../language/index.ts';
import { isExpositoryWord } from '../meaning/index.ts';

/** A name is no longer than so many words, where a shorter one is there. */
const LONGEST = 7;
/** A page that speaks of itself, of its reader's place in it, or of a figure of its own names no topic of several pages. */
const OWN_VOICE = /\b(?:we|our|ours|us|i|my|me|mine|this (?:page|guide|article|chapter|section|post))\b|\d/i;
/** What points outside the heading. */
const POINTING =
  /^(?:if|when|before|after|by|while|until)\b|\b(?:them|it|its|these|those|this|that|which|extra|here|your|you)\b/i;
const ASKS = /\?\s*$/;
const OF_CODE = /[(){}[\]<>`_=/\\]|\p{Ll}\p{Lu}/u;

/** A heading without what only its own page needs: "Using the rack" is about the rack. */
const trimmed = (heading: string): string =>
  heading
    .replace(/\s*[:–—|].*$/, (tail) => (tail.length > heading.length * 0.6 ? tail : ''))
    .replace(
      /^(?:and |but |then |so |a |an |the |some |more |on |about |details? (?:on|of|about) |introduction to |overview of )+/i,
      '',
    )
    .replace(/[.:;,]+$/, '')
    .trim();

/**
 * The name of a topic: of the headings of its sections the one that holds most of what they share and least besides, in
 * the form of a heading. `mattersOf` gives the matters that a heading names, words of one matter as one. A page's own voice, figures, code and questions are no name where another is there.
 */
export function topicName(
  headings: readonly string[],
  mattersOf: (heading: string) => ReadonlySet<number>,
): string {
  const candidates = new Map<string, { heading: string; stems: ReadonlySet<number> }>();
  const all = headings.map(mattersOf);
  for (const heading of headings) {
    const bare = trimmed(heading);
    if (!bare) continue;
    candidates.set(bare.toLowerCase(), { heading: bare, stems: mattersOf(bare) });
  }
  let best = headings[0] ?? '';
  let most = -Infinity;
  for (const { heading, stems } of candidates.values()) {
    const words = heading.split(/\s+/);
    let value = 0;
    for (const other of all) {
      let shared = 0;
      for (const each of stems) if (other.has(each)) shared += 1;
      value += shared === 0 ? 0 : (2 * shared) / (stems.size + other.size);
    }
    value /= Math.max(1, all.length);
    if (stems.size === 0) value -= 1;
    if (OWN_VOICE.test(heading)) value -= 0.3;
    if (ASKS.test(heading)) value -= 0.12;
    if (POINTING.test(heading)) value -= 0.2;
    if (OF_CODE.test(heading)) value -= 0.6;
    value -= 0.015 * Math.max(0, words.length - 3);
    if (words.length > LONGEST) value -= 0.04 * (words.length - LONGEST);
    if (
      [...words].every((word) => isExpositoryWord(word.toLowerCase()) || isFunctionWord(word.toLowerCase()))
    )
      value -= 0.25;
    // A name of things stands before an order or a bare verb.
    if (words.length > 1 && isMostlyVerb(words[0].toLowerCase())) value -= 0.03;
    if (value > most + 1e-9) {
      most = value;
      best = heading;
    }
  }
  return sentenceCase(best);
}

/** Whether a heading can name a topic at all. */
export const isNaming = (name: string): boolean => !OF_CODE.test(name) && /\p{L}{3}/u.test(name);

/** Whether a heading speaks of its own page and not of a subject: "Our choice", "How we tested". */
export const isOwnVoice = (name: string): boolean => OWN_VOICE.test(name);

/** Words that headings of whatever sections share. */
const SHARED_BY_ALL = new Set(
  'begin start ask question frequently every room one first next'.split(' ').map(stem),
);

/** Whether two headings name one matter, words that any headings share aside; of the same words they do. */
export function nameOne(
  a: string,
  b: string,
  mattersOf: (heading: string) => ReadonlySet<number>,
  textOf: (matter: number) => string,
): boolean {
  if (trimmed(a).toLowerCase() === trimmed(b).toLowerCase()) return true;
  const theirs = mattersOf(b);
  return [...mattersOf(a)].some((each) => theirs.has(each) && !SHARED_BY_ALL.has(textOf(each)));
}
