import {
  type Context,
  type DraftFacts,
  type DraftReadings,
  type DraftSettings,
  type PictureSize,
  type ScoreReport,
  type StudyFacts,
  scoreDraft,
  type VoiceFacts,
  wholeProfile,
} from '../criteria/index.ts';
import type { Draft, PostDocument } from '../draft/index.ts';
import { isSameLanguage } from '../language/index.ts';
import {
  type IndexedPost,
  pathOfPost,
  type SiteIndex,
  type SiteSettings,
  unknownSite,
} from '../site/index.ts';
import { type VoiceFigures, voiceNearness } from '../writing/index.ts';

/** What a post is scored within. */
export interface Scene {
  site: SiteSettings;
  /** Null: the post is judged alone, by the site's settings but without its other posts. */
  index: SiteIndex | null;
  pictures: ReadonlyMap<string, PictureSize>;
  /** What pages that were studied for a post share, by the post's id. */
  studies: ReadonlyMap<string, StudyFacts>;
  /** The voice that posts are held against; absent or null: none, or the house gives no points for it. */
  voice?: VoiceFigures | null;
  /** The year in which posts are read, given by whoever has a clock; null: none is told. */
  year: number | null;
}

/** A scene with nothing around the post. */
export const emptyScene = (): Scene => ({
  site: unknownSite(),
  index: null,
  pictures: new Map(),
  studies: new Map(),
  year: null,
});

function voiceFacts(draft: Draft, voice: VoiceFigures): VoiceFacts {
  const { near, differences, paragraphs } = voiceNearness(draft, voice);
  return {
    near,
    differences: differences.map(({ says }) => says),
    blockIds: paragraphs.map(({ blockId }) => blockId),
  };
}

/** Facts and report of one post. The one way that the page's worker, the server and the command line all take. */
export function scorePost(
  document: PostDocument,
  post: IndexedPost,
  scene: Scene,
  readings: DraftReadings,
): { facts: DraftFacts; context: Context; report: ScoreReport } {
  const { site, index, pictures, studies, voice, year } = scene;
  const study = studies.get(post.id) ?? null;
  const profile = wholeProfile(site.profile);
  const settings: DraftSettings = {
    host: site.baseAddress || null,
    titlePattern: site.titlePattern,
    siteName: site.name,
    language: site.language,
    ownPath: pathOfPost(post, site),
    pictures,
    limits: profile.limits,
    study,
    year,
  };
  const facts = readings.facts(document, settings);
  // A voice is one of its language: held against another, everything in it differs.
  const speaks = site.language === '' || isSameLanguage(facts.language, site.language);
  const isHeard = voice && speaks && profile.weights['house-voice'] > 0;
  const context: Context = {
    site: index?.factsFor(post) ?? null,
    study,
    voice: isHeard ? voiceFacts(document.draft, voice) : null,
  };
  return { facts, context, report: scoreDraft(facts, { ...context, profile }) };
}
