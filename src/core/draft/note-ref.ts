/** What a reference to a footnote begins with; the id of the first block of the note's item follows. */
const TO_NOTE = '#fn-';
/** The character that stands in the text for a reference: no letter, and no part of a word. */
export const NOTE_SIGN = '†';

/** The address of a reference to the note whose item begins with a block. */
export const noteRef = (blockId: string): string => `${TO_NOTE}${blockId}`;

/** Whether an address is a reference to a footnote. */
export const isNoteRef = (href: string): boolean => href.startsWith(TO_NOTE);

/** The id of the block with which the note of a reference begins. */
export const noteOf = (href: string): string => href.slice(TO_NOTE.length);
