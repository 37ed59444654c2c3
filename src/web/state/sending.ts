import { useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import { database } from '../data/database.ts';
import { keepSent, postsNowOut } from '../data/releases.ts';
import { type SendJob, sendJobs } from '../services/publishing.ts';

/** Milliseconds between two looks: while something is on its way, and else. */
const SOON = 1000;
const LATER = 20_000;
/** The same where a folder of posts is open, in which others may write. */
const WATCHED = 4000;

let jobs: readonly SendJob[] = [];
let folderChanges: number | null = null;
let isAway = false;
/** Posts that go out as part of something larger, which says by itself what came of it. */
const quiet = new Set<string>();
let timer = 0;
const listeners = new Set<() => void>();

const isUnderWay = ({ state, next }: SendJob) =>
  state === 'sending' || (state === 'waiting' && (next === '' || Date.parse(next) - Date.now() < 60_000));

/** Takes in what became of posts on their way, and of those whose time has come. */
async function takeIn(now: readonly SendJob[]): Promise<void> {
  const own = (await database().sites.toArray()).map(({ id }) => id);
  const sent = await keepSent(now.filter(({ siteId }) => own.includes(siteId)));
  const out = await postsNowOut(new Date().toISOString());
  if (sent.length + out.length === 0) return;
  // Seldom, and never before the first screen: it comes when it is wanted.
  const { takeFields, takeInSent } = await import('./sent-job.ts');
  for (const job of sent) await takeInSent(job, quiet.delete(job.postId));
  for (const { id, fields } of out) {
    await takeFields(id, { status: 'published' });
    toast(`“${fields.title}” is out now.`, { duration: 12_000 });
  }
}

/** The next sending of a post is told by whoever sends many. */
export const sentQuietly = (postId: string): void => {
  quiet.add(postId);
};

/** Looks at what is on its way; from then on by itself, sooner while something is. */
export async function lookAtSending(): Promise<void> {
  clearTimeout(timer);
  try {
    const { jobs: found, folderChanges: changes } = await sendJobs();
    if (JSON.stringify(found) !== JSON.stringify(jobs) || changes !== folderChanges || isAway) {
      jobs = found;
      folderChanges = changes;
      isAway = false;
      for (const tell of listeners) tell();
    }
    await takeIn(found);
  } catch (error) {
    // The server is away, or keeps nothing; the screen says it where something waits.
    console.warn('What is on its way cannot be seen:', error);
    if (!isAway) {
      isAway = true;
      for (const tell of listeners) tell();
    }
  } finally {
    const idle = folderChanges === null ? LATER : WATCHED;
    timer = window.setTimeout(() => void lookAtSending(), jobs.some(isUnderWay) ? SOON : idle);
  }
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Posts on their way to where they are published, of all sites, in the order in which they go. */
export const useSendJobs = (): readonly SendJob[] => useSyncExternalStore(subscribe, () => jobs);

/** A count that rises whenever something changes in the folder of posts; null: none is open. */
export const useFolderChanges = (): number | null => useSyncExternalStore(subscribe, () => folderChanges);

/** Whether the server cannot be asked. */
export const useIsServerAway = (): boolean => useSyncExternalStore(subscribe, () => isAway);
