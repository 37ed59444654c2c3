import { irregularPairs } from './generated/irregular-forms.ts';
import { commonOthers, commonVerbs } from './generated/known-words.ts';
import { normalForm } from './normal.ts';

/** Words whose ending is no inflection. */
const WHOLE = new Set(
  (
    'news lens series species means always perhaps besides sometimes yes this thus plus bus gas us its was has does is as ' +
    'less unless across gross glass class business analysis basis crisis bonus focus status virus atlas canvas campus census ' +
    'christmas texas various evening wedding morning ceiling sibling something anything nothing everything during king ring ' +
    'sing bring spring string thing wing swing sling cling sting viking herring sterling darling lightning shilling pudding ' +
    'red bed led fed shed bred sled seed feed need weed speed breed indeed exceed proceed hundred sacred naked wicked kindred ' +
    'bleed greed deed reed steed freed united wing outing'
  ).split(' '),
);

/** Verbs of everyday trade prose that the word lists know as nouns only. */
const NEW_VERBS = new Set('text email blog google tent trail glamp'.split(' '));

const VOWEL = /[aeiouy]/;

interface Known {
  verbs: Set<string>;
  all: Set<string>;
  irregular: Map<string, string>;
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

function knownWords(): Known {
  if (known) return known;
  const verbs = new Set(frontDecoded(commonVerbs).map(normalForm));
  const all = new Set([...verbs, ...frontDecoded(commonOthers).map(normalForm)]);
  const irregular = new Map<string, string>();
  for (const pair of irregularPairs.split(' ')) {
    const [form, base] = pair.split(':');
    irregular.set(form, normalForm(base));
  }
  known = { verbs, all, irregular };
  return known;
}

/** True for the ten thousand commonest English words, in their normal form. */
export const isKnownWord = (normal: string): boolean => knownWords().all.has(normal);

/** Consonant, one vowel, consonant: a short verb of this shape doubles its last letter before -ing and -ed. */
const doubles = (base: string) => /^[^aeiou]*[aeiouy][bcdfghjklmnpqrstvz]$/.test(base);

/**
 * The base forms that an English word (in normal form) may be an inflection of, itself first.
 * Only -s, -es, -ies, -ed, -ing and irregular forms are undone; derivation (-er, -ly, -ation) is another word.
 */
export function inflectionCandidates(normal: string): string[] {
  const out = [normal];
  const add = (candidate: string) => {
    if (candidate.length > 1 && !out.includes(candidate)) out.push(candidate);
  };
  const { irregular, verbs, all } = knownWords();
  const base = irregular.get(normal);
  if (base) add(base);
  if (WHOLE.has(normal) || normal.length < 4 || !/^[a-z0-9]+$/.test(normal)) return out;
  if (normal.endsWith('ies') && normal.length > 4) {
    add(`${normal.slice(0, -3)}y`);
    add(normal.slice(0, -1));
  } else if (normal.endsWith('es') && /(s|x|z|ch|sh|o)es$/.test(normal)) {
    add(normal.slice(0, -2));
    add(normal.slice(0, -1));
  } else if (normal.endsWith('s') && !/(ss|us|is)$/.test(normal)) add(normal.slice(0, -1));
  const ending = normal.endsWith('ing') ? 3 : normal.endsWith('ed') ? 2 : 0;
  if (!ending) return out;
  const rest = normal.slice(0, -ending);
  if (rest.length < 2 || !VOWEL.test(rest)) return out;
  if (ending === 2 && rest.endsWith('i')) {
    add(`${rest.slice(0, -1)}y`);
    return out;
  }
  const undoubled = /([bdfglmnprtvz])\1$/.test(rest) ? rest.slice(0, -1) : null;
  if (undoubled) add(undoubled);
  const withE = `${rest}e`;
  // "rating" is from rate, never from rat; "pasting" is not from past, which is no verb.
  const plain = !doubles(rest) && (verbs.has(rest) || !all.has(rest) || NEW_VERBS.has(rest));
  if (plain) add(rest);
  if (!undoubled || !all.has(undoubled)) add(withE);
  return out;
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
