import type { Draft } from '../../core/draft/index.ts';
import {
  type NotInPost,
  PostIndex,
  type ReusedPart,
  type ReuseFrom,
  type ReuseKind,
  type ReuseWishes,
  readWording,
  reuse,
} from '../../core/reuse/index.ts';
import { database } from '../data/database.ts';

/** How a part stands to the post that it was made from. */
export interface HeldPart {
  notIn: NotInPost[];
  /** Sentences it was made from that the post has no more. */
  gone: string[];
}

let last: { sign: string; index: PostIndex } | null = null;

/** The post as an index; the one that was asked for last is kept. */
function indexOf(draft: Draft, title: string): PostIndex {
  const sign = JSON.stringify([title, draft.blocks.map(({ kind, text }) => [kind, text])]);
  if (last?.sign !== sign) last = { sign, index: new PostIndex(draft, title) };
  return last.index;
}

export const reusing = {
  /** Makes something of a post. */
  make: (kind: ReuseKind, draft: Draft, from: ReuseFrom, wishes: ReuseWishes): ReusedPart[] =>
    reuse(kind, draft, from, wishes),

  /** The parts of another wording, out of the paragraphs of an answer. */
  reworded: (
    kind: ReuseKind,
    pieces: readonly string[],
    now: readonly ReusedPart[],
    draft: Draft,
    from: ReuseFrom,
    wishes: ReuseWishes,
  ): ReusedPart[] => readWording(kind, pieces, now, draft, from, wishes),

  /** Holds what was made, each part of each, against the post as it stands. */
  held(draft: Draft, title: string, made: readonly (readonly ReusedPart[])[]): HeldPart[][] {
    const index = indexOf(draft, title);
    return made.map((parts) =>
      parts.map((part) => ({ notIn: index.notIn(part.text), gone: index.gone(part) })),
    );
  },

  /** Holds parts that were made of other posts, each against its own; null where the post is gone. */
  async heldElsewhere(
    parts: readonly (readonly [postId: string, part: ReusedPart])[],
  ): Promise<(HeldPart | null)[]> {
    const ids = [...new Set(parts.map(([id]) => id))];
    const [rows, bodies] = await Promise.all([database().posts.bulkGet(ids), database().bodies.bulkGet(ids)]);
    const indexes = new Map(
      ids.map((id, at) => {
        const [row, body] = [rows[at], bodies[at]];
        return [id, row && body && row.deleted === '' ? new PostIndex(body.draft, row.fields.title) : null];
      }),
    );
    return parts.map(([id, part]) => {
      const index = indexes.get(id);
      return index ? { notIn: index.notIn(part.text), gone: index.gone(part) } : null;
    });
  },
};

export type Reusing = typeof reusing;
