/**
 * Site: what the posts of a blog are to each other.
 *
 * `site-index` holds a site's settings and looks up its meta titles, targets and addresses; `score-post` scores one
 * post within its site.
 */
export { emptyScene, type Scene, scorePost } from './score-post.ts';
export {
  type IndexedPost,
  indexedPost,
  SiteIndex,
  type SiteSettings,
  unknownSite,
} from './site-index.ts';
