import type { WordBases } from '../language/index.ts';
import { stemsSaid } from '../meaning/index.ts';
import { branchLength, type Outline } from './outline.ts';

/** What the branches of an outline speak of: stems and base forms of headings and notes. */
export interface BranchWords {
  /** Index of the branch's heading in the outline. */
  at: number;
  id: string;
  /** Stems of its heading, of all below it, and of their notes. */
  stems: ReadonlySet<string>;
}

/** Notes that say where an item comes from are no plan of what it says. */
const ORIGIN = /^From (?:the study|a page|a question): .*$/gm;

/** A note without the lines that tell an item's origin. */
export const ownNote = (note: string): string => note.replace(ORIGIN, '').trim();

const memo = new WeakMap<WordBases, Map<string, string[]>>();

/** Stems of a text, remembered: headings are asked again with every key. */
export function stemsOfText(text: string, bases: WordBases): string[] {
  let known = memo.get(bases);
  if (!known) {
    known = new Map();
    memo.set(bases, known);
  }
  let stems = known.get(text);
  if (!stems) {
    if (known.size > 5000) known.clear();
    stems = stemsSaid(text, bases);
    known.set(text, stems);
  }
  return stems;
}

/** Words of every branch, small ones and the larger ones that hold them. */
export function branchWords(outline: Outline, bases: WordBases): BranchWords[] {
  return outline.map(({ id }, at) => ({
    at,
    id,
    stems: new Set(
      outline
        .slice(at, at + branchLength(outline, at))
        .flatMap(({ text, note }) => [...stemsOfText(text, bases), ...stemsOfText(ownNote(note), bases)]),
    ),
  }));
}

/** Two headings say the same when so much of their stems is shared. */
const SAME = 0.75;

/** Whether two headings say the same, in whatever order and form. */
export function sameHeading(a: string, b: string, bases: WordBases): boolean {
  const [left, right] = [new Set(stemsOfText(a, bases)), new Set(stemsOfText(b, bases))];
  if (left.size === 0 || right.size === 0) return a.trim().toLowerCase() === b.trim().toLowerCase();
  let shared = 0;
  for (const stem of left) if (right.has(stem)) shared += 1;
  return shared / (left.size + right.size - shared) >= SAME;
}
