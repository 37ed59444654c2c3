/**
 * Scoring: a post judged where it stands.
 *
 * `score-post` scores one post within its site, its pictures and the study it goes by; `offers` are the changes that would help
 * it, each measured; `profile-effect` tells what other limits and weights would do to it.
 */
export { type OfferedFix, offersFor } from './offers.ts';
export { type ProfileEffect, profileEffect } from './profile-effect.ts';
export { emptyScene, type Scene, scorePost } from './score-post.ts';
