import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BlogSeed, entryProperties } from '../../core/blog/index.ts';
import { draftWithPicturesMoved, fieldsWithPicturesMoved, pictureAddresses } from '../../core/draft/index.ts';
import type { BlogStore } from './blog-store.ts';

/** Reads what a blog begins with; null where there is none. */
export const readSeed = (path: string): BlogSeed | null =>
  existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as BlogSeed) : null;

/** Puts published posts and their pictures in a blog that holds none yet. `media` is the folder with the files. */
export function seedBlog(store: BlogStore, { posts }: BlogSeed, media: string): void {
  if (store.allPosts().length > 0) return;
  const places = new Map<string, string>();
  const keep = (src: string): string | undefined => {
    const known = places.get(src);
    if (known) return known;
    const file = join(media, src.replace(/^media\//, ''));
    const path =
      /^media\/[\w.-]+$/.test(src) && existsSync(file)
        ? store.putPicture(readFileSync(file), src.slice(6))
        : null;
    if (path) places.set(src, path);
    return path ?? undefined;
  };
  for (const { uid, document } of posts) {
    for (const src of pictureAddresses(document.fields, document.draft)) keep(src);
    const to = (src: string) => places.get(src);
    store.create(
      entryProperties(uid, {
        fields: fieldsWithPicturesMoved(document.fields, to),
        draft: draftWithPicturesMoved(document.draft, to),
      }),
    );
  }
}
