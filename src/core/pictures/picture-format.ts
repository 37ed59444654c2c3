/** Formats that a picture can be written in. */
export type PictureFormat = 'jpeg' | 'webp' | 'png';

/** What a house wishes: one format, or what suits each picture. */
export type FormatWish = PictureFormat | 'fitting';

export const FORMAT_WISHES: readonly { value: FormatWish; name: string }[] = [
  { value: 'fitting', name: 'what suits each picture' },
  { value: 'webp', name: 'WebP' },
  { value: 'jpeg', name: 'JPEG' },
  { value: 'png', name: 'PNG' },
];

/** What a picture's pixels tell. */
export interface PixelKind {
  /** Something of it can be seen through. */
  hasAlpha: boolean;
  /** Few colours in flat areas, as in a drawing, a chart or a screenshot. */
  isDrawing: boolean;
}

/** Colours that a drawing has at most, of those that make up most of its area. */
const DRAWING_COLOURS = 64;
/** The share of the pixels that so few colours fill in a drawing. */
const DRAWING_SHARE = 0.85;

/**
 * What a picture is, from its pixels (red, green, blue, alpha, one byte each) taken as they stand, without smoothing. A
 * photograph spreads over thousands of colours; in a drawing a few fill nearly all of it.
 */
export function pixelKind(pixels: Uint8ClampedArray | Uint8Array): PixelKind {
  const counts = new Map<number, number>();
  let hasAlpha = false;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    if (pixels[at + 3] < 250) hasAlpha = true;
    const colour = (pixels[at] << 16) | (pixels[at + 1] << 8) | pixels[at + 2];
    counts.set(colour, (counts.get(colour) ?? 0) + 1);
  }
  const total = Math.floor(pixels.length / 4);
  let covered = 0;
  for (const count of [...counts.values()].sort((a, b) => b - a).slice(0, DRAWING_COLOURS)) covered += count;
  return { hasAlpha, isDrawing: total > 0 && covered / total >= DRAWING_SHARE };
}

/**
 * The formats worth trying for a picture, the last of which can be made as light as is wished: PNG is exact, so that edges of a
 * drawing stay sharp; WebP is the lightest for anything; JPEG is what every reader, feed and share card shows. What can
 * be seen through is never made JPEG.
 */
export function formatsFor(
  { hasAlpha, isDrawing }: PixelKind,
  wish: FormatWish,
  isShown: 'in the text' | 'in shares',
): PictureFormat[] {
  if (wish === 'jpeg') return hasAlpha ? ['webp'] : ['jpeg'];
  if (wish !== 'fitting') return [wish];
  if (isShown === 'in shares') return isDrawing || hasAlpha ? ['png', hasAlpha ? 'webp' : 'jpeg'] : ['jpeg'];
  return isDrawing ? ['png', 'webp'] : ['webp'];
}

/** The ending that a format's file names have. */
export const endingOf = (format: PictureFormat): string => (format === 'jpeg' ? 'jpg' : format);
