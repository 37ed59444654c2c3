import type { WordBases } from '../language/index.ts';
import type { StudyQuestion } from '../study/index.ts';
import { sameHeading } from './outline-words.ts';
import type { Proposal, ProposalInput, ProposedItem, Shape } from './proposal.ts';
import { sectionsOf } from './proposal-sections.ts';
import { BEGINNERS, fittingShapes, shaped } from './shapes.ts';

/** How many further choices of topics are tried for each shape. */
const VARIANTS = 10;

/** Headings that say the same, whatever their number, stand once; what was below a double stays. */
function withoutDoubles(items: readonly ProposedItem[], bases: WordBases): ProposedItem[] {
  const bare = (text: string) => text.replace(/^(?:Step )?\d+[.:] /, '');
  return items.filter(
    ({ text }, at) => items.findIndex((other) => sameHeading(bare(other.text), bare(text), bases)) === at,
  );
}

/** What tells one proposal from another: its headings in order. */
export const proposalKey = (items: readonly Pick<ProposedItem, 'text'>[]): string =>
  items.map(({ text }) => text.toLowerCase().trim()).join('\n');

/** How a plan stands: its headings, how many of them stand on pages, and on how many pages together. */
export function standing(items: readonly Pick<ProposedItem, 'grounds'>[]): {
  headings: number;
  founded: number;
  pages: number;
} {
  const pages = new Set(items.flatMap(({ grounds }) => grounds.flatMap(({ pages: own }) => own)));
  return {
    headings: items.length,
    founded: items.filter(({ grounds }) => grounds.some(({ pages: own }) => own.length > 0)).length,
    pages: pages.size,
  };
}

/**
 * Proposes outlines in differing shapes, those that fit the intent first; none that was made before (by its key). The
 * shape chooses what it takes and in which order: steps need doings, questions need questions, a comparison a thing to
 * compare; a shape that the pages do not give is passed over. Every main point is kept, with the topic that it is about.
 * Fewer than wished where nothing further differs; none where there is nothing to build on.
 */
export function proposeOutlines(
  input: ProposalInput,
  count: number,
  before: ReadonlySet<string>,
  bases: WordBases,
): Proposal[] {
  if (input.points.length + input.topics.length + input.questions.length + input.asked.length === 0)
    return [];
  const known = new Set(before);
  const out: Proposal[] = [];
  const fitting = fittingShapes(input.query, input.intent);
  const shapes = BEGINNERS.test(input.audience ?? '') ? [...new Set<Shape>(['steps', ...fitting])] : fitting;
  for (let variant = 0; variant < VARIANTS && out.length < count; variant++) {
    const sections = sectionsOf(input, variant, bases);
    for (const shape of shapes) {
      if (out.length >= count) break;
      const made = shaped(shape, input, sections, variant, bases);
      if (made === null) continue;
      const items = withoutDoubles(made, bases);
      const key = proposalKey(items);
      if (items.length === 0 || known.has(key)) continue;
      known.add(key);
      out.push({ shape, items });
    }
  }
  return out;
}

/** Questions that a proposal or outline could answer at its end: those not met in it, most searched first. */
export function openQuestions(
  headings: readonly string[],
  asked: readonly StudyQuestion[],
  chosen: readonly string[],
  bases: WordBases,
): string[] {
  const all = [...chosen, ...asked.map(({ text }) => text).filter((text) => !chosen.includes(text))];
  return all.filter((text) => !headings.some((known) => sameHeading(known, text, bases)));
}
