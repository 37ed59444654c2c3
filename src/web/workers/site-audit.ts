import {
  type Audit,
  type AuditedPage,
  type AuditedPost,
  auditedPost,
  checkPage,
  figuresByPath,
  kindOfPage,
  type PageCheck,
  rulesKey,
} from '../../core/audit/index.ts';
import { CORE_VERSION } from '../../core/criteria/index.ts';
import { readHtml } from '../../core/draft/index.ts';
import { Vocabulary } from '../../core/language/index.ts';
import type { Scene } from '../../core/scoring/index.ts';
import { indexedPost, postPathOf, SiteIndex } from '../../core/site/index.ts';
import type { PageReadRow } from '../data/audit-rows.ts';
import { keepAudit } from '../data/audits.ts';
import { database } from '../data/database.ts';
import { postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { refreshStaleScores } from '../data/refresh-scores.ts';
import { sceneOf } from '../data/scene.ts';
import type { SceneData } from '../data/scene-data.ts';
import { scoresOf } from '../data/scores.ts';
import { latestFiguresOf } from '../data/search-history.ts';
import { staleScores } from '../data/stale-scores.ts';
import { stillWanted } from './called-off.ts';

/** How often posts that were written meanwhile are looked at once more. */
const ROUNDS = 3;

const vocabulary = new Vocabulary();

/** How far an audit would have to go. */
export interface AuditAhead {
  posts: number;
  /** Those of which the score is known as they stand. */
  scored: number;
}

/** A page that was read, with what was found. */
export interface CheckedPage extends PageCheck {
  path: string;
  title: string;
  kind: PageReadRow['kind'];
  keyword: string;
  at: string;
  metaTitle: string;
  metaDescription: string;
  /** What search finds it for most, as a keyword to choose; empty: it finds it for nothing. */
  topQuery: string;
}

/** Scores every post whose score is not known as it stands, keeping as it goes; such as were written meanwhile once more. */
async function scoreAll(
  siteId: string,
  job: string,
  tell: (done: number) => void,
): Promise<SceneData | null> {
  for (let round = 1; round <= ROUNDS; round++) {
    const stale = await refreshStaleScores(siteId, vocabulary, async (scored, of) => {
      tell(scored / Math.max(1, of));
      await stillWanted(job);
    });
    if (stale === null) return null;
    if (stale === 0) break;
  }
  return readScene(siteId);
}

/** The scene of a site with its other pages among its posts, so that what several say is found. */
function sceneWithPages(data: SceneData, reads: readonly PageReadRow[]): Scene {
  const pages = reads.map((read) => indexedPost(`page ${read.path}`, read));
  return { ...sceneOf(data), index: new SiteIndex(data.site, [...data.posts, ...pages]) };
}

async function checkedPages(siteId: string, data: SceneData): Promise<CheckedPage[]> {
  const reads = await database().pageReads.where('siteId').equals(siteId).toArray();
  const scene = sceneWithPages(data, reads);
  const figures = figuresByPath((await latestFiguresOf(siteId))?.rows ?? []);
  return reads
    .map((read): CheckedPage => {
      const { fields, draft, path, kind, keyword, at } = read;
      const document = { fields: { ...fields, keyword }, draft };
      return {
        ...checkPage(`page ${path}`, document, kind, scene),
        path,
        title: fields.title || path,
        kind,
        keyword,
        at,
        metaTitle: fields.metaTitle,
        metaDescription: fields.metaDescription,
        topQuery: figures.get(path)?.topQuery ?? '',
      };
    })
    .sort((a, b) => b.faults.length - a.faults.length || (a.path < b.path ? -1 : 1));
}

/** A whole site judged on a day. */
export const siteAudit = {
  /** How far an audit would have to go: what was scored before it was stopped is not scored again. */
  async auditAhead(siteId: string): Promise<AuditAhead> {
    const found = await staleScores(siteId);
    const posts = found?.data.posts.length ?? 0;
    return { posts, scored: posts - (found?.stale.length ?? 0) };
  },

  /**
   * Scores all posts, checks the other pages that were read, and keeps what was found under its day. Stopped, the scores stay: asked once more,
   * it goes on from there. `tell` hears how far it is, 0-1.
   */
  async audit(siteId: string, day: string, job: string, tell: (done: number) => void): Promise<Audit> {
    const data = await scoreAll(siteId, job, tell);
    if (!data) throw new Error('The site is gone.');
    const [rows, scores] = await Promise.all([postsOf(siteId), scoresOf(siteId)]);
    const performance = await latestFiguresOf(siteId);
    const figures = figuresByPath(performance?.rows ?? []);
    const posts = rows.flatMap(({ id, fields }): AuditedPost[] => {
      const scored = scores.get(id);
      if (!scored) return [];
      const { score, words, gains, groups } = scored;
      const path = postPathOf(fields, data.site);
      const { clicks = 0, impressions = 0 } = figures.get(path ?? '') ?? {};
      const title = fields.title || fields.slug || 'Untitled';
      return [
        auditedPost(
          { id, title, path, status: fields.status, score, words, gains, clicks, impressions },
          groups,
        ),
      ];
    });
    const pages = (await checkedPages(siteId, data)).map(
      ({ path, title, kind, faults }): AuditedPage => ({
        path,
        title,
        kind,
        faults: faults.map((fault) => fault.title),
      }),
    );
    await stillWanted(job);
    const at = new Date().toISOString();
    const audit: Audit = {
      day,
      at,
      core: CORE_VERSION,
      rules: rulesKey(data.site.profile),
      hasFigures: performance !== null,
      posts,
      pages,
    };
    await keepAudit(siteId, audit, at);
    tell(1);
    return audit;
  },

  /** Keeps a page of the site as it was read just now; what was decided about it before stays. */
  async keepPageRead(siteId: string, path: string, html: string, at: string): Promise<void> {
    const { pageReads } = database();
    const { fields, draft } = readHtml(html);
    await database().transaction('rw', pageReads, async () => {
      const known = await pageReads.get([siteId, path]);
      await pageReads.put({
        siteId,
        path,
        at,
        kind: known?.kind ?? kindOfPage(path, html),
        keyword: known?.keyword ?? '',
        fields,
        draft,
        changed: at,
      });
    });
  },

  /** The pages that were read, each with whether it is fit; those with most to mend first. */
  async otherPages(siteId: string): Promise<CheckedPage[]> {
    const found = await staleScores(siteId);
    if (!found) throw new Error('The site is gone.');
    return checkedPages(siteId, found.data);
  },
};
