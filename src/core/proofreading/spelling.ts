import type { LanguageRemark } from './language-remark.ts';
import type { Speller } from './speller.ts';

/** Letters beyond which nothing is a word. */
const LONGEST_WORD = 40;
const WORD = /[\p{L}\p{M}]+(?:['’][\p{L}\p{M}]+)*/gu;

/** Names that are often written wrong and have a capital: an unknown word with a capital is else taken for a name. */
const KNOWN_NAMES: ReadonlySet<string> = new Set(
  (
    'monday tuesday wednesday thursday friday saturday sunday january february march april june july august september october ' +
    'november december england scotland britain british ireland germany france italy spain portugal netherlands belgium ' +
    'switzerland austria norway sweden denmark finland poland europe european america american australia australian africa ' +
    'african english french german italian spanish portuguese mediterranean caribbean internet'
  ).split(' '),
);

/** Whether two words differ by one letter more, less, other, or by two that changed places. */
export function isOneSlipApart(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1 || a === b) return false;
  let from = 0;
  while (from < a.length && from < b.length && a[from] === b[from]) from += 1;
  const [restA, restB] = [a.slice(from), b.slice(from)];
  if (restA.slice(1) === restB.slice(1) || restA.slice(1) === restB || restA === restB.slice(1)) return true;
  return restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2);
}

/** The day, month or land that a word with a capital is one slip, or a long one two, away from; null: none. */
function miswrittenName(lower: string): string | null {
  if (lower.length < 5) return null;
  for (const name of KNOWN_NAMES) {
    if (name === lower) return null;
    if (isOneSlipApart(lower, name) || (name.length > 7 && isTwoLettersShort(lower, name)))
      return name.charAt(0).toUpperCase() + name.slice(1);
  }
  return null;
}

/** Whether a word is another without two of its letters: "Wensday". */
function isTwoLettersShort(written: string, whole: string): boolean {
  if (whole.length - written.length !== 2) return false;
  let at = 0;
  for (const letter of whole) if (letter === written[at]) at += 1;
  return at === written.length;
}

/** A remark on spelling, as one paragraph alone can tell. */
export interface SpellingRemark extends LanguageRemark {
  /** It begins a sentence with a capital: it is no remark where it stands elsewhere as a name. */
  mayBeName: boolean;
}

/**
 * Words that the dictionary does not have: those that are one slip from a common word as `spelling`, the others, mostly terms,
 * as `unknown`. All in capitals, with figures, of one letter, or hidden: not judged. An unknown word with a capital
 * is a name, unless it is one slip away from a day, a month or a land, or begins a sentence and is near a common word.
 * `starts` are the offsets at which sentences begin.
 */
export function spellingRemarks(
  masked: string,
  starts: ReadonlySet<number>,
  speller: Speller,
): SpellingRemark[] {
  // A word or two with a capital: a label, a name of a thing.
  const isLabel = !/\S\s+\S+\s+\S/.test(masked);
  const remarks: SpellingRemark[] = [];
  for (const hit of masked.matchAll(WORD)) {
    const [word] = hit;
    const start = hit.index;
    const end = start + word.length;
    // Most words are right: nothing else is asked of those.
    if (word.length < 2 || word.length > LONGEST_WORD || speller.isRight(word)) continue;
    if (!/\p{Script=Latin}/u.test(word)) continue;
    if (/[\p{N}\uE000]/u.test(masked[start - 1] ?? ' ') || /[\p{N}\uE000]/u.test(masked[end] ?? ' '))
      continue;
    if (word === word.toUpperCase() || /^\p{Lu}+s$/u.test(word)) continue;
    // "nmap(1)": a page of a manual.
    if (/^\(\d/.test(masked.slice(end, end + 2))) continue;
    const inCompound = masked[start - 1] === '-' || masked[end] === '-';
    let near = inCompound ? [] : speller.near(word);
    const lower = word.toLowerCase();
    let mayBeName = false;
    if (/^\p{Lu}/u.test(word)) {
      const isName = !starts.has(start) || near.length === 0 || isLabel;
      const meant = miswrittenName(lower);
      if (isName ? meant === null : speller.isRight(lower)) continue;
      if (meant !== null) near = [meant];
      mayBeName = meant === null;
    }
    // "e-bikes", "co-ops": a part of a compound of one letter is no word of its own; the whole may be known.
    if (partOfKnownCompound(masked, start, end, speller)) continue;
    remarks.push({
      kind: near.length > 0 ? 'spelling' : 'unknown',
      start,
      end,
      quote: word,
      says: near.length > 0 ? `Perhaps “${near[0]}”.` : 'Not in the dictionary.',
      instead: near,
      mayBeName,
    });
  }
  return remarks;
}

function partOfKnownCompound(masked: string, start: number, end: number, speller: Speller): boolean {
  if (masked[start - 1] !== '-' && masked[end] !== '-') return false;
  const from = /[\p{L}\p{M}'’-]*$/u.exec(masked.slice(Math.max(0, start - 40), start))![0].length;
  const to = /^[\p{L}\p{M}'’-]*/u.exec(masked.slice(end, end + 40))![0].length;
  return speller.isRight(masked.slice(start - from, end + to));
}
