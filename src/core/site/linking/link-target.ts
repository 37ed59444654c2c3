import type { PostFields, Status } from '../../draft/index.ts';
import { comparablePath } from '../../listing/index.ts';
import { pathOfPost } from '../site-index.ts';
import type { SiteSettings } from '../site-settings.ts';

/** A post or page of the site that a draft may link to. */
export interface LinkTarget {
  /** In comparable form. */
  path: string;
  /** As a link to it is written. */
  address: string;
  title: string;
  /** Empty for pages that are no posts here, and for posts without one. */
  keyword: string;
  supporting: readonly string[];
  /** Null: a page that is no post here. */
  status: Status | null;
  postId: string | null;
}

/** The path of a post of the site in comparable form; null without a slug. */
export const postPathOf = (fields: PostFields, site: SiteSettings): string | null => pathOfPost(fields, site);

/**
 * Everything of a site that can be linked to: its posts, then its other pages, each address once, the home page left out.
 */
export function linkTargets(
  posts: readonly { id: string; fields: PostFields }[],
  site: SiteSettings,
): LinkTarget[] {
  const targets = new Map<string, LinkTarget>();
  for (const { id, fields } of posts) {
    const path = postPathOf(fields, site);
    if (path === null || path === '/' || targets.has(path)) continue;
    targets.set(path, {
      path,
      address: fields.canonical || path,
      title: fields.title || fields.slug,
      keyword: fields.keyword,
      supporting: fields.supporting,
      status: fields.status,
      postId: id,
    });
  }
  for (const { address, title } of site.pages ?? []) {
    const path = comparablePath(address);
    if (path === null || path === '/' || targets.has(path)) continue;
    targets.set(path, {
      path,
      address,
      title: title || path,
      keyword: '',
      supporting: [],
      status: null,
      postId: null,
    });
  }
  return [...targets.values()];
}
