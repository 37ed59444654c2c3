import type { Transcript } from '../../core/talk/index.ts';
import { database } from './database.ts';
import type { RecordingRow, TalkRow } from './talk-rows.ts';

/** Bytes of a recording that is kept with its post; larger ones play until the page is left. */
export const MAX_RECORDING_BYTES = 300_000_000;

/** The talk of a post; undefined where it has none. */
export const talkOf = (postId: string): Promise<TalkRow | undefined> => database().talks.get(postId);

/** Its transcript, as the core reads it. */
export const transcriptOf = ({ form, cues }: TalkRow): Transcript => ({ form, cues });

/** Keeps a talk with its post, in place of one that was there; answers the way back. */
export async function keepTalk(row: Omit<TalkRow, 'changed'>): Promise<() => Promise<void>> {
  const { talks } = database();
  const before = await database().transaction('rw', talks, async () => {
    const own = await talks.get(row.postId);
    await talks.put({ ...row, changed: new Date().toISOString() });
    return own;
  });
  return async () => {
    if (before) await talks.put(before);
    else await talks.delete(row.postId);
  };
}

/** Changes what is known of a talk's recording, from how it stands in the database. */
export async function changeTalk(
  postId: string,
  change: Partial<Pick<TalkRow, 'address' | 'kind' | 'title'>>,
): Promise<void> {
  const { talks } = database();
  await database().transaction('rw', talks, async () => {
    const row = await talks.get(postId);
    if (row) await talks.put({ ...row, ...change, changed: new Date().toISOString() });
  });
}

/** Takes a talk and its recording from a post; answers the way back. */
export async function removeTalk(postId: string): Promise<() => Promise<void>> {
  const { talks, recordings } = database();
  const [talk, recording] = await database().transaction('rw', talks, recordings, async () => {
    const own = [await talks.get(postId), await recordings.get(postId)] as const;
    await talks.delete(postId);
    await recordings.delete(postId);
    return own;
  });
  return () =>
    database().transaction('rw', talks, recordings, async () => {
      if (talk) await talks.put(talk);
      if (recording) await recordings.put(recording);
    });
}

/** The recording that lies with a post; undefined where there is none. */
export const recordingOf = (postId: string): Promise<RecordingRow | undefined> =>
  database().recordings.get(postId);

/** Keeps a recording with its post. */
export const keepRecording = async (row: RecordingRow): Promise<void> => {
  await database().recordings.put(row);
};
