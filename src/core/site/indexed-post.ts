import { type Draft, draftLanguage, type PostFields } from '../draft/index.ts';

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
  /** Where its file lies, for folders whose posts name no address. */
  filePath?: string;
}

/** The index entry of a document; `siteLanguage` is what its site declares, empty where it declares none. */
export const indexedPost = (
  id: string,
  { fields, draft }: { fields: PostFields; draft?: Draft },
  filePath?: string,
  siteLanguage = '',
): IndexedPost => ({
  id,
  title: fields.title,
  metaTitle: fields.metaTitle,
  keyword: fields.keyword,
  language: fields.language || siteLanguage || (draft ? draftLanguage(draft.blocks) : ''),
  slug: fields.slug,
  canonical: fields.canonical,
  filePath,
});
