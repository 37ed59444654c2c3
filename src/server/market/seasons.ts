import { seededRandom } from './random.ts';

/** Shapes of a year by name: January to December, the mean being 1. */
const SHAPES: Record<string, readonly number[]> = {
  flat: [1.02, 0.98, 1, 1, 1.02, 1, 0.98, 0.98, 1, 1.02, 1, 1],
  spring: [1.05, 1.2, 1.45, 1.6, 1.5, 1.2, 0.95, 0.8, 0.7, 0.55, 0.5, 0.5],
  summer: [0.45, 0.5, 0.75, 1.1, 1.5, 1.75, 1.85, 1.6, 1.05, 0.6, 0.45, 0.4],
  autumn: [0.85, 0.75, 0.7, 0.7, 0.75, 0.8, 0.9, 1.1, 1.5, 1.6, 1.3, 1.05],
  winter: [1.5, 1.2, 0.9, 0.65, 0.5, 0.45, 0.45, 0.55, 0.9, 1.4, 1.85, 1.65],
  rain: [1.25, 1.1, 1, 0.85, 0.75, 0.65, 0.65, 0.8, 1.1, 1.4, 1.35, 1.1],
  gift: [0.6, 0.55, 0.55, 0.55, 0.65, 0.8, 0.6, 0.6, 0.7, 0.9, 2.4, 3.1],
};

/** Searches in each month of a year for a phrase: its mean, in the shape of its season, uneven as real months are. */
export function monthlyVolumes(phrase: string, region: string, volume: number, season: string): number[] {
  const shape = SHAPES[season];
  if (!shape) throw new Error(`There is no season "${season}" (at "${phrase}").`);
  const random = seededRandom(`${phrase} ${region}`);
  return shape.map((height) => Math.max(0, Math.round(volume * height * (0.93 + 0.14 * random()))));
}
