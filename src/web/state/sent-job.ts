import { toast } from 'sonner';
import type { PostFields } from '../../core/draft/index.ts';
import { isForReaders } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import { loadPost, savePost } from '../data/posts.ts';
import { keepWhereItLeads } from '../data/where-it-leads.ts';
import type { SendJob } from '../services/publishing.ts';
import { setFieldsOfOpen } from './post/open-sessions.ts';

/** Gives a post another status and dates, in its session where it is open. */
export async function takeFields(
  postId: string,
  fields: Pick<PostFields, 'status'> & Partial<PostFields>,
): Promise<void> {
  if (setFieldsOfOpen(postId, fields)) return;
  const loaded = await loadPost(postId);
  if (!loaded || loaded.row.fields.status === fields.status) return;
  const { row, draft, outline } = loaded;
  const document = { fields: { ...row.fields, ...fields }, draft };
  await savePost({ id: postId, revision: row.revision, now: new Date().toISOString(), document, outline });
}

const SAID = { publish: 'stands on the blog now', withdraw: 'is withdrawn', restore: 'is back on the blog' };

/** Takes in what became of a post that was sent: its status, where its address leads, and, unless it went quietly, a word of it. */
export async function takeInSent(job: SendJob, isQuiet = false): Promise<void> {
  const { action, title, postId, isLater, revision } = job;
  await keepWhereItLeads(job);
  if (action === 'withdraw') await takeFields(postId, { status: 'draft' });
  if (action === 'restore') await takeFields(postId, { status: 'published' });
  const row = await database().posts.get(postId);
  // The page was closed between handing it over and writing so.
  if (action === 'publish' && row && !isForReaders(row.fields.status)) {
    const sent = await database().versions.get(revision);
    if (sent) {
      const { status, date, updated } = sent.fields;
      await takeFields(postId, { status, date, updated });
    }
  }
  if (isQuiet) return;
  const waits = action === 'publish' && Date.parse(row?.release?.out ?? '') > Date.now();
  toast(`“${title}” ${waits || isLater ? 'was handed over and goes out on its day' : SAID[action]}.`);
}
