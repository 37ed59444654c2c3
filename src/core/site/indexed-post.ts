import type { PostFields } from '../draft/index.ts';

/** What the site's index keeps of a post. */
export interface IndexedPost {
  id: string;
  title: string;
  metaTitle: string;
  keyword: string;
  language: string;
  slug: string;
  canonical: string;
  /** Where its file lies, for folders whose posts name no address. */
  filePath?: string;
}

/** The index entry of a document. */
export const indexedPost = (
  id: string,
  { fields }: { fields: PostFields },
  filePath?: string,
): IndexedPost => ({
  id,
  title: fields.title,
  metaTitle: fields.metaTitle,
  keyword: fields.keyword,
  language: fields.language,
  slug: fields.slug,
  canonical: fields.canonical,
  filePath,
});
