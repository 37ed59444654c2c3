/**
 * Scoring: a post judged where it stands.
 *
 * `score-post` scores one post within its site, its pictures and the study it goes by; `profile-effect` tells what other
 * limits and weights would do to it.
 */
export { type ProfileEffect, profileEffect } from './profile-effect.ts';
export { emptyScene, type Scene, scorePost } from './score-post.ts';
