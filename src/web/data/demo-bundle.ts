import type { PictureSize } from '../../core/criteria/index.ts';
import type { Draft } from '../../core/draft/index.ts';
import type { FigurePart } from '../../core/performance/index.ts';
import type { SitePage } from '../../core/site/index.ts';
import type { PostRow, ScoreRow, SiteRow, VersionRow } from './post-rows.ts';
import type { IdeaRow, ListRow } from './research-rows.ts';
import type { ReuseRow } from './reuse-rows.ts';
import type { GenerationRow, StudyPageRow, StudyRow } from './study-rows.ts';
import type { TalkRow } from './talk-rows.ts';

/** The demo scenario as an empty database is filled with it. */
export interface DemoBundle {
  site: SiteRow;
  pages: SitePage[];
  posts: { row: PostRow; draft: Draft }[];
  /** Files below `media/`. */
  pictures: { name: string; size: PictureSize }[];
  /** Computed when the demo was built, so that the list shows them at once. */
  scores: ScoreRow[];
  lists: ListRow[];
  ideas: IdeaRow[];
  searchFigures: FigurePart[];
  /** Posts as they were sent out earlier. */
  versions: VersionRow[];
  /** Studies with the content of their pages. */
  studies: { row: StudyRow; pages: StudyPageRow[] }[];
  /** Texts that patterns have made already. */
  generations: GenerationRow[];
  talks: TalkRow[];
  /** What was made of posts already. */
  reuses: ReuseRow[];
}
