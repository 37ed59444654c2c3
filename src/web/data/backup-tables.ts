import type { BodyRow, PageRow, PictureRow, PostRow, SiteRow, TickRow, VersionRow } from './post-rows.ts';
import type { IdeaRow, KeywordChunkRow, ListRow, PerformanceChunkRow } from './research-rows.ts';
import type { BriefRow, GenerationRow, StudyPageRow, StudyRow } from './study-rows.ts';

/** The tables of a backup; scores are computed anew. */
export interface BackupTables {
  sites: SiteRow[];
  pages: PageRow[];
  posts: PostRow[];
  bodies: BodyRow[];
  versions: VersionRow[];
  pictures: PictureRow[];
  ticks: TickRow[];
  keywords: KeywordChunkRow[];
  performance: PerformanceChunkRow[];
  lists: ListRow[];
  ideas: IdeaRow[];
  studies: StudyRow[];
  studyPages: StudyPageRow[];
  briefs: BriefRow[];
  generations: GenerationRow[];
}

/** Their names, sites and posts before what belongs to them. */
export const BACKUP_TABLES = [
  'sites',
  'pages',
  'posts',
  'bodies',
  'versions',
  'pictures',
  'ticks',
  'keywords',
  'performance',
  'lists',
  'ideas',
  'studies',
  'studyPages',
  'briefs',
  'generations',
] as const satisfies (keyof BackupTables)[];

/** Tables that backups of earlier days did not know: all from this one on. */
export const LATER_TABLES = BACKUP_TABLES.slice(BACKUP_TABLES.indexOf('ticks'));
