import {
  type FittedPicture,
  type FormatWish,
  fitWeight,
  formatsFor,
  frameOf,
  type PictureCut,
  type PictureFormat,
  type PixelKind,
  type PixelSize,
  pixelKind,
  type Written,
} from '../../core/pictures/index.ts';

/** Pixels on a side of what is looked at to tell a drawing from a photograph. */
const SAMPLE = 200;

/** What a picture shall become. */
export interface PictureWish {
  cut: PictureCut;
  format: FormatWish;
  /** Bytes. */
  most: number;
  isShown: 'in the text' | 'in shares';
}

/** A picture as it was drawn anew. */
export interface DrawnPicture extends PixelSize {
  blob: Blob;
  format: PictureFormat;
  quality: number;
  /** Heavier than was wished, however it is written. */
  tooHeavy: boolean;
}

/** A file as pixels, turned as it is meant to be seen. Throws where the browser cannot show it. */
export const pixelsOf = (file: Blob): Promise<ImageBitmap> => createImageBitmap(file);

/** Files of these kinds hold nothing that can be seen through. */
const SOLID = /^image\/jpeg$/;

function canvasOf({ width, height }: PixelSize): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser draws no pictures beside the page.');
  return [canvas, context];
}

/** What a picture's pixels are: a drawing or a photograph, and whether it can be seen through. */
export function kindOf(bitmap: ImageBitmap, type: string): PixelKind {
  const [, context] = canvasOf({ width: SAMPLE, height: SAMPLE });
  context.imageSmoothingEnabled = false;
  context.drawImage(bitmap, 0, 0, SAMPLE, SAMPLE);
  const kind = pixelKind(context.getImageData(0, 0, SAMPLE, SAMPLE).data);
  if (kind.hasAlpha || SOLID.test(type)) return { ...kind, hasAlpha: kind.hasAlpha && !SOLID.test(type) };
  // A thin edge that can be seen through is between the points of the sample.
  const [, edge] = canvasOf({ width: SAMPLE, height: SAMPLE });
  edge.imageSmoothingQuality = 'high';
  edge.drawImage(bitmap, 0, 0, SAMPLE, SAMPLE);
  return { ...kind, hasAlpha: pixelKind(edge.getImageData(0, 0, SAMPLE, SAMPLE).data).hasAlpha };
}

/** Draws the stretch that a cut takes. */
function drawn(bitmap: ImageBitmap, cut: PictureCut): OffscreenCanvas {
  const { source, canvas: size, turn } = frameOf(bitmap, cut);
  const [canvas, context] = canvasOf(size);
  context.imageSmoothingQuality = 'high';
  context.scale(size.width / source.width, size.height / source.height);
  context.translate(-source.x, -source.y);
  // The turned picture's corner lies where the turn has carried it.
  if (turn === 90) context.translate(bitmap.height, 0);
  if (turn === 180) context.translate(bitmap.width, bitmap.height);
  if (turn === 270) context.translate(0, bitmap.width);
  context.rotate((turn * Math.PI) / 180);
  context.drawImage(bitmap, 0, 0);
  return canvas;
}

/** Draws a picture as it is wished and writes it in the format that suits it best of those that are light enough. */
export async function drawPicture(
  bitmap: ImageBitmap,
  type: string,
  { cut, format, most, isShown }: PictureWish,
): Promise<DrawnPicture> {
  const formats = formatsFor(kindOf(bitmap, type), format, isShown);
  const { canvas } = frameOf(bitmap, cut);
  let ready: { width: number; canvas: OffscreenCanvas } | null = null;
  const writeAs =
    (to: PictureFormat) =>
    async (width: number, quality: number): Promise<Written<Blob>> => {
      if (ready?.width !== width) ready = { width, canvas: drawn(bitmap, { ...cut, width }) };
      const blob = await ready.canvas.convertToBlob({ type: `image/${to}`, quality });
      // A format that a browser does not write comes back as another without a word.
      if (blob.type !== `image/${to}`) throw new Error(`This browser writes no ${to} pictures.`);
      return { bytes: blob.size, file: blob };
    };
  const fitted: Fitted[] = [];
  for (const to of formats) {
    // Of two, the first is only worth having as wide as was wished.
    const narrows = to === formats.at(-1);
    const write = writeAs(to);
    const done = narrows
      ? await fitWeight(write, { width: canvas.width, most, holdsQuality: to !== 'png' })
      : { ...(await write(canvas.width, 1)), width: canvas.width, quality: 1, tooHeavy: false };
    if (done.bytes <= most || narrows) fitted.push({ ...done, format: to });
  }
  const { file: blob, width, quality, tooHeavy, format: chosen } = suitable(fitted);
  const { height } = frameOf(bitmap, { ...cut, width }).canvas;
  return { blob, width, height, format: chosen, quality, tooHeavy };
}

interface Fitted extends FittedPicture<Blob> {
  format: PictureFormat;
}

/** How many times as heavy an exact picture may be as one that is only near, and still be the better one. */
const EXACT_IS_WORTH = 1.5;

/** Of a picture written exactly and nearly, the exact one where it costs little more. */
const suitable = ([first, second]: Fitted[]): Fitted =>
  second && (first.bytes > EXACT_IS_WORTH * second.bytes || second.tooHeavy !== first.tooHeavy)
    ? first.bytes <= second.bytes
      ? first
      : second
    : first;
