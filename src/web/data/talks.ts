import type { Transcript } from '../../core/talk/index.ts';
import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import type { RecordingRow, TalkRow } from './talk-rows.ts';

/** Bytes of a recording that is kept with its post; larger ones play until the page is left. */
export const MAX_RECORDING_BYTES = 300_000_000;

/** The talk of a post; undefined where it has none. */
export const talkOf = (postId: string): Promise<TalkRow | undefined> => database().talks.get(postId);

/** Its transcript, as the core reads it. */
export const transcriptOf = ({ form, cues }: TalkRow): Transcript => ({ form, cues });

/** What is said where a talk cannot be put back. */
const ANOTHER = 'Another talk was brought since; it stays.';

/** Keeps a talk with its post, in place of one that was there; answers the way back, which leaves one that was brought since. */
export async function keepTalk(row: Omit<TalkRow, 'changed'>): Promise<RowBack> {
  const { talks } = database();
  const before = await database().transaction('rw', talks, async () => {
    const own = await talks.get(row.postId);
    await talks.put({ ...row, changed: new Date().toISOString() });
    return own;
  });
  return () =>
    database().transaction('rw', talks, async () => {
      if ((await talks.get(row.postId))?.at !== row.at) return ANOTHER;
      if (before) await talks.put(before);
      else await talks.delete(row.postId);
      return '';
    });
}

/** Changes what is known of a talk's recording, from how it stands in the database. */
export const changeTalk = (
  postId: string,
  change: Partial<Pick<TalkRow, 'address' | 'kind' | 'title'>>,
): Promise<RowBack> => changeRow(database().talks, postId, () => change);

/** Takes a talk and its recording from a post; answers the way back, which leaves one that was brought since. */
export async function removeTalk(postId: string): Promise<RowBack> {
  const { talks, recordings } = database();
  const [talk, recording] = await database().transaction('rw', talks, recordings, async () => {
    const own = [await talks.get(postId), await recordings.get(postId)] as const;
    await talks.delete(postId);
    await recordings.delete(postId);
    return own;
  });
  return () =>
    database().transaction('rw', talks, recordings, async () => {
      if (await talks.get(postId)) return ANOTHER;
      if (talk) await talks.put(talk);
      if (recording && !(await recordings.get(postId))) await recordings.put(recording);
      return '';
    });
}

/** The recording that lies with a post; undefined where there is none. */
export const recordingOf = (postId: string): Promise<RecordingRow | undefined> =>
  database().recordings.get(postId);

/** Keeps a recording with its post. */
export const keepRecording = async (row: RecordingRow): Promise<void> => {
  await database().recordings.put(row);
};
