/**
 * Meaning: whether one text says what another asks for.
 *
 * `want` takes from a question, a topic or a phrase what it is about and tells how far a text says it; `kin` are words
 * that mean nearly the same, from a table made of WordNet and from `equals`, which we wrote; `expository` are words with
 * which anything is explained.
 */
export { matterOf } from './equals.ts';
export { isExpository, isExpositoryWord } from './expository.ts';
export { kinOf } from './kin.ts';
export { isOrdinary, SAYS, SAYS_IN_TEXT, saying, stemsSaid, type Want, wantOf } from './want.ts';
