/** A category of a blog; nested one level. */
export interface Category {
  name: string;
  slug: string;
  description: string;
  /** Slug of the one that it stands in; empty: it stands by itself. */
  parent: string;
  /** That its list shows above the posts; not there: none. */
  picture?: CategoryPicture;
}

/** A picture of a category: `src` as whoever keeps it names it. */
export interface CategoryPicture {
  src: string;
  /** Empty: it tells nothing that the name does not. */
  alt: string;
}

/** Categories in the order of their tree: each that stands by itself, then those in it. */
export const categoriesInTree = <Kind extends Category>(categories: readonly Kind[]): Kind[] =>
  categories
    .filter(({ parent }) => parent === '')
    .flatMap((top) => [top, ...categories.filter(({ parent }) => parent === top.slug)]);

/** The category of a name, whatever its capitals. */
export function categoryNamed<Kind extends Pick<Category, 'name'>>(
  categories: readonly Kind[],
  name: string,
): Kind | undefined {
  const wanted = name.trim().toLowerCase();
  return wanted === '' ? undefined : categories.find((one) => one.name.trim().toLowerCase() === wanted);
}

/** The slugs by which a category is reached, the one that it stands in first: `gear/packing`. */
export const categoryTrail = (
  categories: readonly Pick<Category, 'slug' | 'parent'>[],
  slug: string,
): string => {
  const own = categories.find((category) => category.slug === slug);
  return own?.parent ? `${own.parent}/${slug}` : slug;
};

/** Path of a category's list, as a blog of ours serves it: `/category/gear/packing/`. */
export const categoryPath = (
  { categories }: { categories: readonly Pick<Category, 'slug' | 'parent'>[] },
  slug: string,
): string => `/category/${categoryTrail(categories, slug)}/`;
