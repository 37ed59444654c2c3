import { isKnownWord, knownWords } from './known-words.ts';
import { oneSpelling } from './spellings.ts';

/** Words whose ending is no inflection. */
const WHOLE = new Set(
  (
    'news lens series species means always perhaps besides sometimes yes this thus plus bus gas us its was has does is as ' +
    'less unless across gross glass class business analysis basis crisis bonus focus status virus atlas canvas campus census ' +
    'christmas texas various evening wedding morning ceiling sibling something anything nothing everything during king ring ' +
    'sing bring spring string thing wing swing sling cling sting viking herring sterling darling lightning shilling pudding ' +
    'red bed led fed shed bred sled seed feed need weed speed breed indeed exceed proceed hundred sacred naked wicked kindred ' +
    'bleed greed deed reed steed freed united wing outing doing clothes clothing https macos ios'
  ).split(' '),
);

/** Verbs of everyday trade prose that the word lists know as nouns only. */
const NEW_VERBS = new Set('text email blog google tent trail glamp'.split(' '));

/** Nouns that end in -i. */
const IN_I = new Set(
  'api taxi ski bikini alibi kiwi chilli zucchini panini wifi rabbi emoji tsunami safari'.split(' '),
);

const VOWEL = /[aeiouy]/;

/** Consonant, one vowel, consonant: a short verb of this shape doubles its last letter before -ing and -ed. */
const doubles = (base: string) => /^[^aeiou]*[aeiouy][bcdfghjklmnpqrstvz]$/.test(base);

function add(out: string[], candidate: string): void {
  if (candidate.length > 1 && !out.includes(candidate)) out.push(candidate);
}

/**
 * The base forms that an English word (in normal form) may be an inflection of, itself first.
 * Only -s, -es, -ies, -ed, -ing and irregular forms are undone; derivation (-er, -ly, -ation) is another word.
 */
export function inflectionCandidates(normal: string): string[] {
  const out = [normal];
  const { irregular, verbs, all } = knownWords();
  const base = irregular.get(normal);
  if (base) add(out, base);
  // The noun has its base among the irregular forms.
  if (normal.endsWith('lyses')) add(out, `${normal.slice(0, -3)}ze`);
  if (WHOLE.has(normal) || normal.length < 4 || !/^[a-z0-9]+$/.test(normal)) return out;
  if (normal.endsWith('ies') && normal.length > 4) {
    add(out, `${normal.slice(0, -3)}y`);
    add(out, normal.slice(0, -1));
  } else if (normal.endsWith('es') && /(s|x|z|ch|sh|o)es$/.test(normal)) {
    add(out, normal.slice(0, -2));
    add(out, normal.slice(0, -1));
  } else if (normal.endsWith('is')) {
    const singular = normal.slice(0, -1);
    if (IN_I.has(singular) || (all.has(singular) && !all.has(normal))) add(out, singular);
  } else if (normal.endsWith('s') && !/(ss|us)$/.test(normal)) add(out, normal.slice(0, -1));
  const ending = normal.endsWith('ing') ? 3 : normal.endsWith('ed') ? 2 : 0;
  if (!ending) return out;
  const rest = normal.slice(0, -ending);
  // "substring" and "chainring" are no forms of verbs.
  if (rest.length < 2 || !VOWEL.test(rest) || /[^aeiouyr]r$/.test(rest)) return out;
  if (ending === 2 && rest.endsWith('i')) {
    add(out, `${rest.slice(0, -1)}y`);
    return out;
  }
  const undoubled = /([bdfglmnprtvz])\1$/.test(rest) ? rest.slice(0, -1) : null;
  if (undoubled) add(out, undoubled);
  const withE = `${rest}e`;
  // "rating" is from rate, never from rat; "pasting" is not from past, which is no verb.
  const plain = !doubles(rest) && (verbs.has(rest) || !all.has(rest) || NEW_VERBS.has(rest));
  if (plain) add(out, rest);
  if (!undoubled || !all.has(undoubled)) add(out, withE);
  return out;
}

/** Whether all {@link inflectionCandidates} of a word begin with its first two letters, told without working them out. */
export const keepsHead = (normal: string): boolean =>
  // "died" may be of "dy".
  !(normal.length === 4 && normal.endsWith('ied')) && !knownWords().irregular.has(normal);

/** Endings before which an e was dropped: "cycl-ing", "creat-ing", "glaz-ing". */
const LOST_E =
  /(?:[^aeioulr]l|[aeiou]ag|ok|[aeiou]ut|mut|iag|rag|[^aeiou]at|[eiou]at|iz|[uv]|[^n]c|dg|[aiou]d|[aiu]r|rg|rs|ns|[^s]s)$/;

/** Forms of irregular verbs that are more often words of their own. */
const OWN_WORDS = new Set(
  'bit left ground lay lit media felt saw rose wound bound spoke dove stove data born thought tired rent rove'.split(
    ' ',
  ),
);

/** Base forms of everyday trade prose that lists of spoken words lack. */
const TRADE_WORDS = new Set(
  'advertise attach bias cache consume delete disable kilo skid shoe overshoe snowshoe podcast vlog blog app webinar newsletter dataset'.split(
    ' ',
  ),
);

const bases = new Map<string, string>();
/** Bounds what a hostile text can have remembered. */
const MOST_BASES = 100_000;

function betterBase(normal: string): string {
  const { irregular, all } = knownWords();
  const [, ...others] = OWN_WORDS.has(normal) ? [] : inflectionCandidates(normal);
  if (others.length === 0) return normal;
  const listed = irregular.get(normal);
  if (listed !== undefined && listed.length > 1) return listed;
  // "calling" is of call, whatever "cal" may be.
  const doubled = /([flsz])\1(?:ed|ing)$/.test(normal) ? normal.replace(/(?:ed|ing)$/, '') : null;
  if (doubled !== null && all.has(doubled)) return doubled;
  const known = others.find((other) => other.length > 2 && (all.has(other) || TRADE_WORDS.has(other)));
  if (known !== undefined) return known;
  // A word in -ed or -ing that is known itself is no inflection of one that is not ("kindred").
  if (all.has(normal) && !normal.endsWith('s')) return normal;
  // "alias", "Matthias": no plurals of words that nobody knows.
  if (/[ao]s$/.test(normal)) return normal;
  const long = others.filter((other) => other.length > 2);
  if (doubled !== null) return doubled;
  if (long.length < 2) return long[0] ?? normal;
  const withE = long.find((other) => other.endsWith('e'));
  const without = long.find((other) => other !== withE)!;
  if (withE === undefined) return without;
  if (normal.endsWith('ies')) return without;
  if (normal.endsWith('s')) return /(?:ss|x|ch|sh|zz|o)es$/.test(normal) ? without : withE;
  if (/([a-z])\1(?:ed|ing)$/.test(normal)) return without;
  return LOST_E.test(without) ? withE : without;
}

/**
 * The one base form of a word in normal form: of those that it may be an inflection of, a known word before any other
 * ("shoes" is "shoe", "movies" "movie", "cycling" "cycle"), itself where it is no inflection. The base of a base is itself.
 */
export function baseForm(normal: string): string {
  const found = bases.get(normal);
  if (found !== undefined) return found;
  let base = normal;
  for (let step = 0; step < 3; step++) {
    const better = betterBase(base);
    // A word in normal form is in the one spelling already.
    if (better === base) break;
    const next = oneSpelling(better);
    if (next === base) break;
    base = next;
  }
  if (bases.size >= MOST_BASES) bases.clear();
  bases.set(normal, base);
  return base;
}

/**
 * Whether two words (normal forms, with their candidates) are inflections of one: they share a candidate that is
 * one of them or a known word.
 */
export function areVariants(a: string, aCandidates: string[], b: string, bCandidates: string[]): boolean {
  if (a === b) return true;
  return aCandidates.some(
    (candidate) =>
      bCandidates.includes(candidate) && (candidate === a || candidate === b || isKnownWord(candidate)),
  );
}
