import { isAuxiliary, isFunctionWord, plainWords } from '../../language/index.ts';
import type { Change } from './naming.ts';

/** Characters of a sentence that is looked through: a longer one is no sentence. */
const LONGEST = 800;
/** Words that each half of a split sentence needs. */
const LEAST = 6;
const SUBJECT =
  '(?:I|you|we|they|he|she|it|this|that|these|those|there|the|a|an|your|our|my|his|her|its|their|some|many|most|each|every)';
/** Where a sentence can end before its end: at a semicolon, a dash, or a comma with a joining word and a subject. */
const JOINTS = new RegExp(
  `;\\s+(?=[\\p{L}\\p{N}"'“‘])|\\s+[–—]\\s+(?=${SUBJECT}\\b)|,\\s+(?:but|so(?! that\\b)|and(?! that\\b)|yet)\\s+(?=${SUBJECT}\\b)`,
  'giu',
);
/** What begins so belongs to the words before it. */
const TIED =
  /^(?:such|which|who|whose|whom|where|including|especially|particularly|namely|with|without|as|for|and|or|not|nor|like|unlike|rather|even|at least|in particular|e\.g|i\.e|to|by|of|from|than)\b(?! all\b)/i;
/** Endings of words that could be the verb of a clause: its -s form or its past. */
const VERB = /(?:[^s'’]s|ed)$/;

/**
 * Where a long sentence can be two, nearest to its middle: the joint and what stands there after ("…, but we …" becomes
 * "…. But we …"). Null where there is no joint between two clauses of {@link LEAST} words with a subject each.
 */
export function splitOf(sentence: string): Change | null {
  if (sentence.length > LONGEST) return null;
  let best: (Change & { off: number }) | null = null;
  for (const joint of sentence.matchAll(JOINTS)) {
    const before = sentence.slice(0, joint.index);
    const start = joint.index + joint[0].length;
    const after = sentence.slice(start);
    if (plainWords(before).length < LEAST || plainWords(after).length < LEAST) continue;
    if (TIED.test(after)) continue;
    // Inside brackets or a quotation nothing is split, nor is a list of things.
    if (isOpen(before) || !isClause(after) || /:\s[^.]*$/.test(before)) continue;
    const word = /^,\s+(but|so|and|yet)/i.exec(joint[0])?.[1].toLowerCase();
    if (word !== undefined && (isListing(before) || opensSubordinate(before))) continue;
    const kept = word === 'but' || word === 'yet' || word === 'so' ? `${capital(word)} ` : '';
    const text = kept === '' ? `. ${capital(after.charAt(0))}` : `. ${kept}`;
    const off = Math.abs(joint.index - sentence.length / 2);
    if (!best || off < best.off) best = { start: joint.index, end: start + (kept === '' ? 1 : 0), text, off };
  }
  return best && { start: best.start, end: best.end, text: best.text };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const isOpen = (text: string): boolean =>
  (text.match(/[([{“]/g)?.length ?? 0) > (text.match(/[)\]}”]/g)?.length ?? 0) ||
  (text.match(/"/g)?.length ?? 0) % 2 === 1;

/** Whether a verb stands within reach of the subject that opens it. */
function isClause(text: string): boolean {
  const words = plainWords(text.slice(0, 120)).slice(0, 9);
  const pronoun = /^(?:i|you|we|they|he|she|it|there)$/.test(words[0]);
  if (pronoun) return words.length > 1;
  return words
    .slice(1)
    .some((word, at) => isAuxiliary(word) || (at > 0 && !isFunctionWord(word) && VERB.test(word)));
}

/** "If it rains, and the wind gets up": what follows still belongs to the condition. */
const opensSubordinate = (before: string): boolean =>
  /^(?:if|when|while|because|although|though|since|unless|whether|as|after|before|until|once|where)\b/i.test(
    before.trim(),
  ) && !before.includes(',');

/** "the bread, the cheese": a comma earlier, with no verb after it, makes the joint one of a list. */
function isListing(before: string): boolean {
  const last = before.lastIndexOf(',');
  if (last < 0) return false;
  const words = plainWords(before.slice(last + 1));
  return words.length < 6 && !words.some((word) => isAuxiliary(word));
}
