import { join } from 'node:path';
import { type BlogSeed, emptyBlog } from '../../core/blog/index.ts';
import { createBlog } from './blog-app.ts';
import { BlogStore } from './blog-store.ts';
import { readSeed, seedBlog } from './seed.ts';

/** A blog by what it begins with, under the address at which readers find it. */
const siteOf = (address: string, seed: BlogSeed | null) => {
  const empty = emptyBlog(address);
  if (!seed) return empty;
  const { posts: _posts, ...said } = seed;
  return { ...empty, ...said };
};

/** The blog stand-in over its folder; `dist` is where the build has put what the demo begins with, null for an empty blog. */
export function openBlog(folder: string, address: string, dist: string | null, hosts: readonly string[]) {
  const seed = dist === null ? null : readSeed(join(dist, 'blog.json'));
  const store = new BlogStore(folder, siteOf(address, seed));
  if (seed && dist !== null) seedBlog(store, seed, join(dist, 'demo', 'media'));
  return { store, app: createBlog(store, hosts) };
}
