import { useSyncExternalStore } from 'react';
import { placeOf, subscribePlaces, type TextPlace } from '../../../../state/writing/text-places.ts';
import type { RunState, TextInHand } from '../../../../state/writing/text-run.ts';

/** How a run stands, drawn anew as it goes on. */
export const useRun = (run: TextInHand): RunState => useSyncExternalStore(run.subscribe, run.snapshot);

/** The text that stands in the sheet of a post and is not yet taken; null: none. */
export const useTextPlace = (postId: string): TextPlace | null =>
  useSyncExternalStore(subscribePlaces, () => placeOf(postId));
