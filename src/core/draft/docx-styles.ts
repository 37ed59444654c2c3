/** Styles of our own in .docx files, by which what word processors have no element for is known again. */
export const DIVIDER = 'Divider';
export const HEADER_CELL = 'Table Header';
export const INLINE_CODE = { id: 'CodeChar', name: 'Code Char' };
