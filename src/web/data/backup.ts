import { type Backup, readBackupFile, writeBackupFile } from '../../core/formats/index.ts';
import { KeywordBook, unpackKeywords } from '../../core/research/index.ts';
import { emptyHouse } from '../../core/site/index.ts';
import { database } from './database.ts';
import { sha256 } from './digest.ts';
import { pictureType } from './import-files.ts';
import { chunksOf, readKeywords, stampRow } from './keyword-chunks.ts';
import { readPerformanceRows, writePerformanceRows } from './performance-chunks.ts';
import { freeName, MEDIA } from './picture-store.ts';
import type { BodyRow, PageRow, PictureRow, PostRow, SiteRow, TickRow, VersionRow } from './post-rows.ts';
import type { IdeaRow, KeywordChunkRow, ListRow, PerformanceChunkRow } from './research-rows.ts';
import type { BriefRow, GenerationRow, StudyPageRow, StudyRow } from './study-rows.ts';

/** The tables of a backup; scores are computed anew. */
interface Tables {
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

const TABLES = [
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
] as const;

/** Tables that backups of earlier days did not know: all from this one on. */
const LATER = TABLES.slice(TABLES.indexOf('ticks'));

/** Everything in one file: sites, pages, posts, versions, pictures. */
export async function writeBackup(now: string): Promise<Blob> {
  const db = database();
  const data = await db.transaction('r', db.tables, async () => {
    const rows = await Promise.all(TABLES.map((name) => db.table(name).toArray()));
    return Object.fromEntries(TABLES.map((name, at) => [name, rows[at]])) as unknown as Tables;
  });
  const files = new Map<string, Uint8Array>();
  for (const { sha } of data.pictures) {
    const row = await db.blobs.get(sha);
    if (row) files.set(sha, new Uint8Array(await row.blob.arrayBuffer()));
  }
  data.pictures = data.pictures.filter(({ sha }) => files.has(sha));
  const bytes = await writeBackupFile({ made: now, data, files }, sha256);
  return new Blob([bytes], { type: 'application/zip' });
}

/** What a restore did. */
export interface Restored {
  made: string;
  posts: number;
  pictures: number;
  /** Posts that are newer here and stayed; the backup's text of them is kept as a version. */
  kept: number;
}

/**
 * Puts a backup in, all or nothing: instead of what is here, or merged with it (of a post on both sides the newer
 * stays, the other is kept as a version). Throws `UnreadableFile`, or what the storage says; then nothing has changed.
 */
export async function restoreBackup(
  bytes: Uint8Array,
  mode: 'merge' | 'replace',
  now: string,
): Promise<Restored> {
  const backup = await readBackupFile<Tables>(bytes, sha256);
  for (const name of LATER) backup.data[name] ??= [];
  backup.data.sites = backup.data.sites.map((site) => ({
    ...site,
    house: site.house ?? emptyHouse(),
    opened: site.opened ?? '',
  }));
  const db = database();
  const types = new Map(backup.data.pictures.map(({ sha, name }) => [sha, pictureType(name) ?? '']));
  const blobs = [...backup.files].map(([sha, file]) => ({
    sha,
    blob: new Blob([file as BlobPart], { type: types.get(sha) ?? '' }),
  }));
  return db.transaction('rw', db.tables, async () => {
    const revisions = new Map((await db.posts.toArray()).map((row) => [row.id, row.revision]));
    if (mode === 'replace') await Promise.all(db.tables.map((table) => table.clear()));
    await db.blobs.bulkPut(blobs);
    const { kept, data } = await merged(backup, revisions, now);
    for (const name of TABLES) await db.table(name).bulkPut(data[name]);
    const { posts, pictures } = backup.data;
    return { made: backup.made, posts: posts.length, pictures: pictures.length, kept };
  });
}

/**
 * Research of a backup beside what is here: keywords merge phrase by phrase, the export of the later date stays, lists
 * and ideas of the backup are added or stand in place of the same ones.
 */
async function mergedResearch(
  data: Tables,
  now: string,
): Promise<
  Pick<
    Tables,
    'keywords' | 'performance' | 'lists' | 'ideas' | 'studies' | 'studyPages' | 'briefs' | 'generations'
  >
> {
  const keywords: KeywordChunkRow[] = [];
  const performance: PerformanceChunkRow[] = [];
  for (const siteId of new Set([...data.keywords, ...data.performance].map((row) => row.siteId))) {
    const known = await readKeywords(siteId);
    const book = new KeywordBook(known.records);
    const chunks = data.keywords.filter((row) => row.siteId === siteId && row.chunk >= 0);
    for (const { packed } of chunks.sort((a, b) => a.chunk - b.chunk))
      for (const keyword of unpackKeywords(packed)) book.add(keyword);
    if (chunks.length > 0)
      keywords.push(
        ...chunksOf(siteId, book.records), // No count that was here before may come again with other keywords behind it.
        stampRow(siteId, Math.max(known.stamp + 1, Date.parse(now))),
      );
    const own = await readPerformanceRows(siteId);
    const theirs = data.performance.filter((row) => row.siteId === siteId);
    if (theirs.length === 0 || (own && own.source.date > theirs[0].source.date)) continue;
    await writePerformanceRows(siteId, null);
    for (const row of theirs) performance.push(row);
  }
  const { lists, ideas, studies, studyPages, briefs, generations } = data;
  return { keywords, performance, lists, ideas, studies, studyPages, briefs, generations };
}

/**
 * What of a backup goes in beside what is here. In an empty database that is all of it. `revisions` are those of the
 * posts that were here before: an open tab must not take a restored post for the one it holds.
 */
async function merged(
  { data }: Backup<Tables>,
  revisions: ReadonlyMap<string, number>,
  now: string,
): Promise<{ kept: number; data: Tables }> {
  const db = database();
  const [sites, posts] = await Promise.all([db.sites.toArray(), db.posts.toArray()]);
  const here = new Map(posts.map((row) => [row.id, row]));
  const pictures: PictureRow[] = [];
  const moved = new Map<string, string>();
  for (const picture of data.pictures) {
    const name = await freeName(picture.siteId, picture.name, picture.sha);
    if (name !== picture.name) moved.set(`${picture.siteId} ${MEDIA}${picture.name}`, MEDIA + name);
    pictures.push({ ...picture, name });
  }
  const rename = <Row extends { siteId: string; draft: BodyRow['draft'] }>(row: Row): Row => ({
    ...row,
    draft: {
      ...row.draft,
      blocks: row.draft.blocks.map((block) => {
        const src = block.image && moved.get(`${row.siteId} ${block.image.src}`);
        return src && block.image ? { ...block, image: { ...block.image, src } } : block;
      }),
    },
  });
  const renameFields = <Row extends { siteId: string; fields: PostRow['fields'] }>(row: Row): Row => {
    const image = moved.get(`${row.siteId} ${row.fields.image}`);
    return image ? { ...row, fields: { ...row.fields, image } } : row;
  };
  const bodies = new Map(data.bodies.map((row) => [row.postId, rename(row)]));
  const versions = data.versions.map((row) => renameFields(rename(row)));
  const aside = (row: PostRow, body: BodyRow | undefined): VersionRow[] =>
    body
      ? [
          {
            id: crypto.randomUUID(),
            siteId: row.siteId,
            postId: row.id,
            at: now,
            reason: 'restore',
            name: '',
            fields: row.fields,
            draft: body.draft,
            outline: body.outline,
            score: null,
          },
        ]
      : [];
  let kept = 0;
  const incoming: PostRow[] = [];
  for (const row of data.posts.map(renameFields)) {
    const own = here.get(row.id);
    if (own && own.changed > row.changed) {
      kept += 1;
      versions.push(...aside(row, bodies.get(row.id)));
      bodies.delete(row.id);
    } else {
      if (own && own.changed !== row.changed) versions.push(...aside(own, await db.bodies.get(row.id)));
      incoming.push({ ...row, revision: Math.max(row.revision, (revisions.get(row.id) ?? 0) + 1) });
    }
  }
  const known = new Set(sites.map((site) => site.id));
  return {
    kept,
    data: {
      sites: data.sites.filter((site) => !known.has(site.id)),
      pages: data.pages,
      ticks: data.ticks,
      ...(await mergedResearch(data, now)),
      posts: incoming,
      bodies: [...bodies.values()],
      versions,
      pictures,
    },
  };
}
