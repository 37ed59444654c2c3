import { isFaqHeading, type NextId } from '../draft/index.ts';
import { asHeading, type WordBases } from '../language/index.ts';
import { isClause } from './heading-forms.ts';
import { branchLength, type Outline, type OutlineItem } from './outline.ts';
import type { Gap } from './outline-coverage.ts';
import { sameHeading } from './outline-words.ts';

const DEEPEST = 4;
export const FAQ_HEADING = 'Frequently asked questions';

const item = (nextId: NextId, level: number, text: string, note: string): OutlineItem => ({
  id: nextId(),
  level,
  text,
  note,
});

/** Places gaps at their best places, all at once; one whose heading is there by now is passed over. */
export function mergeGaps(outline: Outline, gaps: readonly Gap[], bases: WordBases, nextId: NextId): Outline {
  let out: OutlineItem[] = [...outline];
  for (const { text, note, after, below } of gaps) {
    if (out.some((known) => sameHeading(known.text, text, bases))) continue;
    const at = after === null ? -1 : out.findIndex(({ id }) => id === after);
    const level = at >= 0 && below ? Math.min(DEEPEST, out[at].level + 1) : 2;
    const place = at < 0 ? (after === null ? 0 : out.length) : at + branchLength(out, at);
    out = out.toSpliced(place, 0, item(nextId, level, text, note));
  }
  return out;
}

/** A heading with what lies below it, without an id yet. */
export type Planned = Omit<OutlineItem, 'id'>;

/**
 * Takes branches into an outline without doubles: a heading that is there already is not added again, and what lies
 * below it goes below the one that is there. New top headings go before the questions at the end.
 */
export function combine(
  outline: Outline,
  added: readonly Planned[],
  bases: WordBases,
  nextId: NextId,
): Outline {
  const out: OutlineItem[] = [...outline];
  /** Ids of the headings that the last heading of each level stands for. */
  const path: (string | null)[] = [];
  for (const { level, text, note } of added) {
    if (!text.trim()) continue;
    const known = out.find((each) => sameHeading(each.text, text, bases));
    path.length = Math.max(0, level - 2);
    if (known) {
      if (note.trim() && !known.note.includes(note.trim())) {
        const at = out.indexOf(known);
        out[at] = { ...known, note: [known.note, note.trim()].filter((part) => part.trim()).join('\n') };
      }
      path[level - 2] = known.id;
      continue;
    }
    const parent = level > 2 ? (path[level - 3] ?? null) : null;
    const above = parent === null ? -1 : out.findIndex(({ id }) => id === parent);
    const made = item(nextId, above < 0 ? 2 : Math.min(DEEPEST, out[above].level + 1), text, note);
    let place = above < 0 ? out.length : above + branchLength(out, above);
    if (above < 0) {
      const faq = out.findIndex((each) => each.level === 2 && isFaqHeading(each.text));
      if (faq >= 0) place = faq;
    }
    out.splice(place, 0, made);
    path[level - 2] = made.id;
  }
  return out;
}

/** Puts questions that the outline does not answer at its end, each with a slot for its answer. */
export function addFaq(
  outline: Outline,
  questions: readonly string[],
  bases: WordBases,
  nextId: NextId,
): Outline {
  const fresh = questions.filter((text) => !outline.some((known) => sameHeading(known.text, text, bases)));
  if (fresh.length === 0) return outline;
  const at = outline.findIndex(({ level, text }) => level === 2 && isFaqHeading(text));
  const items = fresh.map((text) =>
    item(
      nextId,
      3,
      asQuestion(text),
      'Answer in two or three sentences.\nFrom a question: not answered above',
    ),
  );
  if (at >= 0) return outline.toSpliced(at + branchLength(outline, at), 0, ...items);
  return [...outline, item(nextId, 2, FAQ_HEADING, ''), ...items];
}

/** A question as a heading: with a capital and a question mark. */
export function asQuestion(text: string): string {
  const bare = text.trim().replace(/[?.!]+$/, '');
  // "How to mend a hole" and "What they cost" ask nobody.
  const mark = isClause(bare) ? '' : '?';
  return `${asHeading(bare)}${mark}`.replace(/\bi\b/g, 'I');
}
