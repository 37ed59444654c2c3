import type { Profile } from '../../core/criteria/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';
import { Vocabulary } from '../../core/language/index.ts';
import { finishedDraft } from '../../core/outline/index.ts';
import { type ProfileEffect, profileEffect } from '../../core/scoring/index.ts';
import { voiceOf } from '../../core/site/index.ts';
import type { Restored, RestoreMode } from '../data/backup.ts';
import type { KeptCopy } from '../data/copies.ts';
import { database, openDatabase } from '../data/database.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { refreshStaleScores } from '../data/refresh-scores.ts';
import type { ReplacedRows } from '../data/replaced-rows.ts';
import { sceneOf } from '../data/scene.ts';
import { scoreVersions } from '../data/version-scores.ts';
import type { ReadBackAccount } from './read-back.ts';

const vocabulary = new Vocabulary();
/** What the last restore changed, until it is taken back. */
let lastRestore: ReplacedRows | null = null;

/** What is replaced can be had back for seven days; where it cannot be kept, the step goes on all the same. */
async function keepCopyFirst(now: string): Promise<void> {
  try {
    await (await import('../data/copies.ts')).keepCopy(now);
  } catch (error) {
    console.error('What is being replaced could not be kept:', error);
  }
}

/** Long jobs. They run in a worker, or in the page where storage is its memory. */
export const jobs = {
  open(name: string): void {
    openDatabase(name);
  },

  /** Computes the scores of posts whose kept score is missing or out of date, and keeps them. Answers how many. */
  refreshScores: async (siteId: string): Promise<number> =>
    (await refreshStaleScores(siteId, vocabulary)) ?? 0,

  /** What became of a post on its way to its readers: the page as they get it beside the version that was sent. */
  async readPageBack(
    siteId: string,
    postId: string,
    page: { html: string; address: string },
    versionId: string,
  ): Promise<ReadBackAccount | null> {
    const sent = await database().versions.get(versionId);
    if (!sent) return null;
    const { readPageBack } = await import('./read-back.ts');
    return readPageBack(siteId, postId, page, {
      fields: sent.fields,
      draft: finishedDraft(sent.draft, sent.outline),
    });
  },

  /** What another profile would do to the posts of a site; null: the site is gone. */
  async tryProfile(siteId: string, profile: Profile): Promise<ProfileEffect[] | null> {
    const [data, site] = await Promise.all([readScene(siteId), database().sites.get(siteId)]);
    if (!data || !site) return null;
    // The voice counts as soon as the profile that is tried gives it a weight.
    const scene = { ...sceneOf(data), voice: voiceOf(site.house)?.figures ?? null };
    const rows = await postsOf(siteId);
    const bodies = await database().bodies.bulkGet(rows.map((row) => row.id));
    return rows.map(({ id, fields }, at) =>
      profileEffect(id, { fields, draft: finishedBody(bodies[at]) }, scene, profile, vocabulary),
    );
  },

  /** Scores the versions of a post that have none yet. */
  scoreVersions: (siteId: string, postId: string): Promise<number> =>
    scoreVersions(siteId, postId, vocabulary),

  /** Takes out pictures that nothing names; of those that were there when the visit began. */
  async collectPictures(known: [siteId: string, name: string][]): Promise<number> {
    return (await import('../data/collect-pictures.ts')).collectPictures(known);
  },

  /** A zip of posts, their pictures and `site.json`. */
  async exportZip(siteId: string, ids: readonly string[]): Promise<Blob> {
    // The writers come when they are asked for: most visits never export.
    return (await import('../data/export-zip.ts')).exportZip(siteId, ids);
  },

  /** A post that was written as a file, zipped with its pictures; null where it has none. */
  async zipWithPictures(
    siteId: string,
    document: PostDocument,
    file: { name: string; text: string },
  ): Promise<Blob | null> {
    return (await import('../data/export-zip.ts')).zipWithPictures(siteId, document, file);
  },

  /** A post as .docx as it stands on the screen, saved or not, with what the format could not hold. */
  async exportDocx(
    siteId: string,
    document: PostDocument,
  ): Promise<{ file: Blob; left: string[]; lost: string[] }> {
    return (await import('../data/export-docx.ts')).exportDocx(siteId, document);
  },

  /** Everything in one file, with what of it could not be kept. */
  async writeBackup(now: string): Promise<{ file: Blob; damaged: string[] }> {
    return (await import('../data/backup.ts')).writeBackup(now);
  },

  /** Reads a backup and puts it in, all or nothing. */
  async restoreBackup(file: Blob, mode: RestoreMode, now: string): Promise<Restored> {
    const { restoreBackup } = await import('../data/backup.ts');
    if (mode === 'replace') await keepCopyFirst(now);
    const { done, replaced } = await restoreBackup(new Uint8Array(await file.arrayBuffer()), mode, now);
    lastRestore = replaced;
    return done;
  },

  /** Keeps a copy beside the database. Answers whether there was anything to keep. */
  async keepCopy(now: string): Promise<boolean> {
    return (await import('../data/copies.ts')).keepCopy(now);
  },

  /** Copies that are kept, the newest first. */
  async keptCopies(): Promise<KeptCopy[]> {
    return (await import('../data/copies.ts')).keptCopies();
  },

  /** Puts a kept copy in. */
  async restoreCopy(made: string, mode: RestoreMode, now: string): Promise<Restored> {
    const { restoreCopy } = await import('../data/copies.ts');
    if (mode === 'replace') await keepCopyFirst(now);
    const { done, replaced } = await restoreCopy(made, mode, now);
    lastRestore = replaced;
    return done;
  },

  /** Takes the last restore back, as far as nothing was changed since; answers in words what stays. */
  async takeRestoreBack(now: string): Promise<string> {
    const replaced = lastRestore;
    lastRestore = null;
    if (!replaced)
      return 'It cannot be taken back any more. How it was before is among the copies under Backup.';
    return (await import('../data/replaced-rows.ts')).takeReplacedBack(replaced, now);
  },
};

export type Jobs = typeof jobs;
