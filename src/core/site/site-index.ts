import type { PostRef, SiteFacts } from '../criteria/index.ts';
import { keywordKeys } from '../language/index.ts';
import {
  type AddressRule,
  categoryPath,
  comparablePath,
  effectiveMetaTitle,
  postPath,
  titleKey,
} from '../listing/index.ts';
import type { IndexedPost } from './indexed-post.ts';
import { openToReaders } from './publishing.ts';
import type { SiteSettings } from './site-settings.ts';

/** The path of a post: its canonical address, else the site's pattern with its slug, else its file. */
export function pathOfPost(
  post: Pick<IndexedPost, 'slug' | 'canonical' | 'filePath' | 'category' | 'date'>,
  site: AddressRule,
): string | null {
  if (post.canonical) return comparablePath(post.canonical);
  const path = postPath(site, post);
  if (path !== null) return comparablePath(path);
  return post.filePath ? comparablePath(post.filePath.split('/').map(encodeURIComponent).join('/')) : null;
}

/** Meta titles, targets and addresses of a whole site, looked up by every post's report. */
export class SiteIndex {
  private readonly metaTitles = new Map<string, PostRef[]>();
  private readonly targets = new Map<string, PostRef[]>();
  private readonly pages = new Map<string, string>();
  private readonly unpublished = new Set<string>();

  constructor(
    readonly site: SiteSettings,
    posts: readonly IndexedPost[],
  ) {
    for (const page of site.pages ?? []) {
      const path = comparablePath(page.address);
      if (path) this.pages.set(path, page.title ?? '');
    }
    const { categories = [] } = site;
    for (const { name, slug } of categories) {
      const path = comparablePath(categoryPath({ categories }, slug));
      // As readers find it: a page that is known by its own title keeps that.
      if (path && !this.pages.get(path)) this.pages.set(path, name);
    }
    const posted = new Set<string>();
    const isOpen = openToReaders(posts.map(({ status }) => status));
    for (const post of posts) {
      const ref = { id: post.id, title: post.title || post.slug || 'Untitled' };
      const metaTitle = titleKey(
        effectiveMetaTitle(post.metaTitle, post.title, site.titlePattern, site.name),
      );
      if (metaTitle) push(this.metaTitles, metaTitle, ref);
      for (const key of new Set(keywordKeys(post.keyword, post.language || site.language || 'en').filed))
        push(this.targets, key, ref);
      const path = pathOfPost(post, site);
      if (path) {
        this.pages.set(path, post.title);
        posted.add(path);
        if (!isOpen(post.status)) this.unpublished.add(path);
      }
      // In a folder a link may also follow the files.
      const file = post.filePath
        ? comparablePath(post.filePath.split('/').map(encodeURIComponent).join('/'))
        : null;
      if (file) this.pages.set(file, post.title);
    }
    // Pages that are posts here have been looked at as such.
    for (const { address, title } of site.pages ?? []) {
      const path = comparablePath(address);
      if (title && path && !posted.has(path))
        push(this.metaTitles, titleKey(title), { id: `page ${path}`, title, path });
    }
  }

  /** The site as one of its posts sees it. */
  factsFor(post: IndexedPost): SiteFacts {
    return {
      postId: post.id,
      ownPath: pathOfPost(post, this.site),
      metaTitles: this.metaTitles,
      targets: this.targets,
      pages: this.pages,
      unpublished: this.unpublished,
      pagesKnown: this.site.pages !== null,
    };
  }
}

function push(map: Map<string, PostRef[]>, key: string, ref: PostRef): void {
  const list = map.get(key);
  if (list) list.push(ref);
  else map.set(key, [ref]);
}
