import type { PictureSize } from '../../core/criteria/index.ts';
import { type IndexedPost, indexedPost, type SitePage, type SiteSettings } from '../../core/site/index.ts';
import type { PostRow, SiteRow } from './database.ts';

/** What the posts of a site are scored within, as it crosses to a worker. */
export interface SceneData {
  site: SiteSettings;
  posts: IndexedPost[];
  pictures: [string, PictureSize][];
}

/** The scene of a site with its posts, the sizes of its pictures and its other pages (null: not known yet). */
export function sceneData(
  { id: _id, revision: _revision, house: _house, opened: _opened, ...site }: SiteRow,
  rows: readonly Pick<PostRow, 'id' | 'fields'>[],
  pictures: ReadonlyMap<string, PictureSize>,
  pages: SitePage[] | null,
): SceneData {
  return {
    site: { ...site, pages },
    posts: rows.map((row) => indexedPost(row.id, row)),
    pictures: [...pictures],
  };
}

/** Raised whenever a criterion judges differently, so that kept scores are computed anew. */
const CORE_VERSION = 2;

/** FNV-1a over a text: enough to tell whether the surroundings of a score changed. */
function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** The key under which a post's score is kept: it changes with the post, with what lies around it and with the criteria. */
export function scoreKeys(data: SceneData): (row: Pick<PostRow, 'revision'>) => string {
  const around = `${CORE_VERSION}.${fingerprint(JSON.stringify(data))}`;
  return ({ revision }) => `${revision}.${around}`;
}
