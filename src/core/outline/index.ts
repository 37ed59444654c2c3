/**
 * Outline: the plan of a post's headings, and its way into the draft and back.
 */
export {
  addItem,
  moveItem,
  nestItem,
  newItem,
  type Outline,
  type OutlineItem,
  outlineFromDraft,
  placeItem,
  removeItem,
  sendOutline,
} from './outline.ts';
