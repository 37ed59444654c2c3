import { irregularPairs } from './generated/irregular-forms.ts';
import {
  commonOtherSyllables,
  commonOthers,
  commonVerbSyllables,
  commonVerbs,
} from './generated/known-words.ts';
import { normalForm } from './normal.ts';

interface Known {
  /** Verbs among the commonest words, and all of those, in their normal form. */
  verbs: Set<string>;
  all: Set<string>;
  /** Base form of an irregular one. */
  irregular: Map<string, string>;
  /** Syllables by the word as listed. */
  syllables: Map<string, number>;
}
let known: Known | null = null;

/** Words out of a list in which each says how many letters it shares with the one before (base 36). */
function frontDecoded(list: string): string[] {
  let before = '';
  return list.split(' ').map((coded) => {
    before = before.slice(0, Number.parseInt(coded[0], 36)) + coded.slice(1);
    return before;
  });
}

/** What is known of the ten thousand commonest English words; decoded once. */
export function knownWords(): Known {
  if (known) return known;
  const [verbList, otherList] = [frontDecoded(commonVerbs), frontDecoded(commonOthers)];
  const verbs = new Set(verbList.map(normalForm));
  const all = new Set([...verbs, ...otherList.map(normalForm)]);
  const syllables = new Map<string, number>();
  for (const [at, word] of verbList.entries()) syllables.set(word, Number(commonVerbSyllables[at]));
  for (const [at, word] of otherList.entries()) syllables.set(word, Number(commonOtherSyllables[at]));
  const irregular = new Map<string, string>();
  for (const pair of irregularPairs.split(' ')) {
    const [form, base] = pair.split(':');
    irregular.set(normalForm(form), normalForm(base));
  }
  known = { verbs, all, irregular, syllables };
  return known;
}

/** True for the ten thousand commonest English words, in their normal form. */
export const isKnownWord = (normal: string): boolean => knownWords().all.has(normal);
