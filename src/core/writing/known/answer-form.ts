import { stem } from '../../language/index.ts';

/** Forms in which questions are asked, and what a sentence that answers looks like. */
const ASKS_AMOUNT =
  /^how (?:much|many|long|far|often|heavy|big|large|old|fast|high|wide|deep|hot|cold|hard|tight)\b/i;
const ASKS_HOW = /^how (?:to|(?:do|can|should|does|could) (?:i|you|we|one|they)) (\p{L}+)/iu;
const ASKS_WHAT =
  /^what(?:['’]s| is| are| does| do) (?!the difference)(?:an? |the )?(.+?)(?: mean| do)?\??$/iu;
const ASKS_DIFFERENCE = /\bdifferences? between\b|\b(?:vs|versus)\b/i;

const TELLS_HOW =
  /\b(?:you can|you (?:need|have) to|by \p{Ll}+ing|use|run|type|press|set|put|take|make sure|with the)\b/iu;
/** A sentence about a case tells how only where it goes on with what to do. */
const CASE = /^(?:if|when|once|after|although|unlike|while|due to|in contrast|in combination)\b/i;
const THEN_DO =
  /, (?:then )?(?:please )?(?:use|run|type|press|set|put|take|make|switch|choose|open|add|write|do|turn|create|remove|you (?:can|need|have|must|should))\b/i;
const TO_DO = /^(?:use|run|type|press|choose)\b/i;
const BE = /\s(?:is|are|means|refers to|describes|consists of|lets|allows|stands for)\s/i;
const COMPARES = /\b(?:whereas|while|instead|unlike|but|than|difference|rather|the other)\b/i;

const FIGURE = 0.7;
const TELLS = 0.35;
const DOES_IT = 0.35;
const BY_CASE = 0.6;
const DEFINES = 1.2;
const TELLS_APART = 0.6;
/** Characters before the verb of a definition. */
const SUBJECT_WITHIN = 60;

const stemsIn = (text: string) => (text.toLowerCase().match(/\p{L}{2,}/gu) ?? []).map(stem);

/** How a question wants to be answered. */
export interface AnswerForm {
  /** It asks for a number. */
  isAmount: boolean;
  /** How much better a sentence answers by its form alone; below 0 where it only speaks of a case. */
  fits(sentence: string): number;
}

/** The form in which a question, or any text, wants to be answered. */
export function answerForm(question: string): AnswerForm {
  const asked = question.trim();
  if (ASKS_AMOUNT.test(asked))
    return { isAmount: true, fits: (sentence) => (/\d/.test(sentence) ? FIGURE : 0) };
  const how = ASKS_HOW.exec(asked);
  if (how) {
    const verb = stem(how[1].toLowerCase());
    return { isAmount: false, fits: (sentence) => tellsHow(sentence, verb) };
  }
  if (ASKS_DIFFERENCE.test(asked))
    return { isAmount: false, fits: (sentence) => (COMPARES.test(sentence) ? TELLS_APART : 0) };
  const what = ASKS_WHAT.exec(asked);
  if (what) {
    const subject = stemsIn(what[1]);
    return { isAmount: false, fits: (sentence) => (defines(sentence, subject) ? DEFINES : 0) };
  }
  return { isAmount: false, fits: () => 0 };
}

function tellsHow(sentence: string, verb: string): number {
  if (CASE.test(sentence)) return THEN_DO.test(sentence) ? TELLS : -BY_CASE;
  const [first = '', second = ''] = stemsIn(sentence.slice(0, SUBJECT_WITHIN));
  // "To mend a tyre, ..." and "Mend a tyre ..." do what was asked.
  if (first === verb || ((first === 'to' || first === 'by') && second === verb)) return DOES_IT;
  const isToDo = TO_DO.test(sentence);
  const names = stemsIn(sentence).includes(verb);
  return (TELLS_HOW.test(sentence) ? TELLS : 0) + (isToDo && names ? TELLS : 0);
}

/** Whether a sentence says what something is: its name before the verb, near the beginning. */
function defines(sentence: string, subject: readonly string[]): boolean {
  const verb = BE.exec(sentence);
  if (!verb || verb.index > SUBJECT_WITHIN || subject.length === 0 || CASE.test(sentence)) return false;
  const before = new Set(stemsIn(sentence.slice(0, verb.index)));
  return subject.every((each) => before.has(each)) && before.size <= subject.length + 8;
}
