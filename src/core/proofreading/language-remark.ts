/** What kind of thing a remark on language is about. */
export type RemarkKind = 'spelling' | 'unknown' | 'repeated' | 'article' | 'house' | 'opening' | 'passive';

/** One remark on the language of a paragraph. Offsets are UTF-16 code units of its text. */
export interface LanguageRemark {
  kind: RemarkKind;
  start: number;
  end: number;
  /** The words it is about, as they stand. */
  quote: string;
  says: string;
  /** What could stand there instead, the best first; an empty text: nothing. None: the writer has to find the words. */
  instead: string[];
}

/** The kinds in the order in which they are shown, gravest first, with their names. */
export const REMARK_KINDS: readonly { kind: RemarkKind; name: string }[] = [
  { kind: 'spelling', name: 'Spelling' },
  { kind: 'repeated', name: 'Words twice' },
  { kind: 'article', name: 'A or an' },
  { kind: 'house', name: 'House words' },
  { kind: 'opening', name: 'Weak openings' },
  { kind: 'passive', name: 'Passive' },
  { kind: 'unknown', name: 'Unknown words' },
];
