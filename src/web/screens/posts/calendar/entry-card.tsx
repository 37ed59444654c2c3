import { useDraggable } from '@dnd-kit/core';
import { Popover } from 'radix-ui';
import { type KeyboardEvent, useState } from 'react';
import { shiftDay } from '../../../../core/release/index.ts';
import { Button } from '../../../ui/button.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { CalendarEntry } from './entries.ts';
import { MoveForm } from './move-form.tsx';

/** Days by which keys move an entry, with Shift held. */
const BY_KEY: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

const LOOKS: Record<CalendarEntry['kind'], string> = {
  post: 'border-marram/50 bg-sheet',
  reuse: 'border-dashed border-soft bg-sheet',
  sent: 'border-transparent bg-transparent text-soft',
};

/** What a status looks like before a title: a small square, filled as far as a post has come. */
function StatusMark({ status }: { status: CalendarEntry['status'] }) {
  const filled = status === 'published' ? 8 : status === 'scheduled' ? 5 : status === 'in-review' ? 2.5 : 0;
  return (
    <svg width="10" height="10" viewBox="0 0 10 10" aria-hidden className="mt-1 shrink-0">
      <rect x="0.5" y="0.5" width="9" height="9" rx="1.5" className="fill-none stroke-marram" />
      <rect x="1" y={9 - filled} width="8" height={filled} className="fill-marram" />
    </svg>
  );
}

/** Something on a day: it is dragged to another, or moved by keys; pressed, it says what can be done. */
export function EntryCard({
  entry,
  onMove,
  onTakeOff,
}: {
  entry: CalendarEntry;
  /** Puts it on another day, `2026-12-01`, at a time on the clock of the site; empty: as before. */
  onMove: (entry: CalendarEntry, day: string, time: string) => void;
  onTakeOff: (entry: CalendarEntry) => void;
}) {
  const [open, setOpen] = useState(false);
  const { key, kind, title, time, day, status, isMovable, postId } = entry;
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id: key,
    data: { entry },
    disabled: !isMovable,
  });
  const words = [title, time, status && STATUS_NAMES[status].toLowerCase()].filter(Boolean).join(', ');
  const byKeys = (event: KeyboardEvent) => {
    const days = BY_KEY[event.key];
    if (!event.shiftKey || days === undefined || !isMovable) return;
    event.preventDefault();
    onMove(entry, shiftDay(day, days), '');
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          ref={setNodeRef}
          type="button"
          {...listeners}
          onKeyDown={byKeys}
          aria-label={words}
          aria-keyshortcuts={
            isMovable ? 'Shift+ArrowLeft Shift+ArrowRight Shift+ArrowUp Shift+ArrowDown' : undefined
          }
          title={isMovable ? `${words}. Drag it, or Shift and an arrow key` : words}
          className={`mb-1 flex w-full items-start gap-1.5 rounded border px-1.5 py-0.5 text-left text-[12px] leading-snug ${LOOKS[kind]} ${isMovable ? 'cursor-grab' : ''} ${isDragging ? 'opacity-40' : ''}`}
        >
          {kind === 'post' && <StatusMark status={status} />}
          <span className="line-clamp-2 min-w-0 break-words">
            {time && <span className="text-soft">{time} </span>}
            {title}
          </span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={title}
          className="rise z-30 w-80 rounded-md border bg-sheet p-3 text-[13px]"
        >
          <p className="mb-2 font-semibold break-words">{title}</p>
          <p className="mb-2 flex flex-wrap gap-x-4 gap-y-1">
            {status && <span className="text-soft">{STATUS_NAMES[status]}</span>}
            <WordLink to={`/posts/${postId}/${kind === 'post' ? 'write' : 'reuse'}`}>
              {kind === 'post' ? 'Write' : 'Open under Reuse'}
            </WordLink>
            {kind === 'post' && <WordLink to={`/posts/${postId}/release`}>Release</WordLink>}
          </p>
          {isMovable && (
            <MoveForm
              day={day}
              time={time}
              hasTime={kind === 'post'}
              onMove={(to, at) => {
                setOpen(false);
                onMove(entry, to, at);
              }}
            />
          )}
          {isMovable && status !== 'scheduled' && (
            <Button
              look="word"
              className="mt-2"
              onClick={() => {
                setOpen(false);
                onTakeOff(entry);
              }}
            >
              Take it off its day
            </Button>
          )}
          {status === 'published' && <p className="text-soft">It is out: its day is what it was.</p>}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
