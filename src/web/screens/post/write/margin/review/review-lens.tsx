import { useMemo, useRef, useState } from 'react';
import { findQuote, type ReviewComment } from '../../../../../../core/review/index.ts';
import { database } from '../../../../../data/database.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { useLiveQuery } from '../../../../../state/use-live-query.ts';
import { CheckField } from '../../../../../ui/check-field.tsx';
import { counted } from '../../../../../ui/figures.ts';
import { useMedia } from '../../../../../ui/use-media.ts';
import { WordLink } from '../../../../../ui/word-link.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';
import { useNotePlaces } from '../notes/use-note-places.ts';
import { Comment } from './comment.tsx';

const NONE: ReviewComment[] = [];

/** What reviewers said, level with the words that it concerns, also where those were changed since. */
export function ReviewLens({ body, column, pinned }: LensProps) {
  const { session } = usePost();
  const report = useAppSelector((state) => state.openPost.report);
  const review = useLiveQuery(async () => (await database().posts.get(session.id))?.review, [session.id]);
  const [withDone, setWithDone] = useState(false);
  const narrow = useMedia('(max-width: 760px)');
  const list = useRef<HTMLOListElement>(null);
  const comments = review?.comments ?? NONE;
  const shown = useMemo(
    () => (withDone ? comments : comments.filter(({ state }) => state === 'open')),
    [comments, withDone],
  );
  // Each report tells of another text.
  // biome-ignore lint/correctness/useExhaustiveDependencies: as above
  const places = useMemo(
    () =>
      new Map(
        comments.map(({ id, quote }) => [id, quote ? findQuote(session.body.blocks, quote) : null] as const),
      ),
    [comments, report, session],
  );
  const [placed, lost, whole] = useMemo(
    () => [
      shown.filter(({ id }) => places.get(id)),
      shown.filter(({ id, quote }) => quote && !places.get(id)),
      shown.filter(({ quote }) => !quote),
    ],
    [shown, places],
  );
  const notes = useMemo(
    () =>
      placed.map(({ id }) => {
        const { blockId, start } = places.get(id)!;
        return { id, place: 'text' as const, evidence: [{ blockId, start }] };
      }),
    [placed, places],
  );
  const { tops, height, anchors } = useNotePlaces({
    notes,
    body,
    column,
    list,
    pinned,
    byPlace: !narrow,
    offers: shown,
  });
  const inOrder = [...placed].sort((a, b) => (anchors.get(a.id) ?? 0) - (anchors.get(b.id) ?? 0));
  const apart = (title: string, those: readonly ReviewComment[]) =>
    those.length > 0 && (
      <section aria-label={title} className="mb-3 text-[13px]">
        <h3 className="mb-1 text-soft">{title}</h3>
        <ul>
          {those.map((comment) => (
            <Comment
              key={comment.id}
              comment={comment}
              place={null}
              body={body}
              style={{ marginBottom: 10 }}
            />
          ))}
        </ul>
      </section>
    );
  return (
    <section aria-label="Review" className="min-w-0 flex-1 px-4 pb-10">
      <div className="sticky top-0 z-10 flex items-center gap-3 bg-paper py-1.5 text-[13px] text-soft">
        <span>
          {counted(comments.length - comments.filter(({ state }) => state === 'done').length, 'open comment')}
        </span>
        <CheckField
          checked={withDone}
          onChange={setWithDone}
          className="ml-auto flex items-center gap-1.5 whitespace-nowrap"
        >
          Done too
        </CheckField>
      </div>
      {comments.length === 0 && (
        <p className="mt-4 text-[13px] text-soft">
          Nobody has said anything yet. Make a file for a reviewer on{' '}
          <WordLink quiet to={`/posts/${session.id}/release`}>
            Release
          </WordLink>
          , and bring the answer back there.
        </p>
      )}
      {apart('On the post as a whole', whole)}
      {apart('Whose words are gone', lost)}
      <ol ref={list} className="relative" style={narrow ? undefined : { height }}>
        {inOrder.map((comment) => (
          <Comment
            key={comment.id}
            comment={comment}
            place={places.get(comment.id) ?? null}
            body={body}
            style={
              narrow
                ? { position: 'relative', marginBottom: 10 }
                : { position: 'absolute', insetInline: 0, top: tops.get(comment.id) ?? 0 }
            }
          />
        ))}
      </ol>
    </section>
  );
}
