import type { PictureSize } from '../../core/criteria/index.ts';
import { type IndexedPost, type Scene, SiteIndex, type SiteSettings } from '../../core/site/index.ts';
import type { PostRow, SiteRow } from './database.ts';

/** A scene as it crosses to a worker. */
export interface SceneData {
  site: SiteSettings;
  posts: IndexedPost[];
  pictures: [string, PictureSize][];
}

/** The site's index entry of a stored post. */
export const indexEntry = ({ id, fields }: Pick<PostRow, 'id' | 'fields'>): IndexedPost => ({
  id,
  title: fields.title,
  metaTitle: fields.metaTitle,
  keyword: fields.keyword,
  language: fields.language,
  slug: fields.slug,
  canonical: fields.canonical,
});

/** What the posts of a site are scored within. */
export function sceneData(
  { id: _id, revision: _revision, ...site }: SiteRow,
  rows: readonly PostRow[],
  pictures: ReadonlyMap<string, PictureSize>,
): SceneData {
  return { site, posts: rows.map(indexEntry), pictures: [...pictures] };
}

/** The scene built out of its data. */
export const sceneOf = ({ site, posts, pictures }: SceneData): Scene => ({
  site,
  index: new SiteIndex(site, posts),
  pictures: new Map(pictures),
});
