import type { DragEndEvent } from '@dnd-kit/core';
import { type KeyboardEvent, type RefObject, useEffect, useMemo, useRef } from 'react';
import { toast } from 'sonner';
import {
  addItem,
  branchLength,
  isOrderedOtherwise,
  moveItem,
  nestItem,
  newItem,
  type Outline,
  type OutlineItem,
  outlineFromDraft,
  placeItem,
  removeItem,
  reorderDraft,
  sendOutline,
} from '../../../../core/outline/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { counted } from '../../../ui/figures.ts';
import { isEnter } from '../../../ui/keys.ts';
import { studyWorker } from '../../../workers/study-client.ts';
import { usePost } from '../frame/post-context.ts';
import { INDENT, type RowMove } from './outline-row.tsx';
import type { TrayItem } from './tray.tsx';

const nextId = () => crypto.randomUUID();

/** What can be done to the outline in hand, each with its way back; `list` holds its fields, `tray` what can be dragged in. */
export function useOutlineEditing(
  list: RefObject<HTMLElement | null>,
  tray: Readonly<Record<string, TrayItem[]>> | null,
) {
  const { session } = usePost();
  const { outline, savedAt } = useAppSelector((state) => state.openPost);
  const inHand = useRef<string | null>(null);
  const focusNext = useRef<string | null>(null);

  useEffect(() => {
    // A busy machine runs this once more before the new heading stands there; the wish waits for it.
    const field =
      focusNext.current && list.current?.querySelector<HTMLElement>(`[data-item="${focusNext.current}"]`);
    if (!field) return;
    field.focus();
    focusNext.current = null;
  });

  const set = (next: Outline) => session.changeOutline(outline, next);
  /** Sets another outline, with the way back; what was changed while it was being worked out stays. */
  const setUndoable = (next: Outline, said: string, from: Outline = outline) =>
    offerUndo(said, session.changeOutline(from, next));
  /** Changes the order and keeps the focus where it was. */
  const change = (next: Outline, focus?: string) => {
    focusNext.current = focus ?? null;
    set(next);
  };
  /** Puts items of the tray in: below the heading in hand, or at the end. */
  const place = (items: readonly TrayItem[], after?: string) => {
    const from = after ?? inHand.current;
    let at = outline.findIndex(({ id }) => id === from);
    let next: Outline = outline;
    const level = at < 0 ? 2 : outline[at].level;
    for (const { text, note } of items) {
      const made: OutlineItem = { ...newItem(nextId, text), note, level };
      const to = at < 0 ? next.length : at + branchLength(next, at);
      next = next.toSpliced(to, 0, made);
      at = at < 0 ? -1 : to;
    }
    setUndoable(next, `${counted(items.length, 'item')} placed.`);
  };
  const drop = ({ active, over, delta }: DragEndEvent) => {
    if (!over || active.id === over.id) {
      if (!over || String(active.id).startsWith('tray ')) return;
    }
    const dragged = Object.values(tray ?? {})
      .flat()
      .find(({ id }) => id === active.id);
    if (dragged) {
      place([dragged], String(over.id));
      return;
    }
    const next = placeItem(outline, String(active.id), String(over.id), Math.round(delta.x / INDENT));
    if (JSON.stringify(next) !== JSON.stringify(outline)) setUndoable(next, 'Moved.');
  };
  const add = (after: number | null) => {
    const item = newItem(nextId);
    change(addItem(outline, after, item), item.id);
  };
  const remove = (at: number) => {
    focusNext.current = outline[at - 1]?.id ?? outline[at + 1]?.id ?? null;
    const takeBack = set(removeItem(outline, at));
    if (outline[at].text || outline[at].note)
      offerUndo(`"${outline[at].text || 'Heading'}" taken out`, takeBack);
  };
  const send = () => {
    const { draft, added, renamed } = sendOutline(session.body, outline);
    if (added + renamed === 0) {
      toast('The draft already has these headings.');
      return;
    }
    const takeBack = session.change({ draft });
    const said = [added ? `${counted(added, 'heading')} added` : '', renamed ? `${renamed} changed` : '']
      .filter(Boolean)
      .join(', ');
    offerUndo(`${said}. Your text was not touched.`, takeBack);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each save, as the draft may have changed
  const otherOrder = useMemo(() => isOrderedOtherwise(session.body, outline), [session, outline, savedAt]);
  const reorder = () => {
    attempt(session.keepVersion('paste'));
    offerUndo(
      'The sections of the draft stand in the order of the outline. No word was changed.',
      session.change({ draft: reorderDraft(session.body, outline) }),
    );
  };
  const readBack = () => {
    const next = outlineFromDraft(session.body, outline);
    if (next.length === 0) {
      toast('The draft has no headings yet.');
      return;
    }
    setUndoable(next, `${counted(next.length, 'heading')} in the outline now.`);
  };
  const moves = (at: number): Record<Exclude<RowMove, 'remove'>, () => Outline> => ({
    up: () => moveItem(outline, at, -1),
    down: () => moveItem(outline, at, 1),
    lift: () => nestItem(outline, at, -1),
    nest: () => nestItem(outline, at, 1),
  });
  const onKeyDown = (event: KeyboardEvent, at: number) => {
    const { id } = outline[at];
    const keys: Record<string, Exclude<RowMove, 'remove'>> = {
      ArrowUp: 'up',
      ArrowDown: 'down',
      ArrowRight: 'nest',
      ArrowLeft: 'lift',
    };
    if (event.altKey && keys[event.key]) {
      event.preventDefault();
      change(moves(at)[keys[event.key]](), id);
    } else if (isEnter(event)) {
      event.preventDefault();
      add(at);
    } else if (event.key === 'Backspace' && outline[at].text === '' && outline[at].note === '') {
      event.preventDefault();
      remove(at);
    }
  };
  /** Lets the worker make another outline of this one; what is written meanwhile stays. */
  const worked = async (
    work: (desk: Awaited<ReturnType<typeof studyWorker>>, from: OutlineItem[]) => Promise<OutlineItem[]>,
    said: (fresh: number) => string,
  ) => {
    const from = outline;
    const next = await work(await studyWorker(), from);
    setUndoable(next, said(next.length - from.length), from);
  };
  return {
    outline,
    otherOrder,
    inHand,
    set,
    setUndoable,
    change,
    place,
    drop,
    add,
    remove,
    send,
    reorder,
    readBack,
    moves,
    onKeyDown,
    worked,
  };
}

export type OutlineEditing = ReturnType<typeof useOutlineEditing>;
