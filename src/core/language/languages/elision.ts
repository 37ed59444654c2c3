/** An article or preposition that has lost its vowel before the word: "l'assurance", "dell'acqua". */
const ELIDED =
  /^(?:[cdjlmnst]|qu|jusqu|lorsqu|puisqu|quelqu|dell|all|dall|nell|sull|un|quest|quell|bell)'(?=\p{L})/u;

/** A folded word without what is elided before it; in languages that elide nothing the word. */
export const withoutElision = (form: string, code: string): string =>
  code === 'fr' || code === 'it' ? form.replace(ELIDED, '') : form;
