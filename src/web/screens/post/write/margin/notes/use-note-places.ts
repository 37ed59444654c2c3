import { type RefObject, useCallback, useEffect, useLayoutEffect, useState } from 'react';
import type { CriterionResult, Evidence } from '../../../../../../core/criteria/index.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';
import { type NoteBox, stackNotes } from './note-layout.ts';

/** What stands beside the text: level with its first place, or with a field. */
interface Placed {
  id: string;
  place: CriterionResult['place'];
  evidence: readonly Pick<Evidence, 'blockId' | 'start'>[];
}

interface Places {
  /** Pixels from the top of the list to each note, by its id. */
  tops: ReadonlyMap<string, number>;
  /** And to the line that it speaks of. */
  anchors: ReadonlyMap<string, number>;
  /** Pixels that all of them need. */
  height: number;
}

/** Where notes stand beside the text: level with their lines, none over another; anew whenever the text changes its height. */
export function useNotePlaces({
  notes,
  body,
  column,
  list,
  pinned,
  byPlace,
  offers,
}: {
  notes: readonly Placed[];
  body: BodyEditor;
  /** The column that holds sheet and margin. */
  column: RefObject<HTMLElement | null>;
  list: RefObject<HTMLElement | null>;
  /** The note that stands on its line, whatever gives way. */
  pinned: string | null;
  /** What stands in the notes beside their own words: they are as tall as it makes them. */
  offers: unknown;
  /** False: they stand apart from the text, and nothing is measured. */
  byPlace: boolean;
}): Places {
  const [places, setPlaces] = useState<Places>({ tops: new Map(), anchors: new Map(), height: 0 });
  /** All reads, before anything is written. */
  const place = useCallback(() => {
    const host = list.current;
    const within = column.current;
    if (!host || !within || !byPlace) return;
    const base = host.getBoundingClientRect().top;
    const boxes: NoteBox[] = notes.map((note) => ({
      id: note.id,
      anchor: anchorOf(note, body, within, base),
      height: host.querySelector<HTMLElement>(`[data-note-id="${CSS.escape(note.id)}"]`)?.offsetHeight ?? 60,
    }));
    boxes.sort((a, b) => a.anchor - b.anchor);
    const tops = stackNotes(boxes, pinned);
    const height = Math.max(0, ...boxes.map((box) => tops.get(box.id)! + box.height));
    setPlaces({ tops, anchors: new Map(boxes.map((box) => [box.id, box.anchor])), height });
  }, [notes, body, column, list, pinned, byPlace]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: offers come a moment after the notes and make them taller
  useLayoutEffect(place, [place, offers]);
  useEffect(() => {
    const [within, host] = [column.current, list.current];
    if (!within || !host) return;
    let frame = 0;
    const observer = new ResizeObserver(() => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(place);
    });
    observer.observe(within);
    // Notes in a narrower margin are taller, though the text beside them stays as it is.
    observer.observe(host);
    // And what they offer comes a moment after them.
    for (const note of host.children) observer.observe(note);
    return () => {
      observer.disconnect();
      cancelAnimationFrame(frame);
    };
  }, [column, list, place]);
  return places;
}

/** The height of the line a note speaks of, from the top of the list. */
function anchorOf(note: Placed, body: BodyEditor, within: HTMLElement, base: number): number {
  const [first] = note.evidence;
  if (first) {
    const found = body.positionOf(first.blockId, first.start);
    if (found) {
      try {
        return body.editor.view.coordsAtPos(found.at).top - base;
      } catch {
        // The document moved on since the report: the note waits at the title for the next one.
      }
    }
  }
  const row = within.querySelector(`[data-place="${note.place === 'text' ? 'title' : note.place}"]`);
  return row ? row.getBoundingClientRect().top - base : 0;
}
