/** Languages that write compounds as one word: "Fahrradtasche", "cykelväska". */
const CLOSED = new Set(['de', 'nl', 'sv']);
/** Letters of a part that names something, and of what stands beside it. */
const PART = 5;
const BESIDE = 3;

/** Whether a language (its code) writes compounds as one word. */
export const hasCompounds = (code: string): boolean => CLOSED.has(code);

/**
 * Whether one of two words or stems is a compound that begins or ends with the other.
 *
 * @example isPartOf('packtasch', 'fahrradpacktasch') // true
 */
export function isPartOf(a: string, b: string): boolean {
  const [part, all] = a.length < b.length ? [a, b] : [b, a];
  return (
    part.length >= PART && all.length >= part.length + BESIDE && (all.startsWith(part) || all.endsWith(part))
  );
}
