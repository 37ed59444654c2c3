/**
 * Outline: the plan of a post's headings, and its way into the draft and back.
 *
 * `outline` is the tree and what can be done to it. Beside a study, `outline-coverage` tells what the plan answers by the
 * stems of its branches (`outline-words`) and what it lacks, `merge` places gaps, branches and questions without doubles,
 * `proposals` makes plans: `proposal-sections` chooses what they are of, `shapes` gives it a shape, `heading-forms` knows the grammar of headings, `tones` which do not go together (`proposal-text` keeps plans as text), `word-budget` shares out the length, `outline-checks` says what is not right.
 * In the draft, `placeholders` are headings that wait for their text; `reorder` moves written sections into the plan's order.
 */
export { asAsked, type HeadingKind, headingKind } from './heading-forms.ts';
export {
  addFaq,
  asQuestion,
  combine,
  FAQ_HEADING,
  mergeGaps,
  type Planned,
} from './merge.ts';
export {
  addItem,
  branchLength,
  moveItem,
  nestItem,
  newItem,
  type Outline,
  type OutlineItem,
  outlineFromDraft,
  outlineOfDraft,
  placeItem,
  removeItem,
  sendOutline,
} from './outline.ts';
export { type OutlineCheck, outlineChecks } from './outline-checks.ts';
export {
  type CoveredItem,
  type Gap,
  type OutlineCoverage,
  outlineCoverage,
  outlineGaps,
  type ToCover,
} from './outline-coverage.ts';
export { ownNote } from './outline-words.ts';
export {
  finishedDraft,
  placeholderHeadings,
  unwrittenHeadings,
  withPlannedHeadings,
} from './placeholders.ts';
export {
  type Ground,
  type Proposal,
  type ProposalInput,
  type ProposedItem,
  SHAPE_NAMES,
  type Shape,
} from './proposal.ts';
export { planText, readPlan } from './proposal-text.ts';
export { openQuestions, proposalKey, proposeOutlines, standing } from './proposals.ts';
export { isOrderedOtherwise, reorderDraft } from './reorder.ts';
export { fittingShapes } from './shapes.ts';
export { clashingTones } from './tones.ts';
export { budgetRemarks, wordBudget } from './word-budget.ts';
