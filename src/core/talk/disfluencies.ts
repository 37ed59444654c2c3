import {
  baseForm,
  isAuxiliary,
  isDeterminer,
  isFunctionWord,
  isJoining,
  partOfSpeech,
} from '../language/index.ts';
import { anyOf } from './any-of.ts';
import type { SpokenWord } from './spoken-words.ts';

/** Why a spoken word does not stand in the written text. */
export type LeftWhy =
  /** "um", "you know". */
  | 'filler'
  /** Said twice. */
  | 'repeat'
  /** Begun and not gone on with. */
  | 'restart'
  /** A "yeah" of somebody who listens. */
  | 'listening';

const HESITATION = /^(?:u+[hm]+|e+r+m*|a+h+|e+h+|h+m+|mm+|mm+-?hm+|uh-?huh|oh+)$/;
/** Runs of words that fill, with what may not stand in front or behind for them to be filling. */
interface Filler {
  words: readonly string[];
  /** Words in front of which, or behind which, it means what it says. */
  notAfter?: RegExp;
  notBefore?: RegExp;
  /** Words behind it with which it fills all the same. */
  but?: RegExp;
  /** Only where a sentence begins or between marks. */
  apart?: true;
}
const filler = (words: string, rest: Omit<Filler, 'words'> = {}): Filler => ({
  words: words.split(' '),
  ...rest,
});

/** A clause of its own follows: "it costs nothing", "that always works". */
const IT_DOES =
  /^(?:it|that|this) (?:\w+ly |always |never |just |really |only )?(?:is|was|has|will|can|does|costs?|works?|takes?|gets?|goes|makes?|needs?|depends|comes|helps?|looks?|feels?|always does|never does)\b/;

const FILLERS: readonly Filler[] = [
  filler('so yeah', {
    notAfter:
      /^(?:think|hope|say|said|says|guess|told|do|did|does|is|was|even|or|believe|suppose|if|just|more)$/,
  }),
  filler('and yeah'),
  filler('you know what i mean'),
  filler('if you know what i mean'),
  filler('you know', {
    notAfter:
      /^(?:do|did|don't|didn't|if|as|let|lets|than|what|all|before|once|when|that|how|because|until|should|would|will|might|could|can|may|must|ones?|people|and|or|of|for|with|to|from|some|many|most|both|none)$/,
    notBefore:
      /^(?:what|how|why|where|when|who|which|whether|if|that|about|your|the|it|this|him|her|them|exactly|already|me|us|of)$/,
    but: IT_DOES,
  }),
  filler('i mean', {
    notAfter: /^(?:what|do|did|that's|how|is|know)$/,
    notBefore: /^(?:it|that|by|to)$/,
    but: IT_DOES,
  }),
  filler('sort of', {
    notAfter:
      /^(?:a|an|the|this|that|some|any|what|which|same|every|each|best|right|wrong|another|one|no|other|different|certain|all|these|those|new)$/,
    notBefore: /^(?:a|an|the|things?|stuff)$/,
    but: /^the (?:most|best|worst|only|same|main|first|last)\b/,
  }),
  filler('kind of', {
    notAfter:
      /^(?:a|an|the|this|that|some|any|what|which|same|every|each|best|right|wrong|another|one|no|other|different|certain|all|these|those|new)$/,
    notBefore: /^(?:a|an|the|things?|stuff)$/,
    but: /^the (?:most|best|worst|only|same|main|first|last)\b/,
  }),
  filler('or whatever'),
  filler('or something like that'),
  filler('and stuff like that'),
  filler('and stuff', { notBefore: /^(?:that|you|we|i|it|from|in)$/ }),
  filler('basically'),
  filler('literally'),
  filler('like', { apart: true }),
  filler('right', { apart: true }),
  filler('actually', { apart: true }),
  filler('obviously', { apart: true }),
  filler('honestly', { apart: true }),
];

/** Words with which a speaker begins to speak and says nothing yet; one of them alone is an answer. */
const OPENERS = new Set([
  'okay',
  'ok',
  'alright',
  'yeah',
  'yep',
  'yup',
  'right',
  'well',
  'anyway',
  'anyways',
  'hey',
]);
/** "All right", in two words. */
const OPENING_PAIRS = new Set(['all right', 'so yeah', 'so okay', 'so ok', 'so um', 'so anyway']);
/** What may follow "well" and "right" for them to be an opening. */
const CLAUSE_BEGINS =
  /^(?:i|i'm|i've|i'd|i'll|you|you're|you've|you'll|we|we're|we've|we'll|it|it's|he|she|they|they're|that's|that|this|the|there's|there|so|if|when|what|how|let's|first|then|now|my|our|in|as|at|yes|no|and|but|because|actually|for|on|to|here|here's|one|some|most|people|these|those|is|are|do|does|who|why|where|okay|everyone|everybody|welcome|thanks|thank|next)$/;

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
/** Words of one speaker between two turns of another that are a listener's. */
const LISTENING = anyOf(
  "yeah yes yep okay ok right sure mhm mm hmm wow nice great cool exactly totally absolutely oh uh huh really no true indeed good lovely ah aha i see of course got it that's makes sense for definitely gosh",
);
const LISTENING_WORDS = 3;

const isNumber = (form: string) => /\p{N}/u.test(form);

class Marking {
  readonly left: (LeftWhy | null)[];
  constructor(readonly words: readonly SpokenWord[]) {
    this.left = new Array(words.length).fill(null);
  }

  /** Index of the next word that stands, from `at` on; the number of words where none does. */
  next(at: number): number {
    let to = at;
    while (to < this.words.length && this.left[to] !== null) to += 1;
    return to;
  }

  /** Index of the last word that stands before `at`; -1 where none does. */
  before(at: number): number {
    let to = at - 1;
    while (to >= 0 && this.left[to] !== null) to -= 1;
    return to;
  }

  /** Indices of the words that stand. */
  standing(): number[] {
    const out: number[] = [];
    for (let at = 0; at < this.words.length; at++) if (this.left[at] === null) out.push(at);
    return out;
  }

  leave(from: number, to: number, why: LeftWhy): void {
    for (let at = from; at < to; at++) this.left[at] ??= why;
  }

  form(at: number): string {
    return this.words[at]?.form ?? '';
  }

  /** A sentence, a turn or the talk begins at a word, as far as marks and speakers tell. */
  begins(at: number): boolean {
    if (at <= 0) return true;
    if (this.words[at].turn) return true;
    const before = this.words[at - 1];
    return /[.!?…]["”’)\]]*$/.test(before.after) || this.words[at].pause >= 0.9;
  }
}

/** Marks around a run: both sides parted by commas, ends, turns or words that are left. */
function standsApart(marking: Marking, from: number, to: number): boolean {
  const { words, left } = marking;
  const before = words[from - 1];
  const open =
    from === 0 ||
    words[from].turn ||
    left[from - 1] !== null ||
    /[,;:.!?–—-]/.test(before.after) ||
    words[from].pause >= 0.4;
  const last = words[to - 1];
  const close =
    to === words.length ||
    words[to].turn ||
    left[to] !== null ||
    /[,;:.!?–—-]/.test(last.after) ||
    words[to].pause >= 0.4;
  return open && close;
}

function markHesitations(marking: Marking): void {
  marking.words.forEach(({ form, after }, at) => {
    // "Oh" and "ah" are words where they are all that is said.
    const alone = marking.begins(at) && (at + 1 === marking.words.length || marking.begins(at + 1));
    if (HESITATION.test(form) && !(alone && /^[oa]/.test(form) && after.includes('!')))
      marking.leave(at, at + 1, 'filler');
  });
}

function matchesAt(marking: Marking, at: number, run: readonly string[]): number {
  let to = at;
  for (const word of run) {
    to = marking.next(to);
    if (marking.form(to) !== word) return -1;
    if (to > at && marking.words[to].turn) return -1;
    to += 1;
  }
  return to;
}

function markFillers(marking: Marking): void {
  const { words } = marking;
  for (let at = 0; at < words.length; at++) {
    if (marking.left[at] !== null) continue;
    for (const { words: run, notAfter, notBefore, but, apart } of FILLERS) {
      if (marking.form(at) !== run[0]) continue;
      const to = matchesAt(marking, at, run);
      if (to === -1) continue;
      const between = standsApart(marking, at, to);
      if (run[0] === 'like' && !between && opensWithLike(marking, at)) {
        marking.leave(at, to, 'filler');
        break;
      }
      if (apart && !between) continue;
      if (!between) {
        const before = marking.before(at);
        const after = marking.next(to);
        if (notAfter && before >= 0 && !words[at].turn && notAfter.test(marking.form(before))) continue;
        const goesOn = `${marking.form(after)} ${marking.form(marking.next(after + 1))} ${marking.form(marking.next(marking.next(after + 1) + 1))}`;
        if (notBefore?.test(marking.form(after)) && !but?.test(goesOn) && !/[,;.]/.test(words[to - 1].after))
          continue;
        // "the profitable kind of energy" names a kind.
        if (run.at(-1) === 'of' && before > 0 && isDeterminer(marking.form(marking.before(before)))) continue;
        // "sort of" at an end asks for what it is a sort of.
        if (run.at(-1) === 'of' && /[.!?]/.test(words[to - 1].after)) continue;
      }
      // "Is it right?" and "do you like it?" say what they say.
      if (apart && run[0] === 'right' && !marking.begins(at) && !/[?]/.test(words[at].after)) continue;
      if (run[0] === 'like' && words[at].before !== '') continue;
      marking.leave(at, to, 'filler');
      break;
    }
  }
}

const WHO = anyOf('people nobody everybody everyone somebody you we they');
/** Words after which "like" compares, or is the verb. */
const COMPARES =
  /^(?:is|are|was|were|be|been|look|looks|looked|feel|feels|felt|sound|sounds|just|more|much|something|nothing|things?|people|it's|that's|you|we|they|i|would|i'd|don't|didn't|really|exactly|seems?|smells?|works?|act|acts|rather|also)$/;

/** "Like people pour it on": a clause of its own follows, so that nothing is compared. */
function opensWithLike(marking: Marking, at: number): boolean {
  const { words } = marking;
  const who = WHO.test(marking.form(at + 1));
  const before = marking.before(at);
  const begins = marking.begins(at) || (who && !COMPARES.test(marking.form(before)));
  if (!begins || /^(?:this|that|so|it|i|these|those|most|all|many)$/.test(marking.form(at + 1))) return false;
  for (let here = at + 2; here < words.length && here < at + 14; here++) {
    if (/[,.!?]/.test(words[here - 1].after) || words[here].turn) return false;
    if ((here > at + 2 || who) && isVerbForm(marking.form(here))) return true;
  }
  return false;
}
const isVerbForm = (form: string) => isAuxiliary(form) || /^[vm]$/.test(partOfSpeech(baseForm(form)) ?? '');

/** "So um", "and uh so": a hesitation takes with it the "so" that it stands at. */
function markHesitantSo(marking: Marking): void {
  const { words } = marking;
  words.forEach(({ form }, at) => {
    if (form !== 'so' || marking.left[at] !== null) return;
    const next = at + 1;
    const isHesitant =
      next < words.length &&
      marking.left[next] !== null &&
      !words[next].turn &&
      HESITATION.test(words[next].form);
    const isOpened =
      at > 0 && marking.left[at - 1] === 'filler' && OPENERS.has(words[at - 1].form) && !words[at].turn;
    if (isHesitant || isOpened) marking.leave(at, next, 'filler');
  });
}

function markOpenings(marking: Marking): void {
  const { words } = marking;
  for (let at = 0; at < words.length; at++) {
    if (
      !marking.begins(at) &&
      !(words[at].pause >= REST && /^(?:okay|ok|alright|right)$/.test(words[at].form))
    )
      continue;
    // Several may follow one another: "okay so yeah".
    for (let from = marking.next(at), steps = 0; steps < 4; steps++) {
      if (from >= words.length || (from > at && words[from].turn)) break;
      const next = marking.next(from + 1);
      if (next >= words.length || words[next].turn) break;
      const form = marking.form(from);
      if (OPENING_PAIRS.has(`${form} ${marking.form(next)}`)) {
        const follows = marking.next(next + 1);
        if (follows < words.length && !words[follows].turn && !/[.!?]/.test(words[next].after)) {
          marking.leave(from, next + 1, 'filler');
          from = follows;
          continue;
        }
      }
      if (!OPENERS.has(form)) break;
      if (marking.begins(next)) {
        // "Okay." before more by the same speaker: it answers only where something was asked.
        const isAnswer = from > 0 && words[from].turn && /[?]/.test(words[from - 1].after);
        if (!words[from].turn || isAnswer || !/^(?:okay|ok|right|alright|yeah)$/.test(form)) break;
        marking.leave(from, from + 1, 'filler');
        break;
      }
      if (!/,/.test(words[from].after) && !CLAUSE_BEGINS.test(marking.form(next))) break;
      if (
        (form === 'right' || form === 'well') &&
        /^(?:now|there|here)$/.test(marking.form(next)) &&
        !/,/.test(words[from].after)
      )
        break;
      marking.leave(from, from + 1, 'filler');
      from = next;
    }
  }
}

/** A word broken off: "pan- panniers", "the be– the best". */
function markBrokenWords(marking: Marking): void {
  marking.words.forEach(({ form, after }, at) => {
    if (marking.left[at] !== null || !/^[-–—]+$|^\.{2,}$|^…$/.test(after)) return;
    const next = marking.form(marking.next(at + 1));
    if (/^-$/.test(after) && !marking.words[at].glued && form.length < next.length && next.startsWith(form))
      marking.leave(at, at + 1, 'restart');
  });
}

const LONGEST_REPEAT = 5;
/** Seconds of silence behind which what is said again begins something new. */
const REST = 0.35;

/** Runs of one to five words said again at once, with fillers between them or not. */
function markRepeats(marking: Marking): void {
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

const crossesTurn = (words: readonly SpokenWord[], from: number, to: number): boolean => {
  for (let at = from + 1; at < to; at++) if (words[at].turn) return true;
  return false;
};

/** "on Monday sorry on Tuesday", "three I mean four": what is taken back, and the words that take it back. */
function markCorrections(marking: Marking): void {
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
function markRestarts(marking: Marking): void {
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

/** "yeah", "okay" of a listener between two turns of one who speaks. */
function markListening(marking: Marking): void {
  const { words } = marking;
  const turns = words.flatMap(({ turn }, at) => (turn || at === 0 ? [at] : []));
  turns.forEach((from, at) => {
    const to = turns[at + 1] ?? words.length;
    if (at === 0 || to === words.length || to - from > LISTENING_WORDS) return;
    // An answer to a question is none.
    if (/[?]/.test(words[from - 1].after)) return;
    for (let here = from; here < to; here++) if (!LISTENING.test(marking.form(here))) return;
    marking.leave(from, to, 'listening');
  });
}

/**
 * Which words of a talk do not belong into a written text, and why; null for those that do. Hesitations, phrases that fill,
 * what is said twice, broken off or taken back, and what a listener throws in. Words that may mean what they say stay.
 */
export function disfluencies(words: readonly SpokenWord[]): (LeftWhy | null)[] {
  const marking = new Marking(words);
  markListening(marking);
  markHesitations(marking);
  markBrokenWords(marking);
  markFillers(marking);
  markCorrections(marking);
  markOpenings(marking);
  markRepeats(marking);
  markRestarts(marking);
  markRepeats(marking);
  markOpenings(marking);
  markHesitantSo(marking);
  return marking.left;
}

/** Whether a word tells something: no small word, and none of the commonest verbs. */
export const isTelling = (form: string): boolean =>
  !isFunctionWord(form) && !isAuxiliary(form) && /\p{L}{3}|\p{N}/u.test(form) && partOfSpeech(form) !== 'r';
