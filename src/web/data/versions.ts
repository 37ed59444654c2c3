import { type Draft, thinnedVersions } from '../../core/draft/index.ts';
import { database } from './database.ts';
import type { PostContent } from './post-content.ts';
import type { VersionReason, VersionRow } from './post-rows.ts';

/** Versions of a post, the newest first. */
export async function versionsOf(siteId: string, postId: string): Promise<VersionRow[]> {
  const rows = await database().versions.where('[siteId+postId]').equals([siteId, postId]).toArray();
  return rows.sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1));
}

const sameBody = (a: Draft, b: Draft) => JSON.stringify(a.blocks) === JSON.stringify(b.blocks);

/** True where two contents differ in nothing that a reader or a score would see. */
export const sameContent = (
  { document, outline }: PostContent,
  row: Pick<VersionRow, 'fields' | 'draft' | 'outline'>,
): boolean =>
  sameBody(document.draft, row.draft) &&
  JSON.stringify([document.fields, outline]) === JSON.stringify([row.fields, row.outline]);

/**
 * Keeps a version, unless it would repeat the newest one (a name is then given to that one). Older versions that
 * time has made superfluous go. Answers the version.
 */
export async function keepVersion(
  post: { siteId: string; postId: string },
  content: PostContent,
  reason: VersionReason,
  at: string,
  name = '',
): Promise<VersionRow> {
  const { versions } = database();
  return database().transaction('rw', versions, async () => {
    const known = await versionsOf(post.siteId, post.postId);
    const [newest] = known;
    if (newest && sameContent(content, newest)) {
      if (!name) return newest;
      const named: VersionRow = { ...newest, name, reason: 'named' };
      await versions.put(named);
      return named;
    }
    const row: VersionRow = {
      id: crypto.randomUUID(),
      ...post,
      at,
      reason,
      name,
      fields: content.document.fields,
      draft: content.document.draft,
      outline: content.outline,
      score: null,
    };
    await versions.add(row);
    const aged = known.map(({ id, at: kept, reason: why, name: given }) => ({
      id,
      at: kept,
      lasting: given !== '' || why !== 'time',
    }));
    await versions.bulkDelete(thinnedVersions(aged, at));
    return row;
  });
}

/** A version that was sent out stays for good, under whatever reason it was kept before; a name that it has stays too. */
export async function keepForGood(id: string): Promise<void> {
  const { versions } = database();
  await database().transaction('rw', versions, async () => {
    const row = await versions.get(id);
    if (row && row.name === '') await versions.put({ ...row, reason: 'published' });
  });
}

/** Takes a version out. */
export const removeVersion = (id: string): Promise<void> => database().versions.delete(id);

/** Puts a version back that was taken out, or changes its name. */
export async function putVersion(row: VersionRow): Promise<void> {
  await database().versions.put(row);
}
