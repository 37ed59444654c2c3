import { imageName, type Limits } from '../criteria/index.ts';
import type { PixelSize } from './picture-cut.ts';
import type { FormatWish, PictureFormat } from './picture-format.ts';
import { pictureName } from './picture-name.ts';
import type { ShownPicture } from './shown-pictures.ts';

/** What a look into a picture's file tells. */
export interface PictureFile extends PixelSize {
  bytes: number;
  /** Null: a format that is shown but never written here (GIF, AVIF). */
  format: PictureFormat | null;
  hasAlpha: boolean;
  isDrawing: boolean;
  /** Several images one after the other. */
  isMoving: boolean;
  /** Bytes of camera, times, names and the like beside the picture. */
  notes: number;
  /** The notes say where it was taken. */
  hasPlace: boolean;
  /** Readers see it turned by what the notes say. */
  isTurned: boolean;
  /** Who took it or owns it, as the notes say; empty where they do not. */
  credit: string;
}

/** What a house lets its pictures be. */
export interface PictureRules {
  /** Pixels. */
  widest: number;
  /** Bytes. */
  heaviest: number;
  format: FormatWish;
  nameWords: [number, number];
}

/** The house's rules: pixels and weight are the limits that posts are scored by. */
export const pictureRules = (limits: Limits, format: FormatWish = 'fitting'): PictureRules => ({
  widest: limits.imagePixels,
  heaviest: (limits.imageKilobytes[2] ?? 200) * 1000,
  format,
  nameWords: limits.imageNameWords,
});

export type PictureStep = 'name' | 'width' | 'weight' | 'format' | 'notes';

/** What putting in order does to one file of a post, which may stand in several places. */
export interface PicturePlan {
  src: string;
  file: PictureFile;
  shown: ShownPicture[];
  steps: PictureStep[];
  /** The name without ending. */
  name: string;
  /** Pixels. */
  width: number;
  /** Its pixels are drawn and written anew; false: the file is kept as it is but for name and notes. */
  isWritten: boolean;
  /** Why it is left as it is; empty where it is not. */
  left: string;
}

/**
 * What has to be done to the pictures of a post so that they keep the house's rules, each file once; those whose file
 * is not in `files` lie elsewhere and are not in the answer.
 */
export function pictureOrder(
  shown: readonly ShownPicture[],
  files: ReadonlyMap<string, PictureFile>,
  keyword: string,
  rules: PictureRules,
): PicturePlan[] {
  const bySrc = new Map<string, ShownPicture[]>();
  for (const picture of shown) {
    const places = bySrc.get(picture.src);
    if (places) places.push(picture);
    else bySrc.set(picture.src, [picture]);
  }
  const taken = new Set<string>();
  const plans: PicturePlan[] = [];
  for (const [src, places] of bySrc) {
    const file = files.get(src);
    if (!file) continue;
    // The place with most words beside it tells best what the picture shows.
    const told = places.reduce((best, place) => (place.caption.length > best.caption.length ? place : best));
    const name = pictureName(told, keyword, rules.nameWords, taken);
    taken.add(name);
    plans.push({ src, file, shown: places, name, ...stepsFor(src, file, name, rules) });
  }
  return plans;
}

function stepsFor(
  src: string,
  file: PictureFile,
  name: string,
  { widest, heaviest, format }: PictureRules,
): Pick<PicturePlan, 'steps' | 'width' | 'isWritten' | 'left'> {
  const steps: PictureStep[] = name === imageName(src) ? [] : ['name'];
  if (file.isMoving) {
    const isGrave = file.bytes > heaviest || file.width > widest;
    const left = isGrave ? 'It moves: made smaller, only its first image would be left.' : '';
    return { steps, width: file.width, isWritten: false, left };
  }
  if (file.width > widest) steps.push('width');
  if (file.bytes > heaviest) steps.push('weight');
  if (format !== 'fitting' && file.format !== format && !(format === 'jpeg' && file.hasAlpha))
    steps.push('format');
  if (file.notes > 0) steps.push('notes');
  const isWritten =
    steps.some((step) => step === 'width' || step === 'weight' || step === 'format') ||
    (file.notes > 0 && (file.isTurned || file.format === null));
  return { steps, width: Math.min(widest, file.width), isWritten, left: '' };
}
