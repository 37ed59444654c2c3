import type { Ramp } from './limits.ts';

/**
 * 0 up to a, rising to 1 at b, 1 to c, falling to 0 at d; a null leaves that side open.
 * Between equal corners the step is sharp. NaN gives 0.
 */
export function ramp(x: number, [a, b, c, d]: Ramp): number {
  if (Number.isNaN(x)) return 0;
  if (b !== null && x < b) {
    const from = a ?? 0;
    return x <= from ? 0 : (x - from) / (b - from);
  }
  if (c === null || x <= c) return 1;
  if (d === null) return 1;
  return x >= d ? 0 : (d - x) / (d - c);
}

/** The wished range of a ramp in words, e.g. `380-580`. */
export function wished([, b, c]: Ramp, unit = ''): string {
  const tail = unit ? ` ${unit}` : '';
  if (b === null) return `up to ${c}${tail}`;
  return c === null ? `at least ${b}${tail}` : `${b}-${c}${tail}`;
}
