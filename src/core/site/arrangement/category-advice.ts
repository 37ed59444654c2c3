import {
  addStems,
  likeness,
  plainWords,
  sharedStems,
  sumOfVectors,
  type WordVector,
  wordVectors,
} from '../../language/index.ts';
import { type Category, categoryNamed } from '../../listing/index.ts';

/** Main categories that a reader takes in at a glance: more make a menu that nobody reads. */
export const MOST_MAIN = 5;
/** A word of a title says as much as so many in the text. */
const TITLE = 4;
/** Posts of a category that stand for it when another is compared with it: those most alike. */
const NEAREST = 3;
/** Likeness below which a post belongs nowhere. */
const LEAST = 0.06;
/** By how much the nearest category must be nearer than the next. */
const LEAD = 1.15;
const SHARED = 3;

/** A post as its place among the categories is looked for. */
export interface AdvisedPost {
  id: string;
  title: string;
  /** Its main category, by name; empty: none. */
  category: string;
  text: string;
}

/** Where a post without a main category could be filed. */
export interface LikelyHome {
  id: string;
  /** Slug of the category; empty: it is like none of them. */
  category: string;
  /** Words by which it is like the posts there, as stems in their commonest form. */
  words: string[];
}

/** A main category that could stand within another. */
export interface LikelyNest {
  slug: string;
  into: string;
  /** Likeness of their posts, 0-1. */
  like: number;
  words: string[];
}

/** What could be done about the order of a blog's categories. */
export interface CategoryAdvice {
  /** Posts by category, by slug: those filed there above all, and those in it and in what stands in it. */
  counts: ReadonlyMap<string, { own: number; all: number }>;
  /** Posts of which the main category is none of the blog's, or empty. */
  homes: LikelyHome[];
  /** As many as there are main categories too many; empty: there are few enough. */
  nests: LikelyNest[];
}

/** Stems as people write them: the shortest word of each that stands in the texts. */
function spokenForms(
  stems: ReadonlySet<string>,
  posts: readonly Pick<AdvisedPost, 'title' | 'text'>[],
): ReadonlyMap<string, string> {
  const words = new Set<string>();
  for (const { title, text } of posts) for (const word of plainWords(`${title} ${text}`)) words.add(word);
  const forms = new Map<string, string>();
  for (const word of words) {
    const own = new Map<string, number>();
    addStems(own, word);
    for (const key of own.keys()) {
      const known = forms.get(key);
      const isBetter =
        known === undefined || word.length < known.length || (word.length === known.length && word < known);
      if (stems.has(key) && isBetter) forms.set(key, word);
    }
  }
  return forms;
}

/** How near a text is to a category: the mean likeness of the posts there that are most alike. */
const nearness = (text: WordVector, posts: readonly WordVector[]): number => {
  const found = posts.map((post) => likeness(text, post)).sort((a, b) => b - a);
  const nearest = found.slice(0, NEAREST);
  return nearest.reduce((sum, one) => sum + one, 0) / nearest.length;
};

/** The category that a text is nearest to, and whether it leads clearly; null: it is near none. */
export function nearestCategory(
  text: WordVector,
  inCategory: ReadonlyMap<string, readonly WordVector[]>,
): { slug: string; isClear: boolean } | null {
  const ranked = [...inCategory]
    .map(([slug, posts]) => ({ slug, near: nearness(text, posts) }))
    .sort((a, b) => b.near - a.near || (a.slug < b.slug ? -1 : 1));
  const [first, next] = ranked;
  if (!first || first.near < LEAST) return null;
  return { slug: first.slug, isClear: !next || first.near >= next.near * LEAD };
}

/** Texts as vectors by which their categories are told: title before text. */
export const textVectors = (posts: readonly Pick<AdvisedPost, 'title' | 'text'>[]): WordVector[] =>
  wordVectors(
    posts.map(({ title, text }) => {
      const counts = new Map<string, number>();
      addStems(counts, title, TITLE);
      addStems(counts, text);
      return counts;
    }),
  );

/**
 * Which main categories could stand within another, so many as there are too many: those first that are most alike for what each is to
 * the others, as one that speaks of everything is like all of them. Categories without a post are none that readers meet.
 */
function likelyNests(
  categories: readonly Category[],
  byTop: ReadonlyMap<string, readonly WordVector[]>,
): LikelyNest[] {
  const size = (slug: string) => byTop.get(slug)?.length ?? 0;
  const tops = categories.filter(({ parent, slug }) => parent === '' && size(slug) > 0);
  const tooMany = tops.length - MOST_MAIN;
  if (tooMany <= 0) return [];
  const sums = tops.map(({ slug }) => sumOfVectors(byTop.get(slug) ?? []));
  const like = sums.map((one) => sums.map((other) => likeness(one, other)));
  const usual = like.map(
    (row, at) => (row.reduce((sum, each) => sum + each, 0) - row[at]) / (tops.length - 1),
  );
  const pairs = tops
    .flatMap(({ slug }, at) =>
      tops.flatMap((other, to) =>
        // What has others in it cannot stand within one: there is one level.
        to !== at && size(other.slug) >= size(slug) && !categories.some(({ parent }) => parent === slug)
          ? [
              {
                slug,
                into: other.slug,
                like: like[at][to],
                at,
                to,
                by: like[at][to] / Math.sqrt(usual[at] * usual[to]),
              },
            ]
          : [],
      ),
    )
    .sort((a, b) => b.by - a.by || (a.slug < b.slug ? -1 : 1));
  const found: LikelyNest[] = [];
  const nested = new Set<string>();
  const holds = new Set<string>();
  for (const { slug, into, like: alike, at, to } of pairs) {
    if (found.length === tooMany) break;
    // Whatever stands within one holds none, and the other way round.
    if (nested.has(slug) || nested.has(into) || holds.has(slug)) continue;
    nested.add(slug);
    holds.add(into);
    found.push({ slug, into, like: alike, words: sharedStems(sums[at], sums[to], SHARED) });
  }
  return found;
}

/**
 * What could be done about the order of a blog's categories: how many posts each holds, where posts without one could be filed by
 * the likeness of their words to the posts there, and, of more than five main ones, which could stand within which.
 */
export function categoryAdvice(
  posts: readonly AdvisedPost[],
  categories: readonly Category[],
): CategoryAdvice {
  const vectors = textVectors(posts);
  const slugs = posts.map(({ category }) => categoryNamed(categories, category)?.slug ?? '');
  const topOf = new Map(categories.map(({ slug, parent }) => [slug, parent || slug]));
  const counts = new Map(categories.map(({ slug }) => [slug, { own: 0, all: 0 }]));
  const inCategory = new Map<string, WordVector[]>();
  const byTop = new Map<string, WordVector[]>();
  const push = (map: Map<string, WordVector[]>, slug: string, vector: WordVector) => {
    const list = map.get(slug);
    if (list) list.push(vector);
    else map.set(slug, [vector]);
  };
  slugs.forEach((slug, at) => {
    const top = topOf.get(slug);
    if (top === undefined) return;
    counts.get(slug)!.own += 1;
    counts.get(slug)!.all += 1;
    if (top !== slug && counts.has(top)) counts.get(top)!.all += 1;
    push(inCategory, slug, vectors[at]);
    push(byTop, top, vectors[at]);
  });
  const homes = posts.flatMap(({ id }, at): LikelyHome[] => {
    if (slugs[at] !== '') return [];
    const near = nearestCategory(vectors[at], inCategory);
    if (!near?.isClear) return [{ id, category: '', words: [] }];
    const there = sumOfVectors(inCategory.get(near.slug)!);
    return [{ id, category: near.slug, words: sharedStems(vectors[at], there, SHARED) }];
  });
  const nests = likelyNests(categories, byTop);
  const said = new Set([...homes, ...nests].flatMap(({ words }) => words));
  const forms = said.size === 0 ? new Map<string, string>() : spokenForms(said, posts);
  const spoken = <Told extends { words: string[] }>(told: Told): Told => ({
    ...told,
    words: told.words.map((stem) => forms.get(stem) ?? stem),
  });
  return { counts, homes: homes.map(spoken), nests: nests.map(spoken) };
}
