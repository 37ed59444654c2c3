import type { AuditRow, PageReadRow } from './audit-rows.ts';
import type { BodyRow, PageRow, PictureRow, PostRow, SiteRow, TickRow, VersionRow } from './post-rows.ts';
import type { IdeaRow, KeywordChunkRow, ListRow, SearchFigureRow } from './research-rows.ts';
import type { ReuseRow } from './reuse-rows.ts';
import type { BriefRow, GenerationRow, StudyPageRow, StudyRow } from './study-rows.ts';
import type { TalkRow } from './talk-rows.ts';

/** The tables of a backup; scores are computed anew, and recordings stay where they are: their files are the writer's. */
export interface BackupTables {
  sites: SiteRow[];
  pages: PageRow[];
  posts: PostRow[];
  bodies: BodyRow[];
  versions: VersionRow[];
  pictures: PictureRow[];
  ticks: TickRow[];
  keywords: KeywordChunkRow[];
  searchFigures: SearchFigureRow[];
  lists: ListRow[];
  ideas: IdeaRow[];
  studies: StudyRow[];
  studyPages: StudyPageRow[];
  briefs: BriefRow[];
  generations: GenerationRow[];
  talks: TalkRow[];
  reuses: ReuseRow[];
  audits: AuditRow[];
  pageReads: PageReadRow[];
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
  'searchFigures',
  'lists',
  'ideas',
  'studies',
  'studyPages',
  'briefs',
  'generations',
  'talks',
  'reuses',
  'audits',
  'pageReads',
] as const satisfies (keyof BackupTables)[];

/** Tables that backups of earlier days did not know: all from this one on. */
export const LATER_TABLES = BACKUP_TABLES.slice(BACKUP_TABLES.indexOf('ticks'));
