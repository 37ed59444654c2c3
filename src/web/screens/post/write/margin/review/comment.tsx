import { useState } from 'react';
import { toast } from 'sonner';
import type { FoundQuote, ReviewComment } from '../../../../../../core/review/index.ts';
import { changeComment } from '../../../../../data/reviews.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { AddForm } from '../../../../../ui/add-form.tsx';
import { Button } from '../../../../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../../../../ui/day.ts';
import { useZone } from '../../../../../ui/zone.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Letters by which a reviewer is known in the margin. */
const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .slice(0, 2)
    .map((word) => word.charAt(0).toUpperCase())
    .join('');

/** One comment: who and when, what, and what can be done about it. */
export function Comment({
  comment,
  place,
  body,
  style,
}: {
  comment: ReviewComment;
  /** Where its words stand now; null: they are gone, or it is about the whole. */
  place: FoundQuote | null;
  body: BodyEditor;
  style: React.CSSProperties;
}) {
  const { session } = usePost();
  const zone = useZone();
  const [replying, setReplying] = useState(false);
  const { id, reviewer, at, quote, text, proposal, state, replies } = comment;
  const isDone = state === 'done';
  const set = (next: ReviewComment['state']) =>
    attempt(
      changeComment(session.id, id, (one) => ({ ...one, state: next })),
      'That could not be kept',
    );
  const take = () => {
    if (!place || proposal === null) return;
    const before = session.document;
    const takeBack = session.apply([
      {
        kind: 'replace-text',
        blockId: place.blockId,
        start: place.start,
        end: place.end,
        quote: place.text,
        text: proposal,
      },
    ]);
    if (session.document.draft === before.draft) {
      toast('It came too late: the words that it was for are not there any more.');
      return;
    }
    set('done');
    offerUndo(
      `The words of ${reviewer} stand there now`,
      async () => {
        const left = await takeBack();
        await changeComment(session.id, id, (one) => ({ ...one, state: 'open' }));
        return left;
      },
      10_000,
    );
  };
  const reply = (words: string) => {
    setReplying(false);
    attempt(
      changeComment(session.id, id, (one) => ({
        ...one,
        replies: [
          ...one.replies,
          { by: session.document.fields.author, at: new Date().toISOString(), text: words },
        ],
      })),
      'The reply could not be kept',
    );
  };
  return (
    <li
      data-note-id={id}
      aria-label={`Comment of ${reviewer}`}
      style={style}
      className={`border-t pt-1.5 text-[13px] leading-[1.4] transition-[top] duration-150 ${isDone ? 'text-soft' : ''}`}
    >
      <p className="flex items-baseline gap-2 text-soft">
        <span aria-hidden className="rounded border px-1 text-[11px] font-semibold text-ink">
          {initialsOf(reviewer)}
        </span>
        <span>
          {reviewer}
          {at && `, ${dayInWords(at, zone)} ${timeInWords(at, zone)}`}
        </span>
      </p>
      {quote && !place && <p className="mt-1 border-l-2 pl-2 text-soft break-words">{quote.exact}</p>}
      {text && (
        <button
          type="button"
          disabled={!place}
          onClick={() => place && body.select(place)}
          className={`mt-1 block w-full text-left break-words enabled:hover:text-sea ${isDone ? 'line-through' : 'font-medium'}`}
        >
          {text}
        </button>
      )}
      {proposal !== null && (
        <p className="mt-1 break-words">
          {place && <del className="decoration-rust">{place.text}</del>}{' '}
          <ins className="bg-ochre-wash decoration-marram">{proposal}</ins>
        </p>
      )}
      {quote && place && place.likeness < 1 && (
        <p className="mt-0.5 text-[12px] text-soft">
          The words were changed since: they were “{quote.exact}”.
        </p>
      )}
      {replies.map(({ by, at: when, text: words }) => (
        <p key={when + words} className="mt-1 border-l-2 pl-2 break-words">
          {words} <span className="text-soft">{by && `· ${by}`}</span>
        </p>
      ))}
      <Editable>
        <div className="mt-1 flex flex-wrap gap-x-3 gap-y-1 text-[12px]">
          {proposal !== null && place && !isDone && (
            <Button look="word" onClick={take}>
              Take these words
            </Button>
          )}
          <Button look="word" onClick={() => set(isDone ? 'open' : 'done')}>
            {isDone ? 'Open it again' : 'Done'}
          </Button>
          <Button look="word" aria-expanded={replying} onClick={() => setReplying(!replying)}>
            Reply
          </Button>
        </div>
        {replying && (
          <AddForm label="Your reply" placeholder="Your reply" small onAdd={reply} className="mt-1.5" />
        )}
      </Editable>
    </li>
  );
}
