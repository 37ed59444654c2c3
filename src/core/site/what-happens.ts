import type { Status } from '../draft/index.ts';
import { comparablePath, linkKind } from '../listing/index.ts';
import { isElsewhere, pathAndWay, type Redirect } from './redirects.ts';

/** A page that stands at a path. */
export interface StandingPage {
  title: string;
  /** Null: a page that is no post here. */
  postId: string | null;
  status: Status | null;
}

/** What a reader who opens an address of the site comes to. */
export type AddressFate =
  | { kind: 'page'; path: string; page: StandingPage; way: string[]; isOpen: boolean }
  /** It leads to an address where nothing is known: elsewhere, or a path without a page. */
  | { kind: 'leads'; to: string; way: string[]; isElsewhere: boolean }
  /** It was taken away for good (410). */
  | { kind: 'gone'; way: string[] }
  /** Nothing stands there (404). */
  | { kind: 'nothing'; path: string }
  /** Its redirects lead round and round. */
  | { kind: 'circle'; way: string[] }
  | { kind: 'elsewhere' }
  | { kind: 'no-address' };

/**
 * What happens with an address of the site: a page that stands there comes before any redirect, as whoever serves it does it.
 *
 * @param typed an address or a path, as somebody typed it: `/old`, `saltmarsh.example/old`, `https://saltmarsh.example/old`
 * @param pages what stands where, by comparable path
 * @param host the site's own, as an address; empty: not known
 * @param isOpen whether readers can open a status
 */
export function whatHappens(
  typed: string,
  pages: ReadonlyMap<string, StandingPage>,
  redirects: readonly Redirect[],
  host: string,
  isOpen: (status: Status | null) => boolean,
): AddressFate {
  const bare = typed.trim();
  const isPath = bare.startsWith('/') && !bare.startsWith('//');
  const address = isPath || /^(?:https?:)?\/\//i.test(bare) ? bare : `https://${bare}`;
  const path = bare === '' || /\s/.test(bare) ? null : comparablePath(address);
  if (path === null) return { kind: 'no-address' };
  if (!isPath && linkKind(address, host || null) !== 'internal') return { kind: 'elsewhere' };
  const own = pages.get(path);
  if (own) return { kind: 'page', path, page: own, way: [], isOpen: isOpen(own.status) };
  // Where a page stands again, whatever led away from there leads nobody.
  const { end, way, isCircle } = pathAndWay(
    path,
    redirects.filter(({ from }) => !pages.has(from)),
  );
  if (isCircle) return { kind: 'circle', way };
  if (end === undefined) return { kind: 'nothing', path };
  if (end === null) return { kind: 'gone', way };
  const leavesSite = isElsewhere(end) && linkKind(end, host || null) !== 'internal';
  const last = leavesSite ? null : comparablePath(end);
  const page = last === null ? undefined : pages.get(last);
  return page && last !== null
    ? { kind: 'page', path: last, page, way, isOpen: isOpen(page.status) }
    : { kind: 'leads', to: end, way, isElsewhere: leavesSite };
}
