/** The highest number that HTML lets a list begin with. */
const MAX_START = 2_147_483_647;
/** Columns or rows that one cell may span; more was made to fill the memory. */
const MAX_SPAN = 100;
/** Pixels as a picture may be shown. */
const MAX_WIDTH = 4000;

const whole = (value: unknown, most: number): number => {
  const number = Math.trunc(Number(value ?? 1));
  return number >= 1 ? Math.min(number, most) : 1;
};

/** The number that an ordered list begins with, out of whatever markup says: 1 where it says nothing sensible. */
export const listStart = (value: unknown): number => whole(value, MAX_START);

/** How many columns or rows a cell spans, 1 to 100. */
export const cellSpan = (value: unknown): number => whole(value, MAX_SPAN);

/** The width of a picture in pixels, at most 4,000; null where none is given. */
export function pictureWidth(value: unknown): number | null {
  const number = Number(value ?? 0);
  return number > 0 ? Math.min(number, MAX_WIDTH) : null;
}
