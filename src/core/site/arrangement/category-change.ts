import { type Category, categoryNamed, slugOf } from '../../listing/index.ts';

/** Where a post is filed, by the names of categories. */
export interface Filing {
  /** The main one; empty: none. */
  category: string;
  categories: string[];
}

/** What becomes of a tree of categories, and of the names and slugs that it had. */
export interface CategoryChange {
  categories: Category[];
  /** Names as they were, to what posts filed there are filed under now; empty: nothing. */
  names: ReadonlyMap<string, string>;
  /** Slugs as they were, to the category whose list shows these posts now; empty: none does. */
  slugs: ReadonlyMap<string, string>;
}

const onlyTree = (categories: Category[]): CategoryChange => ({
  categories,
  names: new Map(),
  slugs: new Map(),
});

const patched = (categories: readonly Category[], slug: string, patch: Partial<Category>): Category[] =>
  categories.map((one) => (one.slug === slug ? { ...one, ...patch } : one));

/** Why a category cannot be called so, as a sentence; empty where it can. `own`: the slug of the one that is renamed. */
export function categoryNameProblem(categories: readonly Category[], name: string, own = ''): string {
  const slug = slugOf(name);
  if (slug === '') return 'A name has a letter or a digit.';
  const others = categories.filter((one) => one.slug !== own);
  const taken = categoryNamed(others, name) ?? others.find((one) => one.slug === slug);
  return taken ? `There is a category “${taken.name}” already: merge into it instead.` : '';
}

/** The tree with one category more, at its end. The name has been looked at by {@link categoryNameProblem}. */
export const withCategory = (categories: readonly Category[], name: string, parent = ''): CategoryChange =>
  onlyTree([...categories, { name: name.trim(), slug: slugOf(name), description: '', parent }]);

/** What is said and shown of a category, which changes no address. */
export const withAbout = (
  categories: readonly Category[],
  slug: string,
  about: Pick<Partial<Category>, 'description' | 'picture'>,
): CategoryChange => onlyTree(patched(categories, slug, about));

/** A category by another name: its slug, its list and the posts filed there follow. */
export function renamedCategory(
  categories: readonly Category[],
  slug: string,
  given: string,
): CategoryChange {
  const name = given.trim();
  const next = slugOf(name);
  const before = categories.find((one) => one.slug === slug);
  return {
    categories: patched(categories, slug, { name, slug: next }).map((one) =>
      one.parent === slug ? { ...one, parent: next } : one,
    ),
    names: before ? new Map([[before.name, name]]) : new Map<string, string>(),
    slugs: new Map([[slug, next]]),
  };
}

/** A category put into another (empty: by itself). One that has others in it stands by itself: there is one level. */
export function nestedCategory(
  categories: readonly Category[],
  slug: string,
  parent: string,
): CategoryChange {
  const above = categories.find((one) => one.slug === parent);
  const isSound = parent === '' || (above?.parent === '' && parent !== slug);
  const hasInner = categories.some((one) => one.parent === slug);
  return onlyTree(
    isSound && !(hasInner && parent !== '') ? patched(categories, slug, { parent }) : [...categories],
  );
}

/** Swaps a category with its neighbour on the same level: `by` is -1 (earlier) or 1. At an end nothing changes. */
export function shiftedCategory(categories: readonly Category[], slug: string, by: -1 | 1): CategoryChange {
  const own = categories.find((one) => one.slug === slug);
  const level = categories.filter((one) => one.parent === own?.parent);
  const other = level[level.findIndex((one) => one.slug === slug) + by];
  if (!own || !other) return onlyTree([...categories]);
  return onlyTree(categories.map((one) => (one === own ? other : one === other ? own : one)));
}

/**
 * A category merged into another: its posts are filed there, what stood in it stands where that one's would, and its list
 * leads to that one's.
 */
export function mergedCategory(categories: readonly Category[], slug: string, into: string): CategoryChange {
  const [gone, kept] = [slug, into].map((each) => categories.find((one) => one.slug === each));
  if (!gone || !kept || gone === kept) return onlyTree([...categories]);
  const stays = kept.parent === gone.slug ? { ...kept, parent: gone.parent } : kept;
  const top = stays.parent || stays.slug;
  return {
    categories: categories
      .filter((one) => one !== gone)
      .map((one) => (one === kept ? stays : one.parent === gone.slug ? { ...one, parent: top } : one)),
    names: new Map([[gone.name, kept.name]]),
    slugs: new Map([[gone.slug, kept.slug]]),
  };
}

/** A category taken out: its posts keep their other ones, what stood in it stands by itself, its list leads to the one above. */
export function removedCategory(categories: readonly Category[], slug: string): CategoryChange {
  const gone = categories.find((one) => one.slug === slug);
  if (!gone) return onlyTree([...categories]);
  return {
    categories: categories
      .filter((one) => one !== gone)
      .map((one) => (one.parent === gone.slug ? { ...one, parent: '' } : one)),
    names: new Map([[gone.name, '']]),
    slugs: new Map([[gone.slug, gone.parent]]),
  };
}

const lower = (name: string) => name.trim().toLowerCase();

/** A filing with each category once, the main one among the further ones left out. */
function tidied({ category, categories }: Filing): Filing {
  const met = new Set([lower(category)]);
  return {
    category,
    categories: categories.filter((name) => {
      const isNew = lower(name) !== '' && !met.has(lower(name));
      met.add(lower(name));
      return isNew;
    }),
  };
}

/**
 * Where a post is filed after its categories changed their names. Where its main one is gone, the first of its others that the
 * blog has becomes it.
 */
export function refiled({ category, categories }: Filing, change: CategoryChange): Filing {
  const names = new Map([...change.names].map(([from, to]) => [lower(from), to]));
  const now = (name: string) => names.get(lower(name)) ?? name;
  const others = categories.map(now);
  const main = now(category);
  const next =
    main === '' && category !== '' ? others.find((name) => categoryNamed(change.categories, name)) : main;
  return tidied({ category: next ?? '', categories: others });
}

/** A filing under another main category; the one before is left, whatever else it is filed under stays. */
export const movedTo = ({ categories }: Filing, category: string): Filing => tidied({ category, categories });

/**
 * A tree for a blog that has none: the categories under which its posts are filed, those filed under most often first, each
 * by itself; `known` are those of which more is known.
 */
export function categoriesOfPosts(filings: readonly Filing[], known: readonly Category[] = []): Category[] {
  const counts = new Map<string, number>();
  for (const { category } of filings)
    if (slugOf(category) !== '') counts.set(category.trim(), (counts.get(category.trim()) ?? 0) + 1);
  const found = [...counts]
    .sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
    .filter(([name]) => !categoryNamed(known, name));
  const tree = [...known];
  for (const [name] of found)
    if (categoryNameProblem(tree, name) === '') tree.push(...withCategory([], name).categories);
  return tree;
}
