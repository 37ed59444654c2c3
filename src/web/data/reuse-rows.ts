import type { ReusedPart, ReuseKind, ReuseWishes } from '../../core/reuse/index.ts';

/** That something was sent somewhere. */
export interface SentRecord {
  /** Where to, as the writer calls it. */
  channel: string;
  /** How it left: by hand, copied, as a file. */
  how: 'recorded' | 'copied' | 'exported';
  /** UTC instant. */
  at: string;
}

/** Something that was made of a post, as it stands after the writer's edits. */
export interface ReuseRow {
  id: string;
  siteId: string;
  postId: string;
  kind: ReuseKind;
  /** UTC instant at which it was made. */
  made: string;
  wishes: ReuseWishes;
  parts: ReusedPart[];
  /** Campaign tags of its links. */
  tags: [name: string, value: string][];
  sent: SentRecord[];
  /** Day on which it goes out next, `2026-12-01`; empty: none is planned. */
  planned: string;
  /** Of a newsletter: what stands around its posts, and which others are in it. */
  letter?: { subject: string; opening: string; closing: string; posts: string[] };
  /** Of a picture: as high as it is wide; not there: the shape for shares. */
  square?: boolean;
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}
