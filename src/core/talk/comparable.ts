import { normalForm } from '../language/index.ts';
import { numberValue } from '../writing/index.ts';
import { anyOf } from './any-of.ts';
import { WORD } from './spoken-words.ts';

/** A word as speech and text are held against one another; one written word may be two ("don't"), and two may be one ("twenty five"). */
export interface ComparableWord {
  /** What has to be the same on both sides. */
  key: string;
  /** Offsets in the text. */
  start: number;
  end: number;
}

const SPOKEN_FORMS = new Map([
  ['gonna', ['going', 'to']],
  ['wanna', ['want', 'to']],
  ['gotta', ['got', 'to']],
  ['cause', ['because']],
  ["'cause", ['because']],
  ['cos', ['because']],
  ['yeah', ['yes']],
  ['ok', ['okay']],
  ["can't", ['can', 'not']],
  ['cannot', ['can', 'not']],
  ["won't", ['will', 'not']],
  ["shan't", ['shall', 'not']],
  ["let's", ['let', 'us']],
  ['percent', ['%']],
]);
const ENDINGS: readonly (readonly [RegExp, string])[] = [
  [/n't$/, 'not'],
  [/'re$/, 'are'],
  [/'m$/, 'am'],
  [/'ll$/, 'will'],
  [/'ve$/, 'have'],
  [/'d$/, 'would'],
];
/** Words behind which `'s` is "is"; behind others it tells whose something is. */
const IS = anyOf('it that there here what who where how he she when everything this');
const NUMBERS =
  /^(?:zero|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred|thousand|million|dozen)$/;

/** The parts of a folded word, contractions in full. */
function partsOf(form: string): readonly string[] {
  const known = SPOKEN_FORMS.get(form);
  if (known) return known;
  if (form.includes("'")) {
    for (const [ending, word] of ENDINGS) if (ending.test(form)) return [form.replace(ending, ''), word];
    const bare = form.replace(/'s?$/, '');
    if (IS.test(bare) && form.endsWith("'s")) return [bare, 'is'];
    return [bare];
  }
  return [form];
}

/** Keys of words by how they are written; as many as a long talk has, then from the beginning again. */
const known = new Map<string, readonly string[]>();
const REMEMBERED = 20_000;

/** What a written word has to be equal to; empty for a number word, which stands with its neighbours. */
function keysOf(written: string): readonly string[] {
  let keys = known.get(written);
  if (keys === undefined) {
    const form = written.toLowerCase().replaceAll('’', "'");
    const digits = /^(\d[\d,]*(?:\.\d+)?)$/.exec(form);
    if (NUMBERS.test(form)) keys = [];
    else if (digits) keys = [String(Number(digits[1].replaceAll(',', '')))];
    else keys = partsOf(form).map((part) => normalForm(part) || part);
    if (known.size >= REMEMBERED) known.clear();
    known.set(written, keys);
  }
  return keys;
}

/** The words of a text as they are compared; numbers in words and in digits are the same, and so are short forms and full ones. */
export function comparableWords(text: string): ComparableWord[] {
  const out: ComparableWord[] = [];
  let number: { words: string[]; start: number; end: number } | null = null;
  const closeNumber = () => {
    if (!number) return;
    const value = numberValue(number.words.join(' '));
    if (value !== null) out.push({ key: String(value), start: number.start, end: number.end });
    else for (const word of number.words) out.push({ key: word, start: number.start, end: number.end });
    number = null;
  };
  for (const hit of text.matchAll(WORD)) {
    const start = hit.index;
    const end = start + hit[0].length;
    const keys = keysOf(hit[0]);
    if (keys.length === 0) {
      const form = hit[0].toLowerCase();
      if (
        number &&
        /^[\s-]+$/.test(text.slice(number.end, start)) &&
        goesOn(number.words[number.words.length - 1], form)
      ) {
        number.words.push(form);
        number.end = end;
      } else {
        closeNumber();
        number = { words: [form], start, end };
      }
      continue;
    }
    closeNumber();
    for (const key of keys) out.push({ key, start, end });
  }
  closeNumber();
  return out;
}

/** Whether a number word goes on with the number before it: "twenty five", "three hundred"; "three four" are two. */
const goesOn = (before: string, form: string): boolean =>
  /^(?:hundred|thousand|million|dozen)$/.test(form) ||
  (/ty$/.test(before) && /^(?:one|two|three|four|five|six|seven|eight|nine)$/.test(form)) ||
  /^(?:hundred|thousand|million)$/.test(before);
