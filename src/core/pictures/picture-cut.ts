import { SHARE_PICTURE } from '../listing/index.ts';
/** A quarter turn clockwise, as often as it says. */
export type Turn = 0 | 90 | 180 | 270;

/** A part of a picture in fractions of its width and height, each 0 to 1. */
export interface Crop {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How a picture is cut: turned first, then cropped (`null`: all of it), then made as narrow as is wished (`null`: as it is). */
export interface PictureCut {
  turn: Turn;
  crop: Crop | null;
  width: number | null;
}

/** A picture's measures in pixels. */
export interface PixelSize {
  width: number;
  height: number;
}

/** What is drawn: a stretch of the turned picture, in its pixels, onto a canvas. */
export interface PictureFrame {
  source: { x: number; y: number } & PixelSize;
  canvas: PixelSize;
  turn: Turn;
}

export const WHOLE: PictureCut = { turn: 0, crop: null, width: null };

/** The measures of a picture when it is turned. */
export const turned = ({ width, height }: PixelSize, turn: Turn): PixelSize =>
  turn === 90 || turn === 270 ? { width: height, height: width } : { width, height };

const between = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * The stretch of a picture that a cut takes, and the canvas that it fills. A crop that reaches over the edge ends there; every
 * picture keeps at least one pixel; nothing is ever enlarged.
 *
 * @example frameOf({ width: 4000, height: 3000 }, { turn: 90, crop: null, width: 1500 }).canvas // { width: 1500, height: 2000 }
 */
export function frameOf(size: PixelSize, { turn, crop, width }: PictureCut): PictureFrame {
  const whole = turned(size, turn);
  const { x, y, width: w, height: h } = crop ?? { x: 0, y: 0, width: 1, height: 1 };
  const left = between(Math.round(x * whole.width), 0, whole.width - 1);
  const top = between(Math.round(y * whole.height), 0, whole.height - 1);
  const source = {
    x: left,
    y: top,
    width: between(Math.round(w * whole.width), 1, whole.width - left),
    height: between(Math.round(h * whole.height), 1, whole.height - top),
  };
  const scale = width === null ? 1 : Math.min(1, Math.max(1, width) / source.width);
  const canvas = {
    width: Math.max(1, Math.round(source.width * scale)),
    height: Math.max(1, Math.round(source.height * scale)),
  };
  return { source, canvas, turn };
}

/** Ratios of width to height that a crop can be held to. */
export const CROP_RATIOS: readonly { name: string; ratio: number | null }[] = [
  { name: 'free', ratio: null },
  { name: 'share, 1200 × 630', ratio: SHARE_PICTURE.width / SHARE_PICTURE.height },
  { name: '16 : 9', ratio: 16 / 9 },
  { name: '3 : 2', ratio: 3 / 2 },
  { name: '4 : 3', ratio: 4 / 3 },
  { name: 'square', ratio: 1 },
  { name: '4 : 5', ratio: 4 / 5 },
];

/** The largest crop of a ratio in the middle of a picture, measured as it is turned. */
export function middleCrop(size: PixelSize, ratio: number): Crop {
  const own = size.width / size.height;
  const width = own > ratio ? ratio / own : 1;
  const height = own > ratio ? 1 : own / ratio;
  return { x: (1 - width) / 2, y: (1 - height) / 2, width, height };
}
