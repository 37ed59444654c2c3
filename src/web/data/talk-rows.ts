import type { Cue, TranscriptForm } from '../../core/talk/index.ts';

/** The talk that a post is made from: its transcript, and what is known of its recording. */
export interface TalkRow {
  postId: string;
  siteId: string;
  /** Name of the file that it came from; empty: pasted. */
  name: string;
  /** UTC instant at which it was brought. */
  at: string;
  form: TranscriptForm;
  cues: Cue[];
  /** Where readers can play the recording; empty: nowhere. */
  address: string;
  kind: 'video' | 'audio';
  /** Title of the recording. */
  title: string;
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}

/** The recording of a talk, for listening to on this machine: it is in no backup and is sent nowhere. */
export interface RecordingRow {
  postId: string;
  siteId: string;
  name: string;
  blob: Blob;
}
