import { toast } from 'sonner';
import { emptyDraft } from '../../../core/draft/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { database } from '../../data/database.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { addPost, setDeleted } from '../../data/posts.ts';
import { TRASH_DAYS } from '../../data/trash.ts';
import { offerUndo } from '../../state/undo.ts';
import { download } from '../../ui/download.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';

const now = () => new Date().toISOString();

/** Adds an empty post that begins with the site's house rules; answers its id. */
export function newPost(site: SiteRow): Promise<string> {
  return addPost(site.id, crypto.randomUUID(), now(), {
    fields: houseFields(site.house),
    draft: emptyDraft(),
  });
}

/** Adds a post with the text of another; answers its id, or null where that other is gone. */
export async function beginFrom(originId: string): Promise<string | null> {
  const { startFrom } = await import('../../data/start-from.ts');
  const id = await startFrom(originId, crypto.randomUUID(), now());
  if (id !== null)
    toast('A new post with the old text: title, keyword, listing, dates and featured picture are empty.');
  return id;
}

/** Deletes posts, with a way back; `name` is what one alone is called. */
export async function deletePosts(ids: readonly string[], name: string): Promise<void> {
  const stillOut = (await database().posts.bulkGet([...ids])).filter(
    (row) => row?.release && !row.release.withdrawn,
  ).length;
  await setDeleted(ids, now());
  offerUndo(
    `${ids.length === 1 ? `"${name}"` : `${ids.length} posts`} deleted; in the trash for ${TRASH_DAYS} days${
      stillOut === 0
        ? ''
        : `. ${ids.length === 1 ? 'It still stands' : `${stillOut} still ${stillOut === 1 ? 'stands' : 'stand'}`} on the blog: withdraw on Release`
    }`,
    () => setDeleted(ids, ''),
    10_000,
  );
}

/** Packs posts with their pictures into a zip and saves it. */
export async function exportPosts(siteId: string, ids: readonly string[]): Promise<void> {
  const task = jobsWorker().then((jobs) => jobs.exportZip(siteId, [...ids]));
  toast.promise(task, {
    loading: 'Packing the posts...',
    success: `${ids.length} ${ids.length === 1 ? 'post' : 'posts'} packed`,
    error: 'The posts could not be packed. Try a smaller selection.',
  });
  download('posts.zip', await task);
}
