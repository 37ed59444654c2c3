/**
 * Patterns: stored requests for text.
 *
 * `pattern` says what one is, `standard-fields` what most ask for, `shipped-patterns` those that come along; `places` are the
 * places of fields in a text, `fill` fills them from a post. `request` makes the messages; `read-answer` reads what comes back in
 * pieces, `check-answer` holds it against the pattern's rules, `repeats` against what came before. `pattern-file` takes patterns
 * out and in.
 */
export {
  answerMisses,
  type CheckedPiece,
  checkedPieces,
  pieceWidth,
  wordsOf,
} from './check-answer.ts';
export { fieldFaults, filledFields, resultsWished } from './fill.ts';
export {
  ALONG,
  type Along,
  entriesOf,
  FIELD_KINDS,
  type FieldKind,
  type FieldValue,
  fieldValue,
  INTO,
  type Into,
  PATTERN_GROUPS,
  type Pattern,
  type PatternField,
  type PatternGroup,
  READ_AS,
  RECIPES,
  type ReadAs,
  type WritingRecipe,
  withValue,
} from './pattern.ts';
export { type PatternFileReading, patternFile, readPatternFile } from './pattern-file.ts';
export { filledText, placeFaults, placesIn } from './places.ts';
export { bareAnswer, readAnswer } from './read-answer.ts';
export { isRepeat, withoutRepeats } from './repeats.ts';
export {
  askedAgain,
  type ComposeOrder,
  type Message,
  requestOf,
  type TextRequest,
  type TitleShown,
  wordsWished,
} from './request.ts';
export { PATTERN_GROUP_NAMES, SHIPPED_PATTERNS } from './shipped-patterns.ts';
export { STANDARD_FIELDS } from './standard-fields.ts';
