import { baseForm, isAuxiliary, partOfSpeech } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import type { LeftWhy } from './marking.ts';
import { sentenceBegin } from './sentence-begin.ts';
import { AUX_START, isNoun, isVerb, worded } from './sentence-rules.ts';
import type { SpokenWord } from './spoken-words.ts';

/** A sentence of a talk: the indices of its words that stay, in order. */
export type SpokenSentence = readonly number[];

/** A transcript with a mark at an end in so many words has marks of its own. */
const MARKED = 1 / 45;
const ENDS = /[.!?…。！？]["”’)\]]*$/;
const ABBREVIATION = /^(?:mr|mrs|ms|dr|st|vs|etc|e\.?g|i\.?e|approx|fig)$/;

/** Whether a transcript has stops of its own. */
export const isMarked = (words: readonly SpokenWord[]): boolean =>
  words.filter(({ after }) => ENDS.test(after)).length >= words.length * MARKED;

/** What silence, speakers and marks say of a sentence's beginning at a word: above 0 for, below against. */
function heard(words: readonly SpokenWord[], kept: readonly number[], at: number): number {
  let pause = 0;
  for (let index = kept[at - 1] + 1; index <= kept[at]; index++) {
    if (words[index].turn) return SURE;
    pause = Math.max(pause, words[index].pause);
  }
  let score = 0;
  if (pause >= 1.2) score += 4;
  else if (pause >= 0.7) score += 3;
  else if (pause >= 0.4) score += 1.8;
  else if (pause >= 0.2) score += 0.6;
  if (words[kept[at]].cue !== words[kept[at - 1]].cue) score += 0.3;
  if (kept[at] - kept[at - 1] > 1) score += 0.8;
  if (ENDS.test(words[kept[at - 1]].after)) score += 6;
  return score;
}

/** Another speaker begins a sentence whatever else. */
const SURE = 100;

/** Words of the longest sentence that is looked for. */
const LONGEST = 60;
/** How much counts what rules say, what was learned, and a sentence's shape, beside what is heard; and what speaks for a beginning anywhere. */
const RULES = 0.6;
/** Where so little speaks for it no sentence begins. */
const HOPELESS = -3;
const LEARNED = 0.25;
const SHAPE = 0.6;
const BIAS = 1.4;
/** What a sentence loses without a verb, with a clause that waits, for each clause that nothing joins. */
const NO_VERB = 3.5;
const WAITING = 5;
const RUN_ON = 2;

/** Words that join clauses, or begin one within another. */
const JOINS = anyOf(
  'and but so because if when that which who whose what how where while before after until till or than as once unless though although whatever why whether since cause',
);

const WAITS = anyOf('if when once because although though while unless whenever');

/** How far a word is the verb of a clause, 0-1: infinitives, participles and what stands behind a modal are none. */
function finite(form: string, before: string): number {
  if (before === 'to' || MODAL.test(before) || isAuxiliary(before)) return 0;
  if (
    /'(?:re|m|ll|ve|d|t)$/.test(form) ||
    /^(?:it|that|there|he|she|what|who|where|how|here|let)'s$/.test(form)
  )
    return 1;
  if (/^(?:been|being|be)$/.test(form)) return 0;
  if (isAuxiliary(form)) return 1;
  const part = partOfSpeech(form);
  if (/^(?:i|you|we|they)$/.test(before) && (part === 'v' || part === 'm')) return 1;
  if (/s$/.test(form)) {
    const base = partOfSpeech(baseForm(form));
    return base === 'v' ? 1 : base === 'm' && (isNoun(before) || /^(?:it|he|she)$/.test(before)) ? 0.4 : 0;
  }
  if (/ed$/.test(form)) return /^(?:i|you|we|they|he|she|it)$/.test(before) ? 1 : 0.3;
  return isPast(form) ? 0.9 : 0;
}
const MODAL = anyOf(
  "can could will would shall should may might must don't doesn't didn't can't won't couldn't wouldn't shouldn't let's gonna i'll you'll we'll they'll it'll i'd you'd we'd",
);
/** An irregular past: "went", "took". */
const isPast = (form: string): boolean => {
  const base = baseForm(form);
  return base !== form && !/(?:s|ing|ed|er|est|en)$/.test(form) && /^[vm]$/.test(partOfSpeech(base) ?? '');
};

/** Sums over the words up to each place, for what a sentence from one to another holds. */
interface Sums {
  verbs: number[];
  finite: number[];
  joins: number[];
  /** Whether a sentence that begins there waits for another clause. */
  waits: boolean[];
}

/** What a sentence from one kept word to another is worth by itself: it wants one verb for each clause, and a length that can be read. */
function shape(sums: Sums, from: number, to: number): number {
  const { verbs, finite, joins } = sums;
  const length = to - from;
  let score = 0;
  if (verbs[to] === verbs[from]) score -= NO_VERB;
  // "If it rains" waits for what then.
  if (sums.waits[from] && finite[to] - finite[from] < 1.5) score -= WAITING;
  if (length < 3) score -= 2.5;
  else if (length < 5) score -= 1;
  if (length > 20) score -= 0.14 * (length - 20);
  if (length > 32) score -= 0.3 * (length - 32);
  // What joins two clauses stands between them, not in front.
  const excess = finite[to] - finite[from] - 1 - (joins[to] - joins[Math.min(to, from + 1)]);
  if (excess > 0) score -= RUN_ON * excess;
  return score * SHAPE;
}

/** Sentences of words without marks: the best parting by pauses, by what can begin and end a sentence, and by length. */
function parted(words: readonly SpokenWord[], kept: readonly number[]): SpokenSentence[] {
  const forms = kept.map((index) => words[index].form);
  const sums: Sums = { verbs: [0], finite: [0], joins: [0], waits: forms.map((form) => WAITS.test(form)) };
  forms.forEach((form, at) => {
    sums.verbs.push(sums.verbs[at] + (isVerb(form) ? 1 : 0));
    sums.finite.push(sums.finite[at] + finite(form, forms[at - 1] ?? ''));
    sums.joins.push(sums.joins[at] + (JOINS.test(form) ? 1 : 0));
  });
  const begins = kept.map((_, at) => {
    if (at === 0) return 0;
    const told = heard(words, kept, at) + RULES * worded(words, kept, at) + BIAS;
    // What was learned cannot make up for that.
    return told < HOPELESS - 2 ? told : told + LEARNED * sentenceBegin(forms, at);
  });
  const best = new Float64Array(kept.length + 1).fill(Number.NEGATIVE_INFINITY);
  const from = new Int32Array(kept.length + 1);
  best[0] = 0;
  // Only places at which a sentence may begin at all, and one where there would be none.
  const places: number[] = [0];
  for (let at = 1; at <= kept.length; at++)
    if (at === kept.length || begins[at] > HOPELESS || at - places[places.length - 1] >= LONGEST)
      places.push(at);
  for (let end = 1; end < places.length; end++) {
    const to = places[end];
    for (let start = end - 1; start >= 0 && places[start] >= to - LONGEST; start--) {
      const at = places[start];
      const value = best[at] + begins[at] + shape(sums, at, to);
      if (value > best[to]) {
        best[to] = value;
        from[to] = at;
      }
      if (begins[at] >= SURE / 2) break;
    }
  }
  const out: SpokenSentence[] = [];
  for (let to = kept.length; to > 0; to = from[to]) out.push(kept.slice(from[to], to));
  return out.reverse();
}

/** Sentences by the marks that the transcript has. */
function byMarks(words: readonly SpokenWord[], kept: readonly number[]): SpokenSentence[] {
  const out: number[][] = [];
  let open: number[] = [];
  kept.forEach((index, at) => {
    if (open.length > 0) {
      const last = kept[at - 1];
      let ends = false;
      for (let between = last; between < index; between++) {
        const { after, form } = words[between];
        if (ENDS.test(after) && !(ABBREVIATION.test(form) && /^\.$/.test(after))) ends = true;
      }
      for (let between = last + 1; between <= index; between++) if (words[between].turn) ends = true;
      const isLower = /^\p{Ll}/u.test(words[index].text) && !words[index].turn;
      const lone = /^(?:\.{2,}|…)/.test(words[last].after) && isLower && index === last + 1;
      if (ends && !lone) {
        out.push(open);
        open = [];
      }
    }
    open.push(index);
  });
  if (open.length > 0) out.push(open);
  return out;
}

/**
 * The sentences of a talk, of the words that stay: by the transcript's own marks where it has them, else by pauses, speakers and
 * the words with which sentences begin and end. Every word that stays is in exactly one of them.
 */
export function spokenSentences(
  words: readonly SpokenWord[],
  left: readonly (LeftWhy | null)[],
): SpokenSentence[] {
  const kept = words.flatMap((_, at) => (left[at] === null ? [at] : []));
  if (kept.length === 0) return [];
  return isMarked(words) ? byMarks(words, kept) : parted(words, kept);
}

/** Whether words ask: "what do you take", "is it far". */
export function asks(forms: readonly string[]): boolean {
  const [first = '', second = '', third = ''] = /^(?:so|and|but|now|okay|then|well)$/.test(forms[0] ?? '')
    ? forms.slice(1)
    : forms;
  if (/^(?:what's|where's|who's|how's)$/.test(first)) return true;
  if (first === 'which')
    return !AUX_START.test(second) && forms.length > 2 && forms.slice(2).some((form) => AUX_START.test(form));
  if (/^(?:what|how|why|where|who|when)$/.test(first))
    return (
      AUX_START.test(second) ||
      (/^(?:was|were|had|about|if|not|shall|would|must|many|much|far|long|often|heavy|big|old|fast|far|kind|sort)$/.test(
        second,
      ) &&
        !/^(?:you|we|i|it|they)$/.test(third)) ||
      (/^(?:much|many|far|long|often|heavy|big|kind|sort|time|size)$/.test(second) && AUX_START.test(third))
    );
  return (
    /^(?:is|are|was|were|do|does|did|can|could|will|would|should|have|has|don't|doesn't|isn't|aren't|can't|shall)$/.test(
      first,
    ) &&
    /^(?:i|you|we|he|she|it|they|there|this|that|these|those|the|a|an|my|your|people|anyone|anybody|everyone)$/.test(
      second,
    ) &&
    // "Have a look" and "do the front one first" tell what to do.
    !(/^(?:do|have)$/.test(first) && /^(?:the|a|an|this|that|your|it|these)$/.test(second))
  );
}
