import type { Block, Draft } from '../draft/index.ts';
import {
  fidelityOf,
  type OriginCounts,
  originCounts,
  type SpokenIndex,
  type TracedWord,
} from './fidelity.ts';
import type { LeftWhy } from './marking.ts';
import { isPictureWish } from './picture-wish.ts';
import { isTelling } from './telling.ts';

/** Words of a draft that nobody said, in one run. */
export interface AddedRun {
  blockId: string;
  start: number;
  end: number;
  text: string;
  /** A number, a name or a negation is among them: it changes what was said. */
  weighty: boolean;
}

/** Words of the speaker that the draft does not have, in one run. */
export interface LeftOutRun {
  text: string;
  /** Seconds; null where the transcript has no times. */
  start: number | null;
  /** Indices of its first spoken word and of the one behind its last. */
  from: number;
  to: number;
}

/** One section of a draft, held against the talk. */
export interface SectionFidelity {
  /** Id of its heading; empty for what stands above the first. */
  blockId: string;
  heading: string;
  counts: OriginCounts;
  /** 0-1. */
  fidelity: number;
  /** Seconds of its first word that was said; null where none has a time. */
  start: number | null;
}

/** A draft held against a talk. */
export interface FidelityAccount {
  counts: OriginCounts;
  /** Share of the draft's words that the speaker said, small repairs with it; 0-1. */
  fidelity: number;
  sections: SectionFidelity[];
  added: AddedRun[];
  leftOut: LeftOutRun[];
  /** Seconds of the first said word of each block that has one. */
  times: [blockId: string, seconds: number][];
  /** Small repairs, for those who want to see each. */
  repaired: Omit<AddedRun, 'weighty'>[];
}

/** Words of the speaker that are missed when so many in a row, one of them telling, do not stand in the draft. */
const LEAST_LEFT = 3;

/** The name that stands in front of a turn of a talk with more than one voice: a label, nobody's words. */
const labelEnd = (text: string, speakers: ReadonlySet<string>): number => {
  const colon = text.indexOf(':');
  return colon > 0 && colon < 50 && speakers.has(text.slice(0, colon).trim()) ? colon + 1 : 0;
};

/** Whether a block's words are held against the talk: running text and headings, not what stands in a frame or a fold, nor a note that a picture belongs there. */
const isHeld = ({ kind, text }: Block): boolean =>
  (kind === 'paragraph' || kind === 'heading') && text.trim() !== '' && !isPictureWish(text);

function runsOf(block: Block, traced: readonly TracedWord[], wanted: TracedWord['origin']): AddedRun[] {
  const runs: AddedRun[] = [];
  let last = -2;
  traced.forEach(({ origin, start, end, weighty }, at) => {
    if (origin !== wanted) return;
    const run = runs.at(-1);
    if (run && last === at - 1) {
      run.end = end;
      run.weighty ||= weighty;
    } else runs.push({ blockId: block.id, start, end, text: '', weighty });
    last = at;
  });
  return runs.map((run) => ({ ...run, text: block.text.slice(run.start, run.end) }));
}

/**
 * Holds a draft against a talk: what of it was said, repaired or added, in all and by section, and what of the talk it leaves out.
 * Blocks that did not change since are not traced again.
 *
 * @param left which spoken words no text needs ({@link LeftWhy})
 */
export function fidelityAccount(
  { blocks }: Draft,
  spoken: SpokenIndex,
  left: readonly (LeftWhy | null)[],
): FidelityAccount {
  const speakers = new Set(spoken.words.map(({ speaker }) => speaker).filter(Boolean));
  const counts = { said: 0, repaired: 0, added: 0 };
  const sections: SectionFidelity[] = [];
  const added: AddedRun[] = [];
  const repaired: FidelityAccount['repaired'] = [];
  const times: [string, number][] = [];
  const covered = new Uint8Array(spoken.words.length);
  let open: SectionFidelity | null = null;
  for (const block of blocks) {
    if (!isHeld(block)) continue;
    const label = labelEnd(block.text, speakers);
    const traced = spoken
      .trace(block.text.slice(label))
      .map((word) => (label > 0 ? { ...word, start: word.start + label, end: word.end + label } : word));
    const isHeading = block.kind === 'heading';
    if (isHeading || open === null) {
      open = {
        blockId: isHeading ? block.id : '',
        heading: isHeading ? block.text : '',
        counts: { said: 0, repaired: 0, added: 0 },
        fidelity: 1,
        start: null,
      };
      sections.push(open);
    }
    const own = originCounts(traced);
    for (const origin of ['said', 'repaired', 'added'] as const) {
      counts[origin] += own[origin];
      open.counts[origin] += own[origin];
    }
    added.push(...runsOf(block, traced, 'added'));
    for (const { weighty: _, ...run } of runsOf(block, traced, 'repaired')) repaired.push(run);
    let first: number | null = null;
    for (const { spoken: at } of traced) {
      if (at < 0) continue;
      // What stands in a heading may still be missing in the text.
      if (!isHeading) covered[at] = 1;
      first ??= spoken.words[at].start;
    }
    if (first !== null) {
      times.push([block.id, first]);
      // A heading's words may have been said anywhere; its section begins with what stands below it.
      if (!isHeading) open.start ??= first;
    }
  }
  for (const section of sections) section.fidelity = fidelityOf(section.counts);
  return {
    counts,
    fidelity: fidelityOf(counts),
    sections,
    added,
    leftOut: leftOutOf(spoken, left, covered),
    times,
    repaired,
  };
}

/** Runs of the speaker's words that stand nowhere in the draft. */
function leftOutOf(
  { words }: SpokenIndex,
  left: readonly (LeftWhy | null)[],
  covered: Uint8Array,
): LeftOutRun[] {
  const out: LeftOutRun[] = [];
  let run: number[] = [];
  const close = () => {
    if (run.length >= LEAST_LEFT && run.some((at) => isTelling(words[at].form)))
      out.push({
        text: run.map((at) => words[at].text).join(' '),
        start: words[run[0]].start,
        from: run[0],
        to: run[run.length - 1] + 1,
      });
    run = [];
  };
  words.forEach(({ turn }, at) => {
    if (left[at] !== null) return;
    if (turn) close();
    if (covered[at]) close();
    else run.push(at);
  });
  close();
  return out;
}
