import { syllable } from 'syllable';
import { knownWords } from './known-words.ts';

const SPOKEN: ReadonlyMap<string, number> = new Map(
  Object.entries({
    etc: 4,
    http: 4,
    https: 5,
    html: 4,
    css: 3,
    url: 3,
    pdf: 3,
    km: 3,
    kg: 3,
    mm: 4,
    cm: 4,
  }),
);

/** Words that had to be counted by rule, which takes long: how a word is spoken does not change. */
const counted = new Map<string, number>();
/** Bounds what a hostile text can have remembered. */
const MOST_COUNTED = 50_000;

function countedByRule(word: string): number {
  let count = counted.get(word);
  if (count === undefined) {
    count = Math.max(1, syllable(word));
    if (counted.size >= MOST_COUNTED) counted.clear();
    counted.set(word, count);
  }
  return count;
}

/** Syllables of an English word as spoken; digits count one each, at least 1. */
export function syllablesOf(word: string): number {
  const spoken = SPOKEN.get(word) ?? knownWords().syllables.get(word);
  if (spoken) return spoken;
  const inflected = fromBase(word);
  if (inflected) return inflected;
  if (/^[\d.,]+$/.test(word)) return Math.max(1, word.replace(/\D/g, '').length);
  return countedByRule(word);
}

/** Sounds after which an -s is a syllable of its own. */
const HISSING = /(?:[sxz]|[cs]h|[cgsz]e)$/;

/** Syllables of a regular form (-s, -ing, -ed) of a word whose own are known; undefined for others. */
function fromBase(word: string): number | undefined {
  const { syllables } = knownWords();
  if (word.endsWith('s')) {
    const base = word.slice(0, -1);
    const own = syllables.get(base);
    if (own) return own + (HISSING.test(base) ? 1 : 0);
    if (word.endsWith('ies')) return syllables.get(`${word.slice(0, -3)}y`);
    const longer = word.endsWith('es') ? syllables.get(word.slice(0, -2)) : undefined;
    return longer && longer + 1;
  }
  const ing = word.endsWith('ing');
  if (!ing && !word.endsWith('ed')) return undefined;
  const stem = word.slice(0, ing ? -3 : -2);
  const doubled = /([bdgklmnprt])\1$/.test(stem) ? syllables.get(stem.slice(0, -1)) : undefined;
  const own = syllables.get(stem) ?? syllables.get(`${stem}e`) ?? doubled;
  if (!own) return word.endsWith('ied') ? syllables.get(`${word.slice(0, -3)}y`) : undefined;
  return own + (ing || /[td]$/.test(stem) ? 1 : 0);
}
