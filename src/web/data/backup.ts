import { readBackupFile, setDamagedAside, writeBackupFile } from '../../core/formats/index.ts';
import { emptyHouse } from '../../core/site/index.ts';
import { BACKUP_TABLES, type BackupTables, LATER_TABLES } from './backup-tables.ts';
import { database } from './database.ts';
import { sha256 } from './digest.ts';
import { pictureType } from './import-files.ts';
import { mergedBackup } from './merge-backup.ts';
import { type ReplacedRows, withReplacedRows } from './replaced-rows.ts';
import type { UndatedPerformanceRow } from './research-rows.ts';
import { figureRowsOfUndated } from './undated-performance.ts';

/** Every table as a backup holds it, with the files that its pictures name. Damaged records are set aside and named. */
export async function backupData(): Promise<{
  data: BackupTables;
  files: Map<string, Blob>;
  damaged: string[];
}> {
  const db = database();
  const data = await db.transaction('r', db.tables, async () => {
    const rows = await Promise.all(BACKUP_TABLES.map((name) => db.table(name).toArray()));
    return Object.fromEntries(BACKUP_TABLES.map((name, at) => [name, rows[at]])) as unknown as BackupTables;
  });
  const files = new Map<string, Blob>();
  for (const { sha } of data.pictures) {
    const row = await db.blobs.get(sha);
    if (row) files.set(sha, row.blob);
  }
  data.pictures = data.pictures.filter(({ sha }) => files.has(sha));
  // Written as it can be read again: what no reader would take is no backup.
  const damaged = setDamagedAside(data) ?? ['Tables of another shape than they should have'];
  return { data, files, damaged };
}

/** Everything in one file: sites, pages, posts, versions, pictures. `damaged` says what of it could not be kept. */
export async function writeBackup(now: string): Promise<{ file: Blob; damaged: string[] }> {
  const { data, files: blobs, damaged } = await backupData();
  const files = new Map<string, Uint8Array>();
  for (const [sha, blob] of blobs) files.set(sha, new Uint8Array(await blob.arrayBuffer()));
  const bytes = await writeBackupFile({ made: now, data, files }, sha256);
  return { file: new Blob([bytes], { type: 'application/zip' }), damaged };
}

/** What a restore did. */
export interface Restored {
  made: string;
  posts: number;
  pictures: number;
  /** Posts that are newer here and stayed; the backup's text of them is kept as a version. */
  kept: number;
  /** What of the file could not be read, in words. */
  damaged: string[];
}

/** How a backup goes in: beside what is here, or in its place. */
export type RestoreMode = 'merge' | 'replace';

/** Files are shared by their content; recordings are in no backup, and the writer's own. */
const STAYS = new Set(['blobs', 'recordings']);

/**
 * Puts a backup in, all or nothing: instead of what is here, or merged with it (of every row on both sides the newer
 * stays, and of a post the other is kept as a version). Answers what it did and which rows it changed, for the way back.
 * `beside` are files by their SHA-256 that lie outside of it. Throws `UnreadableFile`, or what the storage says; then
 * nothing has changed.
 */
export async function restoreBackup(
  bytes: Uint8Array,
  mode: RestoreMode,
  now: string,
  beside?: ReadonlyMap<string, Uint8Array>,
): Promise<{ done: Restored; replaced: ReplacedRows }> {
  const backup = await readBackupFile<BackupTables & { performance?: UndatedPerformanceRow[] }>(
    bytes,
    sha256,
    beside,
  );
  for (const name of LATER_TABLES) backup.data[name] ??= [];
  backup.data.searchFigures.push(...figureRowsOfUndated(backup.data.performance ?? []));
  backup.data.sites = backup.data.sites.map((site) => ({
    ...site,
    house: site.house ?? emptyHouse(),
    opened: site.opened ?? '',
  }));
  const db = database();
  const types = new Map(backup.data.pictures.map(({ sha, name }) => [sha, pictureType(name) ?? '']));
  const blobs = [...types].flatMap(([sha, type]) => {
    const file = backup.files.get(sha);
    return file ? [{ sha, blob: new Blob([file as BlobPart], { type }) }] : [];
  });
  const { answer, replaced } = await db.transaction('rw', db.tables, async () =>
    withReplacedRows(async () => {
      const revisions = new Map((await db.posts.toArray()).map((row) => [row.id, row.revision]));
      if (mode === 'replace')
        await Promise.all(db.tables.filter(({ name }) => !STAYS.has(name)).map((table) => table.clear()));
      await db.blobs.bulkPut(blobs);
      const { kept, data } = await mergedBackup(backup.data, revisions, now);
      for (const name of BACKUP_TABLES) await db.table(name).bulkPut(data[name]);
      return kept;
    }),
  );
  const { posts, pictures } = backup.data;
  return {
    done: {
      made: backup.made,
      posts: posts.length,
      pictures: pictures.length,
      kept: answer,
      damaged: backup.damaged,
    },
    replaced,
  };
}
