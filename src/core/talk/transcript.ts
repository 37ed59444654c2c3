/** A stretch of speech as a transcript has it. */
export interface Cue {
  /** Seconds from the beginning of the recording; null where the transcript has no times. */
  start: number | null;
  /** Seconds; null where it is not told. */
  end: number | null;
  /** Who speaks, as the transcript names them; empty: not told. */
  speaker: string;
  /** Another speaker begins here, though no name is told. */
  turn?: true;
  /** What is said, on one line. */
  text: string;
  /** Where single words are timed: the seconds of each, beside the place in the text from which it holds. */
  times?: readonly (readonly [at: number, seconds: number])[];
}

/** How a transcript was written down. */
export type TranscriptForm = 'WebVTT' | 'SRT' | 'time stamps' | 'plain text';

/** What somebody said, in order. */
export interface Transcript {
  form: TranscriptForm;
  cues: Cue[];
}

/** A transcript that could be read, or a sentence that says what to do. */
export type TranscriptReading =
  | { transcript: Transcript; problem: null }
  | { transcript: null; problem: string };

/** Whether a transcript tells when something was said. */
export const isTimed = ({ cues }: Transcript): boolean => cues.some(({ start }) => start !== null);

/** Seconds up to the last word that has a time; 0 where none has. */
export const lengthOf = ({ cues }: Transcript): number =>
  cues.reduce((last, { start, end }) => Math.max(last, end ?? start ?? 0), 0);

/** Seconds as a place in a recording: `1:05`, `1:02:03`. Parts of a second are let go; below 0 is 0. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const two = (value: number) => String(value).padStart(2, '0');
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  return hours > 0 ? `${hours}:${two(minutes)}:${two(whole % 60)}` : `${minutes}:${two(whole % 60)}`;
}

/**
 * The seconds of a place in a recording: `0:00`, `00:01:02.500`, `1:02:03,5`, `00:01:02:15` (the frames are let go); null for
 * anything else.
 */
export function secondsOf(stamp: string): number | null {
  const hit = /^(?:(\d{1,3}):)?(\d{1,3}):(\d{2})(?:[.,](\d{1,3})|:\d{2})?$/.exec(stamp.trim());
  if (!hit || Number(hit[3]) > 59 || (hit[1] !== undefined && Number(hit[2]) > 59)) return null;
  return Number(hit[1] ?? 0) * 3600 + Number(hit[2]) * 60 + Number(hit[3]) + Number(`0.${hit[4] ?? 0}`);
}
