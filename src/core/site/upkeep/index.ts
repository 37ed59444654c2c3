/**
 * Upkeep: what a blog gathers over the years. `clashes` are posts that want to be found for the same, with the one that should keep it;
 * `doubled` are titles and descriptions that several have; `same-text` finds posts that say the same in the same words.
 */
export { type Clash, clashes, type TargetedPost } from './clashes.ts';
export { type Doubled, doubledListings } from './doubled.ts';
export { type HeldText, type SameText, sameTexts } from './same-text.ts';
