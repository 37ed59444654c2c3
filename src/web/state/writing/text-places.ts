import type { Along, FieldValue, Pattern } from '../../../core/writing/index.ts';
import { changeGeneration } from '../../data/generations.ts';
import type { TextInHand } from './text-run.ts';

/** A piece of a text that was taken into the draft. */
export interface TakenPiece {
  /** Index of the paragraph, and of the sentence in it; null: all of it. */
  paragraph: number;
  sentence: number | null;
  /** Blocks that it went into, and the words by which it is known there. */
  blockIds: string[];
  words: string;
}

/** A text in its own place in a sheet, with its alternatives: not yet part of the draft. */
export interface TextPlace {
  key: string;
  postId: string;
  pattern: Pattern;
  values: FieldValue[];
  along: readonly Along[];
  /** The block below which it stands when the sheet is opened anew; null: at the end. */
  blockId: string | null;
  /** It was asked for with words selected, which it may stand instead of. */
  hasSelection: boolean;
  runs: readonly TextInHand[];
  /** Index of the run that is shown. */
  shown: number;
  taken: readonly TakenPiece[];
  /** Asks again for the same. */
  again: () => TextInHand;
}

const places = new Map<string, TextPlace>();
const listeners = new Set<() => void>();
const tell = () => {
  for (const listener of listeners) listener();
};

/** Tells when any place changes. */
export function subscribePlaces(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The place in the sheet of a post; null: there is none. */
export const placeOf = (postId: string): TextPlace | null => places.get(postId) ?? null;

/** Puts a place into the sheet of a post; one that stood there goes, and stays in the history. */
export function openPlace(place: TextPlace): void {
  closePlace(place.postId);
  places.set(place.postId, place);
  tell();
}

/** Takes the place out of the sheet; a text that is still coming is stopped. What has come stays in the history. */
export function closePlace(postId: string): void {
  const place = places.get(postId);
  if (!place) return;
  for (const run of place.runs) if (run.isRunning) run.stop();
  places.delete(postId);
  tell();
}

/** Changes a place, where it is still the same one. */
export function changePlace(key: string, change: (place: TextPlace) => Partial<TextPlace>): void {
  for (const [postId, place] of places)
    if (place.key === key) {
      places.set(postId, { ...place, ...change(place) });
      tell();
    }
}

/** Another text for the same, beside those that are there; shown at once unless somebody reads another. */
export function tryAgain(place: TextPlace, isShown = true): void {
  const run = place.again();
  changePlace(place.key, ({ runs, shown, taken }) => ({
    runs: [...runs, run],
    ...(isShown ? { shown: runs.length, taken: [] } : { shown, taken }),
  }));
}

/** Notes of pieces that they were taken. */
export function noteTaken(place: TextPlace, pieces: readonly TakenPiece[], isAll: boolean): void {
  changePlace(place.key, ({ taken }) => ({ taken: [...taken, ...pieces] }));
  for (const id of place.runs[place.shown]?.state.rows ?? [])
    changeGeneration(id, ({ taken, blocks = [] }) => ({
      taken: isAll || taken === 'whole' ? 'whole' : 'part',
      blocks: [...new Set([...blocks, ...pieces.flatMap(({ blockIds }) => blockIds)])],
    })).catch((error: unknown) => console.error('What became of a text could not be kept:', error));
}
