import { bytesInWords } from '../../../../../core/draft/index.ts';
import type { PictureFile, PicturePlan, PictureStep } from '../../../../../core/pictures/index.ts';
import { counted, countInWords } from '../../../../ui/figures.ts';

/** A picture's measures in a line, e.g. `4,000 × 3,000 px, 3.4 MB, JPEG`. */
export const fileInWords = ({ width, height, bytes, format }: PictureFile): string =>
  [
    `${countInWords(width)} × ${countInWords(height)} px`,
    bytesInWords(bytes),
    ...(format ? [FORMAT_NAMES[format]] : []),
  ].join(', ');

export const FORMAT_NAMES = { jpeg: 'JPEG', webp: 'WebP', png: 'PNG' } as const;

/** What a step does, in words of a list: "narrower, lighter". */
const STEPS: Record<PictureStep, string> = {
  name: 'named',
  width: 'narrower',
  weight: 'lighter',
  format: 'another format',
  notes: 'camera’s notes out',
};

export const stepsInWords = (steps: readonly PictureStep[]): string =>
  steps.map((step) => STEPS[step]).join(', ');

/** What is the matter with a picture's file, by the house's rules. */
export function filesFaults({ file, steps, left }: PicturePlan): string[] {
  const faults: string[] = [];
  if (steps.includes('name')) faults.push('Its file name says nothing.');
  if (steps.includes('width')) faults.push(`Wider than the house wishes (${countInWords(file.width)} px).`);
  if (steps.includes('weight')) faults.push(`Heavier than the house wishes (${bytesInWords(file.bytes)}).`);
  if (file.hasPlace) faults.push('It tells where it was taken.');
  else if (steps.includes('notes')) faults.push('The camera’s notes are still in it.');
  if (left) faults.push(left);
  return faults;
}

/** How many pictures, how heavy, how many without alternative text. */
export const picturesInWords = (count: number, bytes: number, withoutAlt: number): string =>
  `${counted(count, 'picture')}, ${bytesInWords(bytes)}${withoutAlt > 0 ? `; ${withoutAlt} without alt text` : ''}`;
