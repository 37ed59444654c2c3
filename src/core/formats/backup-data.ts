import type { Draft, PostFields } from '../draft/index.ts';
import type { FigurePart } from '../performance/index.ts';
import type { PackedKeywords } from '../research/index.ts';

/** Rows as a backup holds them; the schema beside this file says what each is. */
export interface BackupData {
  sites: { id: string; profile: unknown }[];
  pages: { siteId: string }[];
  posts: { id: string; siteId: string; fields: PostFields }[];
  bodies: { postId: string; siteId: string; draft: Draft }[];
  versions: { siteId: string; postId: string; fields: PostFields; draft: Draft }[];
  pictures: { siteId: string; name: string; sha: string; bytes: number }[];
  /** Absent in backups of earlier days. */
  keywords?: { siteId: string; packed: PackedKeywords }[];
  searchFigures?: { siteId: string; part: FigurePart }[];
  /** A page's text, deflated and in base64, by the SHA-256 of it. */
  studyPages?: { siteId: string; key: string; packed: string }[];
}
