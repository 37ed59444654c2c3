/** How a field of a pattern is typed: a line, a text, a list with an entry in each line, a number, one of some or an own word. */
export const FIELD_KINDS = ['line', 'text', 'list', 'number', 'choice'] as const;
export type FieldKind = (typeof FIELD_KINDS)[number];

/** One thing that a pattern asks for. */
export interface PatternField {
  /** What its place in the text is called: `{{topic}}`. */
  id: string;
  name: string;
  kind: FieldKind;
  required: boolean;
  /** Values to choose from; others may be typed. */
  suggestions: string[];
  /** Characters that it may have; null: any number. */
  most: number | null;
}

/** What of a post and its surroundings goes along with a request. */
export const ALONG = [
  'house',
  'voice',
  'brief',
  'outline',
  'study',
  'draft',
  'around',
  'selection',
  'site',
  'picture',
] as const;
export type Along = (typeof ALONG)[number];

/** How an answer is read: a piece in each line, headings with their levels, paragraphs, or one text. */
export const READ_AS = ['lines', 'headings', 'paragraphs', 'text'] as const;
export type ReadAs = (typeof READ_AS)[number];

/** Where an answer can go. `sheet`: into the text; `list`: it is read and copied; the others are fields and lists of the post. */
export const INTO = [
  'sheet',
  'title',
  'meta-title',
  'meta-description',
  'excerpt',
  'alt',
  'outline',
  'questions',
  'points',
  'ideas',
  'list',
] as const;
export type Into = (typeof INTO)[number];

/** What the stand-in knows to compose; an own pattern says which of these it is like. */
export const RECIPES = [
  'titles',
  'meta-title',
  'meta-description',
  'introduction',
  'section',
  'example',
  'shorter',
  'longer',
  'plainer',
  'tone',
  'conclusion',
  'answer',
  'faq',
  'alt',
  'excerpt',
  'topics',
  'questions',
  'takeaways',
  'outline',
  'ideas',
  'gaps',
  'shares',
  'continue',
  'picture',
  'talk',
  'reuse',
] as const;
export type WritingRecipe = (typeof RECIPES)[number];

/** Where patterns are listed. */
export const PATTERN_GROUPS = ['whole', 'text', 'listing', 'lists', 'sharing'] as const;
export type PatternGroup = (typeof PATTERN_GROUPS)[number];

/** What an answer has to keep to, beside what its fields say. */
export interface AnswerRules {
  /** Pieces that are wished for: titles, headlines, questions; null: as many as come. */
  pieces: number | null;
  /** The limit of the house that a piece's width in pixels must keep to; null: none. */
  width: 'title' | 'description' | null;
  /** Characters that a piece may have; null: any number. */
  characters: number | null;
}

/** A stored request for generated text. */
export interface Pattern {
  id: string;
  name: string;
  /** What it is for, in one sentence. */
  purpose: string;
  group: PatternGroup;
  fields: PatternField[];
  /** The request with places for its fields. A line with a place whose field is empty is left out. */
  text: string;
  along: Along[];
  readAs: ReadAs;
  into: Into;
  recipe: WritingRecipe;
  rules: AnswerRules;
  /** Words that its answer has where nobody wishes otherwise; null: it has no length of its own. */
  words: number | null;
}

/** The value that a field was given; a list has an entry in each line. Pairs, as a field may have any name. */
export interface FieldValue {
  id: string;
  value: string;
}

/** The value of a field, trimmed; empty where it was given none. */
export const fieldValue = (values: readonly FieldValue[], id: string): string =>
  values.find((one) => one.id === id)?.value.trim() ?? '';

/** The entries of a field that is a list. */
export const entriesOf = (values: readonly FieldValue[], id: string): string[] =>
  fieldValue(values, id)
    .split(/[\n\r]+/)
    .map((entry) => entry.trim())
    .filter(Boolean);

/** A copy of values with one of them changed. */
export const withValue = (values: readonly FieldValue[], id: string, value: string): FieldValue[] =>
  values.some((one) => one.id === id)
    ? values.map((one) => (one.id === id ? { id, value } : one))
    : [...values, { id, value }];
