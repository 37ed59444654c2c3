/**
 * Words that a text may hold and that are members of every plain object: a table looked up by words must not find
 * them. In the case in which they are written there, and in lower case as words are looked up.
 */
export const HOSTILE_WORDS: readonly string[] = [
  ...new Set(
    [...Object.getOwnPropertyNames(Object.prototype), 'prototype', 'length', 'name'].flatMap((name) => [
      name,
      name.toLowerCase(),
    ]),
  ),
];
