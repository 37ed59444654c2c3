import { clock } from './transcript.ts';

const WISH = /^\[picture of: [^\]]*\]$/;

/**
 * The note that a picture belongs behind what was said at a second, as a place that is still to be filled in.
 *
 * @example pictureWish('the pads [here]', 295) // '[picture of: the pads here (4:55)]'
 */
export const pictureWish = (said: string, seconds: number): string =>
  `[picture of: ${said.replace(/[[\]\s]+/g, ' ').trim()} (${clock(seconds)})]`;

/** Whether a text is nothing but such a note: it is for the writer, and no part of the post. */
export const isPictureWish = (text: string): boolean => WISH.test(text.trim());
