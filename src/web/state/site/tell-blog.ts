import type { BlogSettings } from '../../../core/blog/index.ts';
import { database } from '../../data/database.ts';
import { MEDIA, pictureRow } from '../../data/picture-store.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { hasLists } from '../../data/site-around.ts';
import { setBlogSettings, standIn } from '../../services/publishing.ts';
import { failureInWords } from '../attempt.ts';

/** What of a site's order its blog goes by. */
type Ordered = Pick<SiteRow, 'categories' | 'addressPattern' | 'redirects'>;

/** Whether the blog beside goes by the order of a site already; pictures are compared by whether there are some. */
export function isKnownToBlog(site: Ordered, settings: BlogSettings): boolean {
  const shape = ({ categories = [], addressPattern, redirects = [] }: Ordered) =>
    JSON.stringify([
      categories.map(({ name, slug, description, parent, picture }) => [
        name,
        slug,
        description,
        parent,
        picture?.alt,
      ]),
      addressPattern,
      redirects.map(({ from, to }) => [from, to]),
    ]);
  return shape(site) === shape(settings);
}

/**
 * Tells the blog beside the application how its site is ordered: categories with their pictures, the address pattern, redirects. Answers
 * in words why it could not be told; empty where it was, or where the posts of the site stand elsewhere.
 */
export async function tellBlog(siteId: string): Promise<string> {
  const site = await database().sites.get(siteId);
  if (!site?.categories || !hasLists(site)) return '';
  try {
    const blog = await standIn();
    if (!blog) return 'The blog beside the application does not stand; it was not told.';
    const { categories, addressPattern, redirects = [] } = site;
    const pictures: { src: string; sha: string; name: string; type: string }[] = [];
    for (const { picture } of categories) {
      if (!picture?.src.startsWith(MEDIA)) continue;
      const row = await pictureRow(siteId, picture.src);
      const blob = row && (await database().blobs.get(row.sha))?.blob;
      if (blob) pictures.push({ src: picture.src, sha: row.sha, name: row.name, type: blob.type });
    }
    await setBlogSettings(
      { ...blog.settings, categories, addressPattern, redirects },
      pictures,
      async (sha) => (await database().blobs.get(sha))?.blob ?? null,
    );
    return '';
  } catch (error) {
    return `The blog was not told: ${failureInWords(error)}`;
  }
}
