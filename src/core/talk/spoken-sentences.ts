import { baseForm, isAuxiliary, isDeterminer, partOfSpeech } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import type { LeftWhy } from './disfluencies.ts';
import { sentenceBegin } from './sentence-begin.ts';
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

const CLAUSE_OPEN =
  /^(?:that|if|when|because|think|know|knew|say|said|says|where|what|how|which|who|and|but|so|or|than|as|like|mean|believe|sure|until|till|before|after|while|whatever|whenever|wherever|thing|things|way|time|once|unless|though|although|hope|guess|suppose|bet|see|feel|wish|tell|told|show|everything|anything|something|all|places?|day|moment|reason|is|are|was|were|do|does|did|can|could|will|would|should|have|had|has|might|must|may|maybe|perhaps|cause|cos|whether|why|let|makes?|made|help|helps|means|needs?|wants?|far|much|many|then|now|always|also|just|even|only)$/;
const PRONOUN = anyOf(
  "i i'm i've i'd i'll you you're you've you'll you'd we we're we've we'll we'd it it's it'll he he's she she's they they're they've they'll that's there's there here's let's everyone everybody nobody people somebody",
);
const PREPOSITION = anyOf(
  'of in on with for at to from by into onto over under about between through without around against near behind beside inside outside across along off up down out per via toward towards than as or which who whose whom',
);
const OPEN_END = anyOf(
  "the a an to of for with at from by and or but so because cause if when which who my your our their his its every each is are was were am be been i'm you're we're they're he's she's can could should would will must may might do does don't doesn't didn't can't won't i we they he she gonna wanna i've we've you've they've i'd you'd we'd i'll you'll we'll they'll very really quite too as than into onto per not have has had some any no more most such same let let's maybe between what where how why whether while until unless although though only about said says say",
);
const GOOD_END = anyOf(
  'it that them there here too well again you me us him her one ones way all enough away together anyway fine ready done today tomorrow day time times thing things everything nothing anything something home',
);
const NUMBER =
  /^(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty|hundred|\d[\d.,]*)$/;
const UNIT = anyOf('thousand million dozen percent per');
const FIRSTS = anyOf(
  'first firstly second secondly third thirdly fourth fifth finally lastly next also anyway meanwhile however otherwise instead remember imagine yes no thanks thank welcome please',
);
const AUX_START = anyOf('is are do does did can could will would should have has');
const ASKS = anyOf("what how why where who when what's how's where's who's which");

const isVerb = (form: string): boolean => {
  if (isAuxiliary(form) || /'(?:s|re|m|ll|ve|d|t)$/.test(form)) return true;
  const part = partOfSpeech(form);
  return part === 'v' || part === 'm' || part === 'o' || /(?:ed|ing|tten|ken)$/.test(form);
};
const isNoun = (form: string): boolean => {
  const part = partOfSpeech(form);
  return part === undefined || part === 'n' || part === 'm';
};

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

/** What the words say of a sentence's beginning at one of them, by rules of spoken English. */
function worded(words: readonly SpokenWord[], kept: readonly number[], at: number): number {
  const before = words[kept[at - 1]].form;
  const here = words[kept[at]].form;
  const after = words[kept[at + 1]]?.form ?? '';
  let score = -2.4;
  if (OPEN_END.test(before)) score -= 6;
  else if (isDeterminer(before) && !/^(?:that|this|these|those|her|some|another|any)$/.test(before))
    score -= 6;
  const opens = CLAUSE_OPEN.test(before) || /'(?:s|re)$/.test(before);
  // A number is not parted.
  if (NUMBER.test(before) && (NUMBER.test(here) || UNIT.test(here))) score -= 20;
  else if (here === 'so' && !/^(?:that|much|many|far|long|little)$/.test(after)) score += opens ? 0.8 : 2.6;
  else if (here === 'now') score += isAuxiliary(before) || before === 'right' || before === 'and' ? -2 : 1.8;
  else if (here === 'but') score += 2;
  else if (here === 'and')
    score +=
      PRONOUN.test(after) ||
      /^(?:then|so|if|when|that|the|what|now|this|don't|my|in|for|by|actually|finally|these|how|your|our)$/.test(
        after,
      )
        ? 1.7
        : -0.6;
  else if (here === 'then') score += opens ? -1 : 1;
  else if (here === 'because' || here === 'cause') score -= 0.6;
  else if (
    ASKS.test(here) &&
    (AUX_START.test(after) || /'s$/.test(here)) &&
    !opens &&
    !PREPOSITION.test(before)
  )
    score += 2.6;
  else if (ASKS.test(here) && here !== 'when')
    score += before === 'so' || PRONOUN.test(before) || isVerb(before) ? -2 : 0.3;
  else if (/^(?:if|when|once|whenever|unless)$/.test(here)) score += opens ? -1.5 : 1.1;
  else if (FIRSTS.test(here)) score += isDeterminer(before) || opens ? -2 : 1.6;
  else if (PRONOUN.test(here))
    score +=
      opens ||
      (MAY_BE_OBJECT.test(here) &&
        !isVerb(after) &&
        !/^(?:never|always|just|really|also|still|only|then|probably|usually|often|actually|\w+ly)$/.test(
          after,
        )) ||
      isRelative(words, kept, at)
        ? here === 'it'
          ? -8
          : -2.5
        : isPlainObject(before)
          ? 2.1
          : 1.5;
  else if (here === 'whether') score -= 3;
  else if (/^(?:okay|ok|alright|anyway)$/.test(here)) score += isAuxiliary(before) || isVerb(before) ? -1 : 3;
  else if (/^(?:this|these|that)$/.test(here))
    score +=
      opens || isVerb(before) ? -1.5 : here !== 'that' && (isAuxiliary(after) || isVerb(after)) ? 1.6 : 0;
  else if (
    here === 'the' &&
    /^(?:first|second|third|next|last|other)$/.test(after) &&
    /^(?:thing|one|question|part|point|step)$/.test(words[kept[at + 2]]?.form ?? '')
  )
    score += opens && !/^(?:go|now|then)$/.test(before) ? -1 : 3;
  else if (isDeterminer(here))
    score +=
      opens || isVerb(before) || PREPOSITION.test(before) || isGivenTo(words, kept, at)
        ? -1.5
        : /^(?:first|second|third|next|last|other|thing|main|best|problem|point|trick|answer|reason|good|same)$/.test(
              after,
            )
          ? 2
          : 0.6;
  else if (/^(?:don't|never|always)$/.test(here))
    score += PRONOUN.test(before) || opens || /s$/.test(after) ? -2 : 1.6;
  else if (/^(?:up|down|off|out|back|over|away|enough|too|either|again)$/.test(here)) score -= 3;
  else if (isOrder(here, after))
    score +=
      opens ||
      PRONOUN.test(before) ||
      isAuxiliary(before) ||
      /^(?:to|never|always|not|usually|often)$/.test(before) ||
      isLet(words, kept, at)
        ? -2
        : isVerb(before) && !isNoun(before)
          ? 0.4
          : 1.8;
  else if (here === 'do' && after === 'you' && words[kept[at + 2]]?.form === 'think') score -= 4;
  else if (AUX_START.test(here) && PRONOUN.test(after) && !PRONOUN.test(before) && !opens) score += 1.4;
  else if (isAuxiliary(here)) score -= 2.5;
  else if (PREPOSITION.test(here))
    score -= PREPOSITION.test(before)
      ? 3
      : /^(?:in|for|on|at|with|from)$/.test(here) && !isVerb(before)
        ? 0.9
        : 2.5;
  else if (partOfSpeech(here) === 'v')
    score += isNoun(before) && !PRONOUN.test(before) && !opens ? 0.2 : -1.2;
  else if (isNoun(here)) score -= NUMBER.test(before) ? 3 : isNoun(before) ? 1.6 : 1.2;
  else score -= 1;
  if (GOOD_END.test(before)) score += 0.8;
  if (partOfSpeech(before) === 'v' && !/(?:ed|s)$/.test(before)) score -= 0.6;
  if (partOfSpeech(before) === 'a') score -= 0.2;
  return score;
}

/** Pronouns that may also be what a verb does something to. */
const MAY_BE_OBJECT = anyOf('it you everyone everybody nobody people somebody');

/** "the best road I know", "everything you need": what follows belongs to the noun. */
function isRelative(words: readonly SpokenWord[], kept: readonly number[], at: number): boolean {
  for (let back = 1; back <= 4 && at - back >= 0; back++) {
    const { form } = words[kept[at - back]];
    if (
      /^(?:best|worst|only|every|everything|anything|nothing|most|all|few|something)$/.test(form) ||
      /[^s]est$/.test(form)
    )
      return true;
    if (isAuxiliary(form)) return false;
  }
  return false;
}

/** "gave me | a piece": the second of two objects. */
const isGivenTo = (words: readonly SpokenWord[], kept: readonly number[], at: number): boolean =>
  at >= 2 &&
  /^(?:me|us|you|him|her|them|it)$/.test(words[kept[at - 1]].form) &&
  /^(?:g[ia]ve[sn]?|giving|shows?|showed|tells?|told|bought|buys?|makes?|made|costs?|brings?|brought|sends?|sent|lends?|lent|saves?|saved|calls?|called)$/.test(
    words[kept[at - 2]].form,
  );

/** Whether a word tells somebody to do something: a verb's plain form with what it is done to. */
const isOrder = (form: string, after: string): boolean =>
  /^[vm]$/.test(partOfSpeech(form) ?? '') &&
  !/(?:s|ed|ing)$/.test(form) &&
  /^(?:the|a|an|your|it|them|him|her|me|us|my|this|these|every|each|some|two|one|three|all|out|off|up|on|at|for|back|down|around|over|in|with|sure|to|as|if|before|how|what|where)$/.test(
    after,
  );

/** "let the wind do": the verb belongs to what came before. */
function isLet(words: readonly SpokenWord[], kept: readonly number[], at: number): boolean {
  for (let back = 2; back <= 3 && at - back >= 0; back++)
    if (/^(?:let|makes?|made|help|helps)$/.test(words[kept[at - back]].form)) return true;
  return false;
}

const isPlainObject = (form: string): boolean => GOOD_END.test(form) || /s$/.test(form);

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
