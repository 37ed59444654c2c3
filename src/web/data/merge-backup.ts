import equal from 'fast-deep-equal/es6';
import { draftWithPicturesMoved, fieldsWithPicturesMoved } from '../../core/draft/index.ts';
import { joinedPart } from '../../core/performance/index.ts';
import { KeywordBook, unpackKeywords } from '../../core/research/index.ts';
import { emptyHouse } from '../../core/site/index.ts';
import { BACKUP_TABLES, type BackupTables } from './backup-tables.ts';
import { database } from './database.ts';
import { chunksOf, readKeywords, stampRow } from './keyword-chunks.ts';
import { freeName, MEDIA } from './picture-store.ts';
import type { BodyRow, PictureRow, PostRow, SiteRow, VersionRow } from './post-rows.ts';
import type { KeywordChunkRow, SearchFigureRow } from './research-rows.ts';
import type { StudyRow } from './study-rows.ts';

/** The name that every first site had before ids were made at random. */
const FIRST_SITE = 'site-1';

/** A row that may say when it was changed; one that does not is older than any that does. */
interface Dated {
  changed?: string;
}

/** Of each row on both sides the one that was changed later; the one that is here where nobody can tell. */
async function newer<Row extends Dated>(
  table:
    | 'sites'
    | 'ticks'
    | 'lists'
    | 'ideas'
    | 'studies'
    | 'briefs'
    | 'talks'
    | 'reuses'
    | 'audits'
    | 'pageReads',
  rows: readonly Row[],
  keyOf: (row: Row) => string | [string, string],
): Promise<Row[]> {
  const here = (await database().table(table).bulkGet(rows.map(keyOf))) as (Row | undefined)[];
  return rows.filter((row, at) => !here[at] || (row.changed ?? '') > (here[at].changed ?? ''));
}

/** Rows that are not here yet; of what is never changed there is no newer one. */
async function missing<Row>(
  table: 'versions' | 'generations' | 'pages',
  rows: readonly Row[],
  keyOf: (row: Row) => string | [string, string],
): Promise<Row[]> {
  const here = await database().table(table).bulkGet(rows.map(keyOf));
  return rows.filter((_row, at) => !here[at]);
}

/** Whether anything was ever done at a site: settings, posts, or anything else that belongs to it. */
async function isUntouched(site: SiteRow): Promise<boolean> {
  if (site.baseAddress !== '' || site.changed || site.revision > 1 || !equal(site.house, emptyHouse()))
    return false;
  for (const name of BACKUP_TABLES) {
    if (name === 'sites') continue;
    if ((await database().table(name).where('siteId').equals(site.id).count()) > 0) return false;
  }
  return true;
}

/**
 * Lets the sites that a fresh application begins with, and that nothing was done at, give way to those of a backup.
 * Sites that only share the name of everybody's first one get another in the backup's rows.
 */
async function makeRoomForSites(data: BackupTables): Promise<BackupTables> {
  const { sites, posts } = database();
  const known = new Set(data.sites.map(({ id }) => id));
  for (const site of await sites.toArray())
    if (data.sites.length > 0 && (!known.has(site.id) || site.id === FIRST_SITE) && (await isUntouched(site)))
      await sites.delete(site.id);
  const [own, theirs] = [await sites.get(FIRST_SITE), data.sites.find(({ id }) => id === FIRST_SITE)];
  if (!own || !theirs || own.baseAddress === theirs.baseAddress) return data;
  const shared = (await posts.bulkGet(data.posts.map(({ id }) => id))).some(
    (post) => post?.siteId === FIRST_SITE,
  );
  if (shared) return data;
  const id = crypto.randomUUID();
  const moved = { ...data } as Record<string, { id?: string; siteId?: string }[]>;
  for (const name of BACKUP_TABLES)
    moved[name] = moved[name].map((row) =>
      name === 'sites' && row.id === FIRST_SITE
        ? { ...row, id }
        : row.siteId === FIRST_SITE
          ? { ...row, siteId: id }
          : row,
    );
  return moved as unknown as BackupTables;
}

/** Studies of a backup, without the posts that go by another study here: a post goes by one. */
async function mergedStudies(incoming: readonly StudyRow[]): Promise<StudyRow[]> {
  const rows = await newer('studies', incoming, ({ id }) => id);
  const ids = new Set(rows.map(({ id }) => id));
  const taken = new Set(
    (await database().studies.toArray()).filter(({ id }) => !ids.has(id)).flatMap(({ posts }) => posts),
  );
  return rows.map((row) => ({ ...row, posts: row.posts.filter((id) => !taken.has(id)) }));
}

/** Keywords merge phrase by phrase. */
async function mergedKeywords(data: BackupTables, now: string): Promise<KeywordChunkRow[]> {
  const keywords: KeywordChunkRow[] = [];
  for (const siteId of new Set(data.keywords.map((row) => row.siteId))) {
    const known = await readKeywords(siteId);
    const book = new KeywordBook(known.records);
    const chunks = data.keywords.filter((row) => row.siteId === siteId && row.chunk >= 0);
    for (const { packed } of chunks.sort((a, b) => a.chunk - b.chunk))
      for (const keyword of unpackKeywords(packed)) book.add(keyword);
    if (chunks.length > 0)
      keywords.push(
        ...chunksOf(siteId, book.records),
        // No count that was here before may come again with other keywords behind it.
        stampRow(siteId, Math.max(known.stamp + 1, Date.parse(now))),
      );
  }
  return keywords;
}

/** Search figures of the same days merge row by row: of two that differ the later read stands. */
async function mergedFigures(incoming: readonly SearchFigureRow[]): Promise<SearchFigureRow[]> {
  const here = await database().searchFigures.bulkGet(
    incoming.map(({ siteId, id }): [string, string] => [siteId, id]),
  );
  return incoming.map((row, at) => {
    const own = here[at];
    if (!own) return row;
    const [older, newer] = own.changed < row.changed ? [own, row] : [row, own];
    return { ...newer, part: joinedPart(older.part, newer.part) };
  });
}

/** Pictures under names that are free here, and the rows that name them changed with them. */
async function withFreeNames(data: BackupTables): Promise<BackupTables> {
  const pictures: PictureRow[] = [];
  const moved = new Map<string, string>();
  for (const picture of data.pictures) {
    const name = await freeName(picture.siteId, picture.name, picture.sha);
    if (name !== picture.name) moved.set(`${picture.siteId} ${MEDIA}${picture.name}`, MEDIA + name);
    pictures.push({ ...picture, name });
  }
  for (const picture of pictures) {
    const original = moved.get(`${picture.siteId} ${MEDIA}${picture.madeFrom}`);
    if (original) picture.madeFrom = original.slice(MEDIA.length);
  }
  const to = (siteId: string) => (address: string) => moved.get(`${siteId} ${address}`);
  const rename = <Row extends { siteId: string; draft: BodyRow['draft'] }>(row: Row): Row => ({
    ...row,
    draft: draftWithPicturesMoved(row.draft, to(row.siteId)),
  });
  const renameFields = <Row extends { siteId: string; fields: PostRow['fields'] }>(row: Row): Row => ({
    ...row,
    fields: fieldsWithPicturesMoved(row.fields, to(row.siteId)),
  });
  return {
    ...data,
    pictures,
    posts: data.posts.map(renameFields),
    bodies: data.bodies.map(rename),
    versions: data.versions.map((row) => renameFields(rename(row))),
  };
}

/** A post as a version beside the one that stays. */
const aside = (row: PostRow, body: BodyRow | undefined, now: string): VersionRow[] =>
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

/**
 * What of a backup goes in beside what is here: of every row on both sides the newer stays, and of a post the other is
 * kept as a version. In an empty database that is all of it. `revisions` are those of the posts that were here before:
 * an open tab must not take a restored post for the one it holds.
 */
export async function mergedBackup(
  given: BackupTables,
  revisions: ReadonlyMap<string, number>,
  now: string,
): Promise<{ kept: number; data: BackupTables }> {
  const db = database();
  const data = await withFreeNames(await makeRoomForSites(given));
  const here = new Map((await db.posts.toArray()).map((row) => [row.id, row]));
  const bodies = new Map(data.bodies.map((row) => [row.postId, row]));
  const versions = await missing('versions', data.versions, ({ id }) => id);
  let kept = 0;
  const incoming: PostRow[] = [];
  for (const row of data.posts) {
    const own = here.get(row.id);
    if (own && own.changed > row.changed) {
      kept += 1;
      versions.push(...aside(row, bodies.get(row.id), now));
      bodies.delete(row.id);
    } else {
      if (own && own.changed !== row.changed) versions.push(...aside(own, await db.bodies.get(row.id), now));
      incoming.push({ ...row, revision: Math.max(row.revision, (revisions.get(row.id) ?? 0) + 1) });
    }
  }
  const sites: SiteRow[] = [];
  for (const site of await newer('sites', data.sites, ({ id }) => id)) {
    const own = await db.sites.get(site.id);
    sites.push(
      own ? { ...site, opened: own.opened, revision: Math.max(site.revision, own.revision) + 1 } : site,
    );
  }
  return {
    kept,
    data: {
      sites,
      pages: await missing('pages', data.pages, ({ siteId, path }) => [siteId, path]),
      ticks: await newer('ticks', data.ticks, ({ siteId, postId }) => [siteId, postId]),
      keywords: await mergedKeywords(data, now),
      searchFigures: await mergedFigures(data.searchFigures),
      lists: await newer('lists', data.lists, ({ id }) => id),
      ideas: await newer('ideas', data.ideas, ({ id }) => id),
      studies: await mergedStudies(data.studies),
      studyPages: data.studyPages,
      briefs: await newer('briefs', data.briefs, ({ postId }) => postId),
      talks: await newer('talks', data.talks, ({ postId }) => postId),
      reuses: await newer('reuses', data.reuses, ({ id }) => id),
      audits: await newer('audits', data.audits, ({ siteId, day }) => [siteId, day]),
      pageReads: await newer('pageReads', data.pageReads, ({ siteId, path }) => [siteId, path]),
      generations: await missing('generations', data.generations, ({ id }) => id),
      posts: incoming,
      bodies: [...bodies.values()],
      versions,
      pictures: data.pictures,
    },
  };
}
