import { comparablePath } from '../listing/index.ts';

/** What becomes of an address at which nothing stands any more. */
export interface Redirect {
  /** Path in comparable form. */
  from: string;
  /** A path of the site or an address; null: the page is gone for good (410). */
  to: string | null;
  /** UTC instant from which it holds. */
  since: string;
  /** Why, in a few words. */
  why: string;
}

/**
 * The way that redirects lead from a path: each address in turn, the last of them (null: a page that is gone for good; undefined: none
 * is known for the path), and whether they lead round and round.
 */
export function pathAndWay(
  path: string,
  redirects: readonly Redirect[],
): { end: string | null | undefined; way: string[]; isCircle: boolean } {
  const byPath = new Map(redirects.map((redirect) => [redirect.from, redirect.to]));
  const way: string[] = [];
  const met = new Set([path]);
  let end = byPath.get(path);
  if (end === undefined) return { end, way, isCircle: false };
  way.push(path);
  while (typeof end === 'string') {
    const next = comparablePath(end);
    // An address elsewhere is an end.
    if (next === null || isElsewhere(end) || !byPath.has(next)) break;
    way.push(end);
    if (met.has(next)) return { end: undefined, way, isCircle: true };
    met.add(next);
    end = byPath.get(next);
  }
  return { end, way, isCircle: false };
}

/**
 * Where an address of the site leads by its redirects: the last of a chain; null for a page that is gone; undefined where none
 * is known for it, or they go round in a circle.
 */
export const redirectedTo = (path: string, redirects: readonly Redirect[]): string | null | undefined =>
  pathAndWay(path, redirects).end;

/**
 * The redirects of a site with one more: whatever led to its `from` leads on to where that leads now, and what stood at `to`
 * is open again. From a path to itself, nothing is added.
 *
 * `withRedirect([{from: '/a', to: '/b', ...}], {from: '/b', to: '/c', ...})` leads both `/a` and `/b` to `/c`.
 */
export function withRedirect(redirects: readonly Redirect[], added: Redirect): Redirect[] {
  const to = added.to === null ? null : comparablePath(added.to);
  if (to === added.from) return [...redirects];
  const kept = redirects
    // A page stands at `to` now: nothing leads away from it. One from the same path gives way.
    .filter(({ from }) => from !== added.from && from !== to)
    .map((redirect) =>
      redirect.to !== null && comparablePath(redirect.to) === added.from && !isElsewhere(redirect.to)
        ? { ...redirect, to: added.to }
        : redirect,
    );
  return [...kept.filter(({ from, to: end }) => end === null || comparablePath(end) !== from), added];
}

/**
 * The redirects of a site of which pages move all at once: each of them leads on from where it was, whatever led there leads
 * to where it is now, and nothing leads away from where one stands.
 *
 * `withMoves([{from: '/x', to: '/a', ...}], new Map([['/a', '/b']]), new Set(['/b']), ...)` leads `/x` and `/a` to `/b`.
 *
 * @param moves from a path in comparable form to a path as its links are written
 * @param standing paths at which something stands afterwards, in comparable form
 */
export function withMoves(
  redirects: readonly Redirect[],
  moves: ReadonlyMap<string, string>,
  standing: ReadonlySet<string>,
  { since, why }: Pick<Redirect, 'since' | 'why'>,
): Redirect[] {
  const led = redirects.flatMap((redirect): Redirect[] => {
    if (standing.has(redirect.from) || moves.has(redirect.from)) return [];
    const end = redirect.to === null || isElsewhere(redirect.to) ? null : comparablePath(redirect.to);
    const to = end === null ? undefined : moves.get(end);
    return [to === undefined ? redirect : { ...redirect, to }];
  });
  const added = [...moves].flatMap(([from, to]): Redirect[] =>
    standing.has(from) || comparablePath(to) === from ? [] : [{ from, to, since, why }],
  );
  return [...led, ...added];
}

/** The redirects of a site with one taken back: what had led to its `from` leads there again. */
export const withoutRedirect = (
  redirects: readonly Redirect[],
  { from, to }: { from: string; to: string },
): Redirect[] =>
  withRedirect(redirects, { from: comparablePath(to) ?? to, to: from, since: '', why: '' }).filter(
    (redirect) => redirect.from !== comparablePath(to),
  );

/**
 * Whether readers may be led there: a path of the site, or an address of the web; no address that runs or that leaves the host
 * by two slashes.
 */
export const isLeadable = (to: string): boolean => /^(?:\/(?![/\\])\S*|https?:\/\/\S+)$/i.test(to);

/** Whether an address names a host of its own, which may be the site's. */
export const isElsewhere = (address: string): boolean => /^[a-z][a-z0-9+.-]*:|^\/\//i.test(address);
