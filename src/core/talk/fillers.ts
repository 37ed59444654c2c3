import { isDeterminer } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import { isVerbForm, type Marking, matchesAt, REST } from './marking.ts';

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

export function markHesitations(marking: Marking): void {
  marking.words.forEach(({ form, after }, at) => {
    // "Oh" and "ah" are words where they are all that is said.
    const alone = marking.begins(at) && (at + 1 === marking.words.length || marking.begins(at + 1));
    if (HESITATION.test(form) && !(alone && /^[oa]/.test(form) && after.includes('!')))
      marking.leave(at, at + 1, 'filler');
  });
}

export function markFillers(marking: Marking): void {
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

/** "So um", "and uh so": a hesitation takes with it the "so" that it stands at. */
export function markHesitantSo(marking: Marking): void {
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

export function markOpenings(marking: Marking): void {
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
