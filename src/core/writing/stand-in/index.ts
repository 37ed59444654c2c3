/**
 * The stand-in: texts without a model.
 *
 * `compose` answers an order by its recipe: `compose-sections` quotes what was studied, `compose-titles` and `compose-listing` go by
 * shape and width, `compose-lists` reads the writer's own text, `compose-rewrites` changes it by rule. `said-of` finds what was said
 * of something, `key-phrases` what a text is about; `wording` puts it together.
 */
export { compose, inPieces } from './compose.ts';
export type { Composed } from './composed.ts';
