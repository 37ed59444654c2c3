import { baseForm, isAuxiliary, partOfSpeech } from '../language/index.ts';
import type { SpokenWord } from './spoken-words.ts';

/** Why a spoken word does not stand in the written text. */
export type LeftWhy =
  /** "um", "you know". */
  | 'filler'
  /** Said twice. */
  | 'repeat'
  /** Begun and not gone on with. */
  | 'restart'
  /** A "yeah" of somebody who listens. */
  | 'listening';

/** Words of a talk while it is found out which of them no written text has. */
export class Marking {
  readonly left: (LeftWhy | null)[];
  constructor(readonly words: readonly SpokenWord[]) {
    this.left = new Array(words.length).fill(null);
  }

  /** Index of the next word that stands, from `at` on; the number of words where none does. */
  next(at: number): number {
    let to = at;
    while (to < this.words.length && this.left[to] !== null) to += 1;
    return to;
  }

  /** Index of the last word that stands before `at`; -1 where none does. */
  before(at: number): number {
    let to = at - 1;
    while (to >= 0 && this.left[to] !== null) to -= 1;
    return to;
  }

  /** Indices of the words that stand. */
  standing(): number[] {
    const out: number[] = [];
    for (let at = 0; at < this.words.length; at++) if (this.left[at] === null) out.push(at);
    return out;
  }

  leave(from: number, to: number, why: LeftWhy): void {
    for (let at = from; at < to; at++) this.left[at] ??= why;
  }

  form(at: number): string {
    return this.words[at]?.form ?? '';
  }

  /** A sentence, a turn or the talk begins at a word, as far as marks and speakers tell. */
  begins(at: number): boolean {
    if (at <= 0) return true;
    if (this.words[at].turn) return true;
    const before = this.words[at - 1];
    return /[.!?…]["”’)\]]*$/.test(before.after) || this.words[at].pause >= 0.9;
  }
}

/** Whether a form is one of a verb. */
export const isVerbForm = (form: string) =>
  isAuxiliary(form) || /^[vm]$/.test(partOfSpeech(baseForm(form)) ?? '');

/** Whether another one begins to speak between two words. */
export const crossesTurn = (words: readonly SpokenWord[], from: number, to: number): boolean => {
  for (let at = from + 1; at < to; at++) if (words[at].turn) return true;
  return false;
};

/** Seconds of silence behind which what is said begins something new. */
export const REST = 0.35;

/** Index behind a run of words that stands at a place, what was left out passed over; -1 where it does not. */
export function matchesAt(marking: Marking, at: number, run: readonly string[]): number {
  let to = at;
  for (const word of run) {
    to = marking.next(to);
    if (marking.form(to) !== word) return -1;
    if (to > at && marking.words[to].turn) return -1;
    to += 1;
  }
  return to;
}
