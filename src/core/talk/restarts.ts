import { isAuxiliary, isDeterminer, isFunctionWord, isJoining } from '../language/index.ts';
import { crossesTurn, isVerbForm, type Marking, matchesAt, REST } from './marking.ts';
import { isTelling } from './telling.ts';

/** What is often said twice and meant so. */
const DOUBLED = new Set(
  'had that very really so no yes bye far far long many again never more big much out in on over two three ha la knock there now come go well too'.split(
    ' ',
  ),
);
/** Words with which the speaker takes back what came before. */
const CORRECTIONS: readonly (readonly string[])[] = [
  ['no', 'sorry'],
  ['sorry', 'i', 'mean'],
  ['no', 'wait'],
  ['or', 'rather'],
  ['sorry'],
  ['i', 'mean'],
];
/** How far back what is taken back may begin. */
const TAKEN_BACK = 6;
const isNumber = (form: string) => /\p{N}/u.test(form);

/** A word broken off: "pan- panniers", "the be– the best". */
export function markBrokenWords(marking: Marking): void {
  marking.words.forEach(({ form, after }, at) => {
    if (marking.left[at] !== null || !/^[-–—]+$|^\.{2,}$|^…$/.test(after)) return;
    const next = marking.form(marking.next(at + 1));
    if (/^-$/.test(after) && !marking.words[at].glued && form.length < next.length && next.startsWith(form))
      marking.leave(at, at + 1, 'restart');
  });
}

const LONGEST_REPEAT = 5;

/** Runs of one to five words said again at once, with fillers between them or not. */
export function markRepeats(marking: Marking): void {
  const { words } = marking;
  for (let length = LONGEST_REPEAT; length >= 1; length--) {
    const standing = marking.standing();
    for (let place = 0; place + 2 * length <= standing.length; place++) {
      let same = 0;
      while (
        same < length &&
        words[standing[place + same]].form === words[standing[place + length + same]].form
      )
        same += 1;
      if (same < length) continue;
      const first = standing.slice(place, place + length);
      const [from, again] = [first[0], standing[place + length]];
      if (
        first.some((at) => /[.!?]/.test(words[at].after)) ||
        crossesTurn(words, from, standing[place + 2 * length - 1] + 1)
      )
        continue;
      const forms = first.map((at) => words[at].form);
      const atOnce = again === first[length - 1] + 1;
      if (forms.every(isNumber)) continue;
      // A phrase without any small word is said again to be heard: "twenty six kilos".
      if (
        length > 1 &&
        atOnce &&
        !forms.some((form) => isFunctionWord(form) || isAuxiliary(form) || /'/.test(form))
      )
        continue;
      // "it's not a service. A service is": a new sentence takes the word up.
      const goesOn = standing[place + 2 * length];
      const rest = goesOn !== undefined && isAuxiliary(words[goesOn].form) ? REST / 3 : REST;
      if (forms.some(isTelling) && atOnce && words[again].pause >= rest) continue;
      if (length === 1 && DOUBLED.has(forms[0]) && again === from + 1) continue;
      marking.leave(from, again, 'repeat');
      standing.splice(place, length);
      place -= 1;
    }
  }
}

/** "on Monday sorry on Tuesday", "three I mean four": what is taken back, and the words that take it back. */
export function markCorrections(marking: Marking): void {
  const { words } = marking;
  for (let at = 1; at < words.length; at++) {
    if (words[at].turn || marking.begins(at)) continue;
    for (const run of CORRECTIONS) {
      const to = matchesAt(marking, at, run);
      if (to === -1) continue;
      const next = marking.next(to);
      const form = marking.form(next);
      if (!form || words[next].turn || marking.begins(next)) break;
      let from = -1;
      let back = marking.before(at);
      for (let steps = 0; steps < TAKEN_BACK && back >= 0; steps++) {
        if (marking.form(back) === form || bothNumbers(marking.form(back), form, steps)) {
          from = back;
          break;
        }
        if (marking.begins(back)) break;
        back = marking.before(back);
      }
      if (from === -1) break;
      marking.leave(from, next, 'restart');
      break;
    }
  }
}

const NUMBER_WORDS = new Set(
  'one two three four five six seven eight nine ten eleven twelve fifteen twenty thirty forty fifty sixty seventy eighty ninety hundred monday tuesday wednesday thursday friday saturday sunday'.split(
    ' ',
  ),
);
/** One number, or one day, in place of another. */
const bothNumbers = (one: string, other: string, steps: number): boolean =>
  steps === 0 && ((isNumber(one) && isNumber(other)) || (NUMBER_WORDS.has(one) && NUMBER_WORDS.has(other)));

/** Words with which a clause begins and with which it is begun anew. */
const RESTARTS =
  /^(?:i|you|we|he|she|they|it|i'm|you're|we're|they're|it's|i've|you've|we've|i'll|you'll|we'll|that|that's|there|there's|the|a|an|this|these|those|if|when|because|so|and|but|to|in|on|of|for|with|at|from|what|how|your|my|our)$/;
const FIRST_FORM = /^(i|you|we|he|she|they|it|that|there)(?:'.*)?$/;
/** Words that a beginning may hold besides the first before it is begun anew. */
const BEGUN = 3;

const isSmall = (form: string): boolean =>
  isFunctionWord(form) ||
  isAuxiliary(form) ||
  isDeterminer(form) ||
  isJoining(form) ||
  /'/.test(form) ||
  /^(?:just|really|not|don't|want|wanna|gonna|going|think|say|know|need|like|go|get|put|use|make|take)$/.test(
    form,
  );

/** "you can you should", "if you if it's": small words begun and begun anew with the same first word. */
export function markRestarts(marking: Marking): void {
  const { words } = marking;
  for (let at = 0; at < words.length; at++) {
    if (marking.left[at] !== null || !RESTARTS.test(marking.form(at))) continue;
    const form = marking.form(at);
    const root = FIRST_FORM.exec(form)?.[1] ?? form;
    let here = at;
    for (let steps = 0; steps <= BEGUN; steps++) {
      if (/[.!?]/.test(words[here].after)) break;
      const next = marking.next(here + 1);
      if (next >= words.length || words[next].turn) break;
      const other = marking.form(next);
      const again = other === form || (FIRST_FORM.exec(other)?.[1] ?? other) === root;
      if (
        (steps > 0 || isShortOf(marking, at, next)) &&
        again &&
        RESTARTS.test(other) &&
        isBegunAnew(marking, at, here, next)
      ) {
        marking.leave(at, next, 'restart');
        break;
      }
      // "of those were because of": a preposition is taken up anew at once, or not at all.
      if (!MAY_REACH.test(root) && (steps >= 1 || isAuxiliary(other) || FIRST_FORM.test(other))) break;
      // What tells something is not only a beginning, unless it is broken off in the source.
      if (!isSmall(other) && !brokenOff(words[next].after)) break;
      here = next;
    }
  }
}

const brokenOff = (after: string): boolean => /^(?:-|--|–|—|\.{2,}|…)$/.test(after);

/** Words after which a clause cannot end: what follows them anew was a beginning. */
const OPEN_END =
  /^(?:the|a|an|to|of|for|with|in|on|at|from|by|and|or|but|so|because|if|when|that|which|who|my|your|our|their|his|her|its|is|are|was|were|i'm|you're|we're|they're|it's|that's|there's|he's|she's|can|could|should|would|will|must|i|we|they|he|she|gonna|wanna|don't|can't|won't|i've|we've|you've|i'd|you'd|we'd|i'll|you'll|we'll|just|really|very|want|need)$/;

/** Words that may begin a clause, which some words belong to before it is begun anew. */
const MAY_REACH = /^(?:i|you|we|he|she|they|it|there|if|when|because|so|that)$/;
/** Seconds of silence behind which a word does not belong to what stands before it. */
const BREATH = 0.25;

/** "you'll you will", "it's it is": the short form and the full one, in one breath. "it. It's" are two sentences. */
const isShortOf = (marking: Marking, at: number, next: number): boolean =>
  next === at + 1 &&
  marking.words[next].pause < BREATH &&
  marking.form(at) !== marking.form(next) &&
  /'/.test(marking.form(at)) &&
  !/^(?:that|there)/.test(marking.form(at));

function isBegunAnew(marking: Marking, from: number, last: number, next: number): boolean {
  const { words } = marking;
  if (brokenOff(words[last].after)) return true;
  const end = marking.form(last);
  const first = marking.form(from);
  const onlyWho =
    /^(?:if|when|because|so)$/.test(first) && /^(?:you|it)$/.test(end) && marking.next(from + 1) === last;
  if (!OPEN_END.test(end) && !onlyWho && last !== from) return false;
  const again = marking.form(next);
  // "any of it, not any of it": only what does something is begun anew.
  const follows = marking.form(marking.next(next + 1));
  const acts = isVerbForm(follows) || /n't$|^(?:just|really|never|always|also|\w+ly)$/.test(follows);
  if (/^(?:it|you|that)$/.test(again) && !acts) return false;
  // "the first thing I do is I let": what is named follows.
  if (/^(?:is|was)$/.test(end) && last !== from)
    return first === again && /^(?:it|that|there|this)$/.test(first);
  // "to the … to the", "it's … it's" are plain; "you that you", "so that the" go on.
  const goesOn = new Set(['that', 'if', 'because', 'when', 'and', 'so', 'but', 'or', 'which', 'who', 'to']);
  if (goesOn.has(end) && FIRST_FORM.test(again))
    return first === again && from + 1 !== last && !FIRST_FORM.test(first);
  if (/^(?:and|so|but|the|a|an|of|in|on|for|with|at|from|is|are|was)$/.test(first) && first === end)
    return true;
  return true;
}
