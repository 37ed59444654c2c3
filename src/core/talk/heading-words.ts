import { baseForm, isAuxiliary, isDeterminer, isStopWord, partOfSpeech, stem } from '../language/index.ts';
import { anyOf } from './any-of.ts';
import { isTelling } from './telling.ts';

/** What a word may be in a heading. */
export interface HeadingWord {
  form: string;
  /** Its stem. */
  key: string;
  telling: boolean;
  /** It may name a thing. */
  name: boolean;
  part: string | undefined;
  /** A verb in a form that only tells what somebody did or does: "weighed", "sits". */
  told: boolean;
  auxiliary: boolean;
  /** A pronoun with its verb: a heading says what, not what somebody does. */
  contracted: boolean;
  determiner: boolean;
  /** Behind it an article begins another phrase: "rain | every bag". */
  closes: boolean;
  gerund: boolean;
  /** It may begin a heading. */
  starts: boolean;
  /** It asks: "how to", "why". */
  lead: boolean;
  stop: boolean;
}

const NO_START = anyOf(
  "is are was were be been am do does did have has had will would can could should may might must and or but so because of to than then that which who if as not it i you we they he she them us me him her there here very really just also too get got go going gonna want let's like one ones thing things lot bit",
);
const LEADS = anyOf('how what why when where which whether who');
const CONTRACTED = /^(?:it|that|there|he|she|i|you|we|they|what|let)'(?:s|re|m|ll|ve|d)$/;

function isTold(form: string): boolean {
  const base = baseForm(form);
  return (
    base !== form &&
    !/ing$/.test(form) &&
    (partOfSpeech(base) === 'v' || (/ed$/.test(form) && partOfSpeech(base) === 'm'))
  );
}

function wordOf(form: string): HeadingWord {
  const part = partOfSpeech(form);
  const name = part === undefined || part === 'n' || part === 'm' || part === 'o';
  const gerund = /ing$/.test(form);
  const stop = isStopWord(form);
  const contracted = CONTRACTED.test(form);
  return {
    form,
    key: stem(form),
    telling: isTelling(form),
    name,
    part,
    told: isTold(form),
    auxiliary: isAuxiliary(form),
    contracted,
    determiner: isDeterminer(form),
    closes: name && part !== 'm' && !stop && !gerund,
    gerund,
    starts: !NO_START.test(form) && !contracted,
    lead: LEADS.test(form),
    stop,
  };
}

/** Words of a talk as headings look at them, each looked at once. */
export class HeadingWords {
  private readonly known = new Map<string, HeadingWord>();

  of(form: string): HeadingWord {
    let word = this.known.get(form);
    if (!word) {
      word = wordOf(form);
      this.known.set(form, word);
    }
    return word;
  }
}
