import { type Category, categoryNamed, categoryTrail } from './categories.ts';
import { slugOf } from './slugs.ts';

/** How a site makes the addresses of its posts. */
export interface AddressRule {
  /** `{slug}`, `{category}` (with the one that it stands in), `{year}`, `{month}`, `{day}` within plain words: `/journal/{category}/{slug}`. */
  addressPattern: string;
  /** Not there: a category is written as its name makes it. */
  categories?: readonly Category[];
}

/** What of a post its address may say: fields of the same names. */
export interface AddressParts {
  slug: string;
  /** Name of its main category; not there or empty: it has none, and the address leaves it out. */
  category?: string;
  /** As its front matter writes it, the year first: what stands there, on whatever clock, is the day of the address. */
  date?: string;
}

const PLACES = ['slug', 'category', 'year', 'month', 'day'] as const;
const DAY = /^(\d{4})-(\d{2})-(\d{2})/;

/** Whether addresses of a pattern say the day of a post. */
const saysDay = (pattern: string): boolean => /\{(?:year|month|day)\}/.test(pattern);

/** Whether addresses of a pattern say the category of a post. */
export const saysCategory = (pattern: string): boolean => pattern.includes('{category}');

/**
 * The path of a post by the site's address pattern; null without a slug, and without a date where the pattern says the day.
 *
 * `postPath({addressPattern: '/{category}/{slug}', categories}, {slug: 'dry-bags', category: 'Packing'})` is
 * `/gear/packing/dry-bags`; without a category `/dry-bags`.
 */
export function postPath(
  { addressPattern, categories = [] }: AddressRule,
  { slug, category = '', date = '' }: AddressParts,
): string | null {
  const day = DAY.exec(date);
  if (slug === '' || (saysDay(addressPattern) && !day)) return null;
  // Most patterns say none: what a name makes of itself is not had for nothing.
  const named = saysCategory(addressPattern) ? category : '';
  const own = named === '' ? undefined : categoryNamed(categories, named);
  const said: Record<(typeof PLACES)[number], string> = {
    slug,
    category: own ? categoryTrail(categories, own.slug) : named && slugOf(named),
    year: day?.[1] ?? '',
    month: day?.[2] ?? '',
    day: day?.[3] ?? '',
  };
  let path = addressPattern;
  // As a function: what a slug says is no instruction for the replacing.
  for (const place of PLACES) path = path.replaceAll(`{${place}}`, () => said[place]);
  return `/${path}`.replace(/\/{2,}/g, '/');
}

/** The folder that all posts of a pattern stand in: `/journal` of `/journal/{year}/{slug}`; `/` for posts at the root. */
export const folderOfPosts = (pattern: string): string =>
  /^((?:\/[^/{}]+)*)\//.exec(`/${pattern}`.replace(/\/{2,}/g, '/'))?.[1] || '/';

/** Why a pattern makes no addresses, as a sentence; empty where it does. */
export function patternProblem(pattern: string): string {
  const stray = pattern.replace(/\{[^{}]*\}/g, '');
  const unknown = [...pattern.matchAll(/\{([^{}]*)\}/g)].find(
    ([, name]) => !PLACES.some((place) => place === name),
  );
  if (!pattern.startsWith('/')) return 'It begins with a slash: /{slug}.';
  if (unknown)
    return `${unknown[0]} says nothing: an address can have {slug}, {category}, {year}, {month}, {day}.`;
  if (pattern.split('{slug}').length !== 2) return 'It needs {slug} once: by it posts are told apart.';
  if (/[{}]/.test(stray)) return 'A bracket is not closed.';
  if (!/^[a-z0-9._~/-]*$/.test(stray))
    return 'Between the brackets an address has small letters without accents, digits, hyphens and slashes.';
  if (/(?:^|\/)\.{1,2}(?:\/|$)/.test(stray)) return 'A part of an address is not made of dots alone.';
  return '';
}
