/** How many of some titles have which shape. */
export interface TitleShapes {
  titles: number;
  numbers: number;
  questions: number;
  howTo: number;
  /** In two parts, parted by a colon or a dash. */
  twoParts: number;
  /** With a year, "2026". */
  years: number;
  /** Characters, in the middle of the list by length. */
  characters: number;
}

const YEAR = /\b(?:19|20)\d\d\b/;
const QUESTION = /\?|^(?:what|why|when|where|who|which|is|are|can|do|does|should|will)\b/i;

/** The shapes of titles; null where there are none. Each may have several. */
export function titleShapes(titles: readonly string[]): TitleShapes | null {
  if (titles.length === 0) return null;
  const count = (has: (title: string) => boolean) => titles.filter(has).length;
  const lengths = titles.map((title) => [...title].length).sort((a, b) => a - b);
  return {
    titles: titles.length,
    numbers: count((title) => /\d/.test(title.replace(new RegExp(YEAR, 'g'), ''))),
    questions: count((title) => QUESTION.test(title)),
    howTo: count((title) => /\bhow (?:to|do)\b/i.test(title)),
    twoParts: count((title) => /[:|–—]\s|\s-\s/.test(title)),
    years: count((title) => YEAR.test(title)),
    characters: lengths[Math.floor(lengths.length / 2)],
  };
}
