import { fold } from '../language/index.ts';
import type { Cue, Transcript } from './transcript.ts';

/** One word of a talk, in its place. */
export interface SpokenWord {
  /** As the transcript writes it. */
  text: string;
  /** Folded: lower case, straight apostrophes. */
  form: string;
  /** Marks right in front of it: an opening bracket or quotation mark. */
  before: string;
  /** Marks right behind it, without blanks. */
  after: string;
  /** The next word follows without a blank: "follow-up". */
  glued: boolean;
  /** Seconds at which it is said; null where the transcript has no times. */
  start: number | null;
  /** Seconds of silence before it; 0 where none is known. */
  pause: number;
  /** Index of the cue that it stands in. */
  cue: number;
  speaker: string;
  /** The first word of somebody else. */
  turn: boolean;
}

/** Words as they are counted and compared in a talk: letters and digits with their apostrophes, numbers with their marks. */
export const WORD =
  /\p{N}+(?:[.,:]\p{N}+)*(?:[\p{L}\p{M}]+)?|_*[\p{L}\p{M}][\p{L}\p{M}\p{N}_]*(?:['’][\p{L}\p{M}]+)*['’]?(?=[^\p{L}]|$)/gu;

/** Words a second at which people speak, where a transcript tells only when a line begins. */
const PACE = 2.6;
/** Seconds that a word takes, where each has a time. */
const WORD_SECONDS = 0.45;
/** A silence that is only reckoned from the pace counts when it is longer. */
const RECKONED = 1.5;

const OPENS = /[([{"“‘«¿¡£$€#@]+$/u;
const NO_TIMES: readonly (readonly [number, number])[] = [];

/** Seconds at which the text of a cue has been said: told, or up to the next cue, or by the pace. */
function endOf(cue: Cue, next: Cue | undefined, words: number): number | null {
  if (cue.start === null) return null;
  const byPace = cue.start + words / PACE;
  if (cue.end !== null) return cue.end;
  return next?.start == null ? byPace : Math.max(cue.start, Math.min(next.start, byPace));
}

/** The words of a transcript in order, each with its time. */
export function spokenWords({ cues }: Transcript): SpokenWord[] {
  const out: SpokenWord[] = [];
  let spokeUntil: number | null = null;
  /** The word before has a time of its own. */
  let wasTimed = false;
  cues.forEach((cue, at) => {
    const hits = [...cue.text.matchAll(WORD)];
    const end = endOf(cue, cues[at + 1], hits.length);
    const known = cue.times ?? NO_TIMES;
    const previous = out.at(-1);
    const turn =
      cue.turn === true || (previous !== undefined && cue.speaker !== previous.speaker && cue.speaker !== '');
    let point = 0;
    let opening = OPENS.exec(cue.text.slice(0, hits[0]?.index ?? 0))?.[0] ?? '';
    hits.forEach((hit, index) => {
      while (point < known.length && known[point][0] <= hit.index) point += 1;
      const next = hits[index + 1];
      const between = cue.text.slice(hit.index + hit[0].length, next?.index ?? cue.text.length);
      // Marks that open what follows belong to the next word.
      const opens = next ? (OPENS.exec(between)?.[0] ?? '') : '';
      const closes = between.slice(0, between.length - opens.length);
      // A dash with blanks around it parts; one at the end of a word breaks it off.
      const marks = closes.replace(/\s-+(?=\s|$)/, '–').replace(/\s+/g, '');
      let start: number | null = null;
      if (point > 0) start = known[point - 1][1];
      else if (cue.start !== null)
        start = cue.start + ((end ?? cue.start) - cue.start) * (hit.index / Math.max(1, cue.text.length));
      const last = out.at(-1);
      let pause = 0;
      if (start !== null) {
        if (known.length > 0 && wasTimed && last?.start != null) pause = start - last.start - WORD_SECONDS;
        else if (index === 0 && spokeUntil !== null)
          pause = cue.end === null ? start - spokeUntil - RECKONED : start - spokeUntil;
      }
      const text = hit[0];
      out.push({
        text,
        form: fold(text),
        before: opening,
        after: marks,
        glued: next !== undefined && between !== '' && !/\s/.test(between) && /^[-‐‑/&']$/.test(between),
        start,
        pause: Math.max(0, pause),
        cue: at,
        speaker: cue.speaker,
        turn: turn && index === 0,
      });
      opening = opens;
      wasTimed = known.length > 0;
    });
    spokeUntil = end ?? spokeUntil;
  });
  return out;
}
