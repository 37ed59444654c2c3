/** Damages that are named one by one. */
const MAX_NAMED = 20;

/** Damages in one sentence of bounded length; empty where there are none. */
export function damagesInWords(said: readonly string[]): string {
  if (said.length === 0) return '';
  const named = [...new Set(said)];
  const more = named.length - MAX_NAMED;
  return `${named.slice(0, MAX_NAMED).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`;
}
