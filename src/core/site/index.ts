/**
 * Site: what the posts of a blog are to each other.
 *
 * `indexed-post` is what a site keeps of each post; `site-index` holds a site's settings and looks up its meta
 * titles, targets and addresses; `score-post` scores one post within its site.
 */
export { type IndexedPost, indexedPost } from './indexed-post.ts';
export { emptyScene, type Scene, scorePost } from './score-post.ts';
export {
  SiteIndex,
  type SiteSettings,
  unknownSite,
} from './site-index.ts';
