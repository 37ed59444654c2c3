import type { Cue } from './transcript.ts';

/** Words of a line, as lines are held against one another. */
const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}'’]+/gu) ?? [];

/** So many words said again where two cues meet are an overlap of captions; fewer may be how somebody speaks. */
const OVERLAP = 3;
/** From this share of whole lines said again on, captions roll: then shorter lines are doubled too. */
const ROLLS = 0.3;
/** Seconds between two cues from which they no longer meet. */
const APART = 4;

/** How many of a cue's first words are the last of what was said before. */
function overlap(said: readonly string[], words: readonly string[]): number {
  const most = Math.min(said.length, words.length);
  for (let length = most; length > 0; length--) {
    let at = 0;
    while (at < length && said[said.length - length + at] === words[at]) at += 1;
    if (at === length) return length;
  }
  return 0;
}

/** A text without its first so many words, and by how many characters it became shorter at its beginning. */
function withoutFirst(text: string, count: number): { text: string; cut: number } {
  const word = /[\p{L}\p{N}'’]+[^\p{L}\p{N}'’]*/gu;
  for (let left = count; left > 0; left--) word.exec(text);
  return { text: text.slice(word.lastIndex), cut: word.lastIndex };
}

const meets = (before: Cue | undefined, cue: Cue): boolean =>
  before !== undefined &&
  (cue.start === null || before.start === null || cue.start - (before.end ?? before.start) < APART);

/** Share of cues that only say again, as a whole, the line before. */
function shareDoubled(cues: readonly Cue[]): number {
  let doubled = 0;
  for (let at = 1; at < cues.length; at++) {
    const words = wordsOf(cues[at].text).join(' ');
    if (
      words === wordsOf(cues[at - 1].text).join(' ') ||
      words === wordsOf(cues[at - 2]?.text ?? '').join(' ')
    )
      doubled += 1;
  }
  return cues.length > 1 ? doubled / (cues.length - 1) : 0;
}

/**
 * Captions that roll upwards say each line two or three times: what a cue says again of what was said just before it is
 * left out, so that every word stands once, at its earliest time. Other transcripts come out as they went in.
 *
 * @example two cues "so the first thing" and "so the first thing you want to do" become "so the first thing" and "you want to do"
 */
export function joinRolling(cues: readonly Cue[]): Cue[] {
  const rolls = shareDoubled(cues) >= ROLLS;
  const out: Cue[] = [];
  let said: string[] = [];
  let before: Cue | undefined;
  for (const cue of cues) {
    const words = wordsOf(cue.text);
    if (words.length === 0) continue;
    if (!meets(before, cue) || (before && before.speaker !== cue.speaker)) said = [];
    const shared = overlap(said, words);
    const whole = shared === words.length;
    before = cue;
    if (shared >= OVERLAP || (shared > 0 && whole && rolls)) {
      if (whole) continue;
      const { text, cut } = withoutFirst(cue.text, shared);
      const times = cue.times?.map(([at, seconds]): [number, number] => [Math.max(0, at - cut), seconds]);
      const kept = { ...cue, text };
      if (times) kept.times = times;
      out.push(kept);
      said.push(...words.slice(shared));
    } else {
      out.push(cue);
      said.push(...words);
    }
    if (said.length > 200) said = said.slice(-100);
  }
  return out;
}
