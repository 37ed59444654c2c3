import { CORE_VERSION, type PictureSize, type StudyFacts } from '../../core/criteria/index.ts';
import {
  type IndexedPost,
  indexedPost,
  type SitePage,
  type SiteSettings,
  voiceOf,
} from '../../core/site/index.ts';
import type { VoiceFigures } from '../../core/writing/index.ts';
import type { PostRow, SiteRow } from './post-rows.ts';

/** What the posts of a site are scored within, as it crosses to a worker. */
export interface SceneData {
  site: SiteSettings;
  posts: IndexedPost[];
  pictures: [string, PictureSize][];
  /** What was studied for posts, by the post's id. */
  studies: [string, StudyFacts][];
  /** The voice of the house, where it gives points for it. */
  voice: VoiceFigures | null;
  /** The year in which posts are read. */
  year: number;
}

/** The scene of a site with its posts, the sizes of its pictures and its other pages (null: not known yet). */
export function sceneData(
  {
    id: _id,
    revision: _revision,
    house,
    opened: _opened,
    changed: _changed,
    redirects: _redirects,
    ...site
  }: SiteRow,
  rows: readonly Pick<PostRow, 'id' | 'fields'>[],
  pictures: ReadonlyMap<string, PictureSize>,
  pages: SitePage[] | null,
  studies: [string, StudyFacts][] = [],
): SceneData {
  return {
    site: { ...site, pages },
    posts: rows.map((row) => indexedPost(row.id, row, undefined, site.language)),
    pictures: [...pictures],
    studies,
    voice: (site.profile?.weights['house-voice'] ?? 0) > 0 ? (voiceOf(house)?.figures ?? null) : null,
    year: new Date().getFullYear(),
  };
}

/** FNV-1a over a text: enough to tell whether the surroundings of a score changed. */
function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** What is kept with a score: another number where that is more or less. */
const KEPT = 2;

/** The key under which a post's score is kept: it changes with the post, with what lies around it and with the criteria. */
export function scoreKeys(data: SceneData): (row: Pick<PostRow, 'id' | 'revision'>) => string {
  // A study concerns its own posts alone: the scores of all others stay.
  const { studies, ...rest } = data;
  const around = `${CORE_VERSION}.${KEPT}.${fingerprint(JSON.stringify(rest))}`;
  const studied = new Map(studies.map(([id, facts]) => [id, `.${fingerprint(JSON.stringify(facts))}`]));
  return ({ id, revision }) => `${revision}.${around}${studied.get(id) ?? ''}`;
}
