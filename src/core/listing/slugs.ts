import transliterate from '@sindresorhus/slugify';

/** A slug of a title or keyword: lower case, words hyphenated, Latin letters without accents; other scripts as they are. */
export function slugOf(text: string): string {
  const latin = transliterate(text.normalize('NFC').replace(/['’]/g, ''), { decamelize: false });
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  const kept = latin.match(/[a-z]/g)?.length ?? 0;
  // Chinese, Japanese, Korean and others have no transliteration: their own letters make the slug.
  if (letters > 0 && kept < letters / 2)
    return (
      text
        .toLowerCase()
        .normalize('NFC')
        .match(/[\p{L}\p{M}\p{N}]+/gu)
        ?.join('-') ?? ''
    );
  return latin;
}
