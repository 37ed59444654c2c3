import type { KeyboardEvent } from 'react';

/** Whether a key press is Enter, and not the end of composing a character (Japanese, Chinese, Korean). */
export const isEnter = ({ key, nativeEvent }: KeyboardEvent): boolean =>
  key === 'Enter' && !nativeEvent.isComposing && nativeEvent.keyCode !== COMPOSING;

/** What browsers that do not tell composing say instead. */
const COMPOSING = 229;
