import { type KeyboardEvent, useRef, useState } from 'react';
import type { GridSelection } from './grid-column.ts';
import { stretched, turned, withAll } from './selection.ts';

/**
 * The row in hand and what keys do with it: arrows, Page, Home and End move it, Space selects it, Shift stretches the
 * selection, Ctrl+A selects all that is shown, Escape nothing, Enter opens. A heading, a box or a button inside keeps
 * its own keys.
 */
export function useGridKeys<Key>({
  count,
  pageRows,
  selection,
  onOpen,
  reveal,
}: {
  count: number;
  /** Rows that Page Up and Page Down go. */
  pageRows: number;
  selection: GridSelection<Key> | undefined;
  onOpen: ((place: number) => void) | undefined;
  /** Brings a row into view. */
  reveal: (place: number) => void;
}) {
  const [wanted, setWanted] = useState(0);
  const anchor = useRef(0);
  // A filter may leave fewer rows than there were.
  const cursor = Math.max(0, Math.min(wanted, count - 1));
  const stretchTo = (place: number) => selection?.onSelect(stretched(selection, anchor.current, place));
  const go = (place: number, shift: boolean) => {
    const to = Math.max(0, Math.min(count - 1, place));
    setWanted(to);
    reveal(to);
    if (shift && selection) stretchTo(to);
    else anchor.current = to;
  };
  /** Selects a row or lets it go; with Shift all from the last one to this. */
  const toggle = (place: number, shift: boolean) => {
    setWanted(place);
    if (shift) {
      stretchTo(place);
      return;
    }
    anchor.current = place;
    selection?.onSelect(turned(selection, place));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (count === 0 || event.nativeEvent.isComposing) return;
    if (event.target !== event.currentTarget && (event.key === 'Enter' || event.key === ' ')) return;
    const { key, shiftKey } = event;
    if (key === 'ArrowDown') go(cursor + 1, shiftKey);
    else if (key === 'ArrowUp') go(cursor - 1, shiftKey);
    else if (key === 'PageDown') go(cursor + pageRows, shiftKey);
    else if (key === 'PageUp') go(cursor - pageRows, shiftKey);
    else if (key === 'Home') go(0, shiftKey);
    else if (key === 'End') go(count - 1, shiftKey);
    else if (key === 'Enter' && onOpen) onOpen(cursor);
    else if (!selection) return;
    else if (key === ' ') toggle(cursor, shiftKey);
    else if (key === 'a' && (event.ctrlKey || event.metaKey)) selection.onSelect(withAll(selection, count));
    else if (key === 'Escape' && selection.selected.size > 0) selection.onSelect(new Set());
    else return;
    event.preventDefault();
  };
  return { cursor, toggle, onKeyDown };
}
