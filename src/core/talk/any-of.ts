/** Some words, asked for one by one. */
export interface AnyOf {
  test(form: string): boolean;
}

/** Words that are parted by blanks, as a set to be asked: quicker than a pattern of alternatives. */
export function anyOf(words: string): AnyOf {
  const set = new Set(words.split(' '));
  return { test: (form) => set.has(form) };
}
