import leven from 'leven';

/** How much of an address must agree, 0-1. */
const ENOUGH = 0.6;

const slugOfPath = (path: string) => path.replace(/\/$/, '').split('/').at(-1) ?? '';

/**
 * The known page that an address most likely meant: by the letters of its last part, or by the words that both hold. Null where
 * none is near, or two are equally so.
 */
export function nearestPage(
  path: string,
  pages: ReadonlyMap<string, string>,
): { path: string; title: string } | null {
  const wanted = slugOfPath(path).toLowerCase();
  if (wanted.length < 3) return null;
  let best: { path: string; title: string; likeness: number } | null = null;
  let equal = false;
  const words = new Set(wanted.split(/[-_.]+/));
  for (const [known, title] of pages) {
    const slug = slugOfPath(known).toLowerCase();
    if (slug === '') continue;
    const others = new Set(slug.split(/[-_.]+/));
    const shared = [...words].filter((word) => others.has(word)).length;
    const byWords = (2 * shared) / (words.size + others.size);
    // Lengths that differ by half can never be near by letters.
    const longer = Math.max(slug.length, wanted.length);
    const alike = slug.slice(0, 2) === wanted.slice(0, 2) || slug.slice(-3) === wanted.slice(-3);
    const byLetters =
      !alike || Math.abs(slug.length - wanted.length) > longer / 2
        ? 0
        : 1 - leven(slug.slice(0, 80), wanted.slice(0, 80)) / longer;
    const likeness = Math.max(byWords, byLetters);
    if (best && likeness === best.likeness && slug !== slugOfPath(best.path).toLowerCase()) equal = true;
    if (!best || likeness > best.likeness) {
      best = { path: known, title, likeness };
      equal = false;
    }
  }
  return best && best.likeness >= ENOUGH && !equal ? { path: best.path, title: best.title } : null;
}
