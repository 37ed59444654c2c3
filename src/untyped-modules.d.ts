declare module 'stopword' {
  const list: string[];

  export {
    list as ara,
    list as dan,
    list as deu,
    list as eng,
    list as fin,
    list as fra,
    list as ita,
    list as nld,
    list as nob,
    list as pol,
    list as por,
    list as rus,
    list as spa,
    list as swe,
    list as tur,
    list as ukr,
  };
}
declare module 'nspell' {
  interface Checker {
    correct(word: string): boolean;
    suggest(word: string): string[];
  }
  /** A checker by the rules of endings and the words of a dictionary. */
  export default function nspell(aff: string, dic: string): Checker;
}

declare module 'snowball-stemmers' {
  /** A stemmer by the name of its algorithm ("german"); throws for one that is not there. */
  export function newStemmer(algorithm: string): { stem(word: string): string };
}
