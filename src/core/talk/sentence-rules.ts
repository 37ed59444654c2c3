import { isAuxiliary, isDeterminer, partOfSpeech } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import type { SpokenWord } from './spoken-words.ts';

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
export const AUX_START = anyOf('is are do does did can could will would should have has');
const ASKS = anyOf("what how why where who when what's how's where's who's which");

/** Whether a form is likely a verb where it stands. */
export const isVerb = (form: string): boolean => {
  if (isAuxiliary(form) || /'(?:s|re|m|ll|ve|d|t)$/.test(form)) return true;
  const part = partOfSpeech(form);
  return part === 'v' || part === 'm' || part === 'o' || /(?:ed|ing|tten|ken)$/.test(form);
};
export const isNoun = (form: string): boolean => {
  const part = partOfSpeech(form);
  return part === undefined || part === 'n' || part === 'm';
};

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

/** A place between two words, as rules look at it. */
interface Place {
  words: readonly SpokenWord[];
  kept: readonly number[];
  /** Which of the kept words may begin a sentence. */
  at: number;
  /** The word before it, the word itself, and the two behind it. */
  before: string;
  here: string;
  after: string;
  after2: string;
  /** The word before leaves a clause open. */
  opens: boolean;
}

/** What speaks for a beginning, above 0, or against it; null where the rule says nothing. */
type Rule = (place: Place) => number | null;

/** A number is not parted: "three | thousand". */
const withinNumber: Rule = ({ before, here }) =>
  NUMBER.test(before) && (NUMBER.test(here) || UNIT.test(here)) ? -20 : null;

/** "so", "now", "and then": what joins a sentence to the one before. */
const joining: Rule = ({ before, here, after, opens }) => {
  if (here === 'so' && !/^(?:that|much|many|far|long|little)$/.test(after)) return opens ? 0.8 : 2.6;
  if (here === 'now') return isAuxiliary(before) || before === 'right' || before === 'and' ? -2 : 1.8;
  if (here === 'but') return 2;
  if (here === 'and') return PRONOUN.test(after) || GOES_ON.test(after) ? 1.7 : -0.6;
  if (here === 'then') return opens ? -1 : 1;
  return here === 'because' || here === 'cause' ? -0.6 : null;
};
const GOES_ON = anyOf(
  "then so if when that the what now this don't my in for by actually finally these how your our",
);

/** "what do you", "where is": a question, or a clause within another. */
const asking: Rule = ({ before, here, after, opens }) => {
  if (!ASKS.test(here)) return null;
  if ((AUX_START.test(after) || /'s$/.test(here)) && !opens && !PREPOSITION.test(before)) return 2.6;
  return here === 'when' ? null : before === 'so' || PRONOUN.test(before) || isVerb(before) ? -2 : 0.3;
};

/** "if it rains", "first": what leads to a clause. */
const leading: Rule = ({ before, here, opens }) => {
  if (/^(?:if|when|once|whenever|unless)$/.test(here)) return opens ? -1.5 : 1.1;
  if (FIRSTS.test(here)) return isDeterminer(before) || opens ? -2 : 1.6;
  if (here === 'whether') return -3;
  if (/^(?:okay|ok|alright|anyway)$/.test(here)) return isAuxiliary(before) || isVerb(before) ? -1 : 3;
  return null;
};

/** "I", "you", "it": who does something, unless it is what something is done to. */
const subject: Rule = ({ words, kept, at, before, here, after, opens }) => {
  if (!PRONOUN.test(here)) return null;
  const isObject = MAY_BE_OBJECT.test(here) && !isVerb(after) && !BEFORE_VERB.test(after);
  if (opens || isObject || isRelative(words, kept, at)) return here === 'it' ? -8 : -2.5;
  return isPlainObject(before) ? 2.1 : 1.5;
};
const BEFORE_VERB =
  /^(?:never|always|just|really|also|still|only|then|probably|usually|often|actually|\w+ly)$/;

/** "this is", "the next thing", "a bag": what a sentence speaks of. */
const pointing: Rule = ({ words, kept, at, before, here, after, after2, opens }) => {
  if (/^(?:this|these|that)$/.test(here))
    return opens || isVerb(before)
      ? -1.5
      : here !== 'that' && (isAuxiliary(after) || isVerb(after))
        ? 1.6
        : 0;
  if (
    here === 'the' &&
    /^(?:first|second|third|next|last|other)$/.test(after) &&
    /^(?:thing|one|question|part|point|step)$/.test(after2)
  )
    return opens && !/^(?:go|now|then)$/.test(before) ? -1 : 3;
  if (!isDeterminer(here)) return null;
  if (opens || isVerb(before) || PREPOSITION.test(before) || isGivenTo(words, kept, at)) return -1.5;
  return NAMES_POINT.test(after) ? 2 : 0.6;
};
const NAMES_POINT = anyOf(
  'first second third next last other thing main best problem point trick answer reason good same',
);

/** "put the jacket on", "never use": what somebody is told to do. */
const ordering: Rule = ({ words, kept, at, before, here, after, opens }) => {
  if (/^(?:don't|never|always)$/.test(here))
    return PRONOUN.test(before) || opens || /s$/.test(after) ? -2 : 1.6;
  // Particles belong to the verb before them.
  if (/^(?:up|down|off|out|back|over|away|enough|too|either|again)$/.test(here)) return -3;
  if (!isOrder(here, after)) return null;
  const goesOn =
    opens ||
    PRONOUN.test(before) ||
    isAuxiliary(before) ||
    /^(?:to|never|always|not|usually|often)$/.test(before) ||
    isLet(words, kept, at);
  return goesOn ? -2 : isVerb(before) && !isNoun(before) ? 0.4 : 1.8;
};

/** "is that right", "can you": a question by its verb, and verbs that go on with what they stand behind. */
const doing: Rule = ({ before, here, after, after2, opens }) => {
  if (here === 'do' && after === 'you' && after2 === 'think') return -4;
  if (AUX_START.test(here) && PRONOUN.test(after) && !PRONOUN.test(before) && !opens) return 1.4;
  if (isAuxiliary(here)) return -2.5;
  if (PREPOSITION.test(here))
    return PREPOSITION.test(before)
      ? -3
      : /^(?:in|for|on|at|with|from)$/.test(here) && !isVerb(before)
        ? -0.9
        : -2.5;
  if (partOfSpeech(here) !== 'v') return null;
  return isNoun(before) && !PRONOUN.test(before) && !opens ? 0.2 : -1.2;
};

/** Any other word. */
const naming: Rule = ({ before, here }) =>
  !isNoun(here) ? -1 : NUMBER.test(before) ? -3 : isNoun(before) ? -1.6 : -1.2;

/** The first that says anything is the one that counts. */
const RULES: readonly Rule[] = [
  withinNumber,
  joining,
  asking,
  leading,
  subject,
  pointing,
  ordering,
  doing,
  naming,
];

/** Sentences begin seldom: what has to be made up for. */
const SELDOM = -2.4;

/** How well a sentence may end with a word. */
function ending(before: string): number {
  let score = 0;
  if (
    OPEN_END.test(before) ||
    (isDeterminer(before) && !/^(?:that|this|these|those|her|some|another|any)$/.test(before))
  )
    score -= 6;
  if (GOOD_END.test(before)) score += 0.8;
  if (partOfSpeech(before) === 'v' && !/(?:ed|s)$/.test(before)) score -= 0.6;
  if (partOfSpeech(before) === 'a') score -= 0.2;
  return score;
}

/**
 * What the words say of a sentence's beginning at one of them, by rules of spoken English: above 0 for, below against.
 *
 * @param kept indices of the words that stay
 * @param at place in `kept` of the word that may begin a sentence, 1 or more
 */
export function worded(words: readonly SpokenWord[], kept: readonly number[], at: number): number {
  const formAt = (place: number) => words[kept[place]]?.form ?? '';
  const before = formAt(at - 1);
  const place: Place = {
    words,
    kept,
    at,
    before,
    here: formAt(at),
    after: formAt(at + 1),
    after2: formAt(at + 2),
    opens: CLAUSE_OPEN.test(before) || /'(?:s|re)$/.test(before),
  };
  const end = SELDOM + ending(before);
  for (const rule of RULES) {
    const says = rule(place);
    if (says !== null) return end + says;
  }
  return end;
}
