import { addStems, wordVectors } from '../language/index.ts';
import type { BlogEntry } from './blog.ts';

/** Related posts that a page names. */
const MOST = 3;
/** Likeness below which two posts have nothing to do with each other. */
const LEAST = 0.05;
/** A word of a title says as much as so many in the text. */
const TITLE = 4;

/**
 * For each post by its `uid` the posts that are most alike, best first: the cosine of their words by stem, weighed by how few posts
 * have them (tf-idf, with the logarithm of counts), title and category before text.
 */
export function relatedPosts(entries: readonly BlogEntry[]): Map<string, string[]> {
  const counts = entries.map(({ title, html, mainCategory, categories }) => {
    const words = new Map<string, number>();
    addStems(words, title, TITLE);
    addStems(words, [mainCategory, ...categories].join(' '), TITLE);
    addStems(words, html.replace(/<[^>]{0,2000}>/g, ' '));
    return words;
  });
  const vectors = wordVectors(counts);
  // By word, so that posts without a common one are never compared.
  const byWord = new Map<string, number[]>();
  vectors.forEach(({ weights }, at) => {
    for (const word of weights.keys()) {
      const list = byWord.get(word);
      if (list) list.push(at);
      else byWord.set(word, [at]);
    }
  });
  return new Map(
    vectors.map(({ weights, length }, at) => {
      const likeness = new Float64Array(entries.length);
      for (const [word, weight] of weights)
        for (const other of byWord.get(word)!) likeness[other] += weight * vectors[other].weights.get(word)!;
      const found = [...likeness.keys()]
        .filter((other) => other !== at && vectors[other].length > 0 && length > 0)
        .map((other) => ({ other, like: likeness[other] / (length * vectors[other].length) }))
        .filter(({ like }) => like >= LEAST)
        .sort((a, b) => b.like - a.like || (entries[a.other].uid < entries[b.other].uid ? -1 : 1));
      return [entries[at].uid, found.slice(0, MOST).map(({ other }) => entries[other].uid)];
    }),
  );
}
