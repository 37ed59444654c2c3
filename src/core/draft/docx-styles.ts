import type { StepLook } from './draft.ts';

/** Styles of our own in .docx files, by which what word processors have no element for is known again. */
export const DIVIDER = 'Divider';
export const HEADER_CELL = 'Table Header';
export const INLINE_CODE = { id: 'CodeChar', name: 'Code Char' };
export const NEXT_STEPS: Record<StepLook, string> = { button: 'Next Step Button', words: 'Next Step' };
