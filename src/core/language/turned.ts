import { goesOn, type Occurrence, ownWords, type Sentence } from './between.ts';
import { directionOf, isWay } from './direction.ts';
import { knownWords } from './known-words.ts';
import type { Phrase } from './phrase.ts';
import { Gap } from './tokens.ts';
import { isDeterminer, isJoining, isPronoun, mayTakeArticle } from './word-classes.ts';

/** Words of one compound that stand together, in the order of the text. */
interface Part {
  occurrences: Occurrence[];
  /** The preposition before it; null before the first part and where there is none. */
  preposition: string | null;
}

/**
 * A phrase with its words in another order, from the occurrence at `place` on: its parts turned round with a preposition
 * between them ("plan for a half marathon"), the word that the phrase is about first, or all its words side by side
 * ("London hotels"). Null where the words only happen to stand near each other.
 */
export function turnedRound(
  phrase: Phrase,
  sentence: Sentence,
  all: readonly Occurrence[],
  place: number,
): { first: number; last: number } | null {
  const start = all[place];
  let mask = maskOf(start);
  const full = 2 ** phrase.slots.length - 1;
  const parts: Part[] = [{ occurrences: [start], preposition: null }];
  let last = start;
  let hasOpenEnd = false;
  for (let at = place + 1; mask !== full; at++) {
    const next = all[at];
    // They stand in the order of the text: none that comes later is near again.
    if (!next || next.first - last.last > 1 + longestOwn(phrase)) return null;
    if (next.first <= last.last || mask & maskOf(next)) continue;
    const hop = hopTo(phrase, sentence, last, next);
    if (!hop) continue;
    hasOpenEnd ||= hop.article || hop.preposition === 'to' || hop.preposition === 'about';
    if (hop.preposition === null) parts[parts.length - 1].occurrences.push(next);
    else parts.push({ occurrences: [next], preposition: hop.preposition });
    mask |= maskOf(next);
    last = next;
  }
  const fits =
    parts.length === 1
      ? fitsSideBySide(phrase, parts[0])
      : fitsTurned(phrase, sentence, parts) &&
        !(hasOpenEnd && goesOn(sentence, last.last)) &&
        !takesObject(sentence, last.last) &&
        !isRequest(sentence, start.first) &&
        // "We care about skin" is no skin care.
        !isPronounBefore(sentence, start.first);
  return fits ? { first: start.first, last: last.last } : null;
}

/** The slots that a word stands for, a bit each. */
export function maskOf({ from, to }: Occurrence): number {
  let mask = 0;
  for (let slot = from; slot <= to; slot++) mask |= 2 ** slot;
  return mask;
}

const longestOwn = (phrase: Phrase): number => {
  let longest = 2;
  for (let slot = 0; slot + 1 < phrase.slots.length; slot++)
    longest = Math.max(longest, phrase.slots[slot + 1].token - phrase.slots[slot].token - 1);
  return longest;
};

/** What stands between two words of a turned phrase: nothing, the phrase's own words, or a preposition with its article. */
function hopTo(
  phrase: Phrase,
  { tokens, vocabulary }: Sentence,
  left: Occurrence,
  right: Occurrence,
): { preposition: string | null; article: boolean } | null {
  const between: string[] = [];
  for (let at = left.last + 1; at <= right.first; at++) {
    if (tokens.gaps[at] === Gap.Clause) return null;
    if (at < right.first) between.push(vocabulary.form(tokens.ids[at]));
  }
  if (between.length === 0) return { preposition: null, article: false };
  if (right.from === left.to + 1 && between.join(' ') === ownWords(phrase, left.to).join(' '))
    return { preposition: null, article: false };
  const [first, second, ...more] = between;
  if (more.length > 0 || !isJoining(first)) return null;
  if (second === undefined) return { preposition: first, article: false };
  return isDeterminer(second) && mayTakeArticle(first) ? { preposition: first, article: true } : null;
}

/** Slots after which the phrase has a preposition of its own. */
const ownJoints = (phrase: Phrase): { slot: number; forms: string[] }[] =>
  phrase.slots.slice(0, -1).flatMap((_, slot) => {
    const forms = ownWords(phrase, slot).filter((form) => isJoining(form) || directionOf(form) !== 'none');
    return forms.length > 0 ? [{ slot, forms }] : [];
  });

function fitsSideBySide(phrase: Phrase, { occurrences }: Part): boolean {
  const joints = ownJoints(phrase);
  if (joints.length === 0) return true;
  // "boots for kids" is "kids boots"; "word to pdf" never "pdf word".
  if (joints.some(({ forms }) => forms.some(isWay))) return false;
  const place = placesOf(phrase, occurrences);
  const head = joints[0].slot;
  return place[head] === place.length - 1;
}

/** Where each slot stands among the words of the text. */
function placesOf(phrase: Phrase, occurrences: readonly Occurrence[]): number[] {
  const place = new Array<number>(phrase.slots.length).fill(0);
  let at = 0;
  for (const { from, to } of occurrences) for (let slot = from; slot <= to; slot++) place[slot] = at++;
  return place;
}

const OF_VERBS: ReadonlySet<string> = new Set(['to', 'on', 'by']);

function fitsTurned(phrase: Phrase, { tokens, vocabulary }: Sentence, parts: readonly Part[]): boolean {
  for (const { occurrences } of parts) {
    for (let at = 1; at < occurrences.length; at++) {
      const [left, right] = [occurrences[at - 1], occurrences[at]];
      if (right.from === left.to + 1) continue;
      // "training dogs" for "dog training"
      if (right.to === left.from - 1 && /ing$/.test(vocabulary.form(tokens.ids[left.last]))) continue;
      return false;
    }
    const slots = occurrences.flatMap(({ from, to }) => [from, to]);
    const count = occurrences.reduce((sum, { from, to }) => sum + to - from + 1, 0);
    if (Math.max(...slots) - Math.min(...slots) + 1 !== count) return false;
  }
  const joints = ownJoints(phrase);
  const last = phrase.slots.length - 1;
  const heads = joints.length === 0 ? [last] : [joints[0].slot];
  // "buy to let rates", "carry on luggage": the little word belongs to a verb.
  if (joints[0]?.forms.every((form) => OF_VERBS.has(form))) heads.push(last);
  const partOf = new Array<number>(phrase.slots.length).fill(0);
  parts.forEach(({ occurrences }, part) => {
    for (const { from, to } of occurrences) for (let slot = from; slot <= to; slot++) partOf[slot] = part;
  });
  if (!heads.some((head) => partOf[head] === 0)) return false;
  return joints.every(({ slot, forms }) => {
    const direction = forms.map(directionOf).find((each) => each !== 'none');
    if (direction === undefined || partOf[slot] === partOf[slot + 1]) return true;
    const turned = parts[partOf[slot + 1]].preposition;
    const given = turned === null ? 'none' : directionOf(turned);
    if (partOf[slot] > partOf[slot + 1]) return false;
    return given === direction || (given === 'none' && !forms.some(isWay));
  });
}

/** "Aid for hearing the case": the last word is a verb with its object. */
const takesObject = ({ tokens, vocabulary }: Sentence, last: number): boolean =>
  last + 1 < tokens.length &&
  tokens.sentences[last + 1] === tokens.sentences[last] &&
  /ing$/.test(vocabulary.form(tokens.ids[last])) &&
  isDeterminer(vocabulary.form(tokens.ids[last + 1]));

/** "Plan to diet", "Account for your savings": a sentence that opens so tells the reader to do something. */
const isRequest = ({ tokens, vocabulary }: Sentence, first: number): boolean => {
  if (first > 0 && tokens.sentences[first - 1] === tokens.sentences[first]) return false;
  const next = (at: number) => (first + at < tokens.length ? vocabulary.form(tokens.ids[first + at]) : '');
  return (
    knownWords().verbs.has(vocabulary.normal(tokens.ids[first])) &&
    (next(1) === 'to' || (next(1) === 'for' && next(2) === 'your'))
  );
};

const isPronounBefore = ({ tokens, vocabulary }: Sentence, first: number): boolean =>
  first > 0 &&
  tokens.sentences[first - 1] === tokens.sentences[first] &&
  isPronoun(vocabulary.form(tokens.ids[first - 1]));
