import { baseForm, fold, isFunctionWord } from '../../language/index.ts';

/** Words that every other title has. */
const EMPTY: ReadonlySet<string> = new Set(
  'guide tip tips best top way ways complete ultimate need know'.split(' '),
);

/** The words by which titles are alike, each once: base forms without function words and without what every title has. */
function tellingWords(title: string): Set<string> {
  const words = (fold(title).match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !isFunctionWord(word));
  const telling = words.filter((word) => !EMPTY.has(word));
  return new Set((telling.length > 0 ? telling : words).map(baseForm));
}

/** How alike two titles are, 0 to 1: the words that both have over those that the shorter one has (overlap coefficient), softened by those that either has. */
export function titleLikeness(one: string, other: string): number {
  const [a, b] = [tellingWords(one), tellingWords(other)];
  if (a.size === 0 || b.size === 0) return 0;
  let both = 0;
  for (const word of a) if (b.has(word)) both += 1;
  return both / Math.sqrt(a.size * b.size);
}

/** A title and how like it is. */
export interface LikeTitle {
  title: string;
  likeness: number;
}

/** The title that is most like another; null where none shares a telling word with it. */
export function mostAlike(title: string, others: readonly string[]): LikeTitle | null {
  let most: LikeTitle | null = null;
  for (const other of others) {
    const likeness = titleLikeness(title, other);
    if (likeness > (most?.likeness ?? 0)) most = { title: other, likeness };
  }
  return most;
}
