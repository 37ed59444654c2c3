import type { PostFields, Status } from '../draft/index.ts';

/** What the site's index keeps of a post. */
export interface IndexedPost {
  id: string;
  title: string;
  metaTitle: string;
  keyword: string;
  /** Declared by the post or its site, else told by its words: as its own report reads it. */
  language: string;
  slug: string;
  canonical: string;
  /** Main category and date, where the address says them. */
  category?: string;
  date?: string;
  status: Status;
  /** Where its file lies, for folders whose posts name no address. */
  filePath?: string;
}

/** The index entry of a document; `language` is that of posts that declare none: the site's, or what the words tell. */
export const indexedPost = (
  id: string,
  { fields }: { fields: PostFields },
  filePath?: string,
  language = '',
): IndexedPost => ({
  id,
  title: fields.title,
  metaTitle: fields.metaTitle,
  keyword: fields.keyword,
  language: fields.language || language,
  slug: fields.slug,
  canonical: fields.canonical,
  category: fields.category,
  date: fields.date,
  status: fields.status,
  filePath,
});
