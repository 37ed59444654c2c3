import { isKnownWord, knownWords } from './known-words.ts';

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
  if (WHOLE.has(normal) || normal.length < 4 || !/^[a-z0-9]+$/.test(normal)) return out;
  if (normal.endsWith('ies') && normal.length > 4) {
    add(out, `${normal.slice(0, -3)}y`);
    add(out, normal.slice(0, -1));
  } else if (normal.endsWith('es') && /(s|x|z|ch|sh|o)es$/.test(normal)) {
    add(out, normal.slice(0, -2));
    add(out, normal.slice(0, -1));
  } else if (normal.endsWith('s') && !/(ss|us|is)$/.test(normal)) add(out, normal.slice(0, -1));
  const ending = normal.endsWith('ing') ? 3 : normal.endsWith('ed') ? 2 : 0;
  if (!ending) return out;
  const rest = normal.slice(0, -ending);
  if (rest.length < 2 || !VOWEL.test(rest)) return out;
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
