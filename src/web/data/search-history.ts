import { comparablePath } from '../../core/listing/index.ts';
import { SearchHistory } from '../../core/performance/index.ts';
import type { DatedRow } from '../../core/research/index.ts';
import { isElsewhere, redirectedTo } from '../../core/site/index.ts';
import { database } from './database.ts';
import type { SiteRow } from './post-rows.ts';
import { figureRowsOf } from './search-figures.ts';

const hostOf = (address: string): string | null => {
  try {
    return new URL(address).host.replace(/^www\./, '');
  } catch {
    return null;
  }
};

/**
 * The path of a page of a site by its address: that to which its redirects lead, so that figures from before a move are those of the page. An
 * address of another host stays as it is.
 */
export function pagePathOf({
  baseAddress,
  redirects,
}: Pick<SiteRow, 'baseAddress' | 'redirects'>): (address: string) => string | null {
  const host = hostOf(baseAddress);
  return (address) => {
    const [own, path] = [hostOf(address), comparablePath(address)];
    if (path === null) return null;
    if (own !== null && host !== null && own !== host) return address;
    const end = redirectedTo(path, redirects ?? []);
    return typeof end === 'string' && !isElsewhere(end) ? (comparablePath(end) ?? path) : path;
  };
}

/** The history that was read last, with what it was read from. */
let known: { key: string; history: SearchHistory } | null = null;

/** What search showed of a site's pages over time; null where nothing was brought. */
export async function searchHistoryOf(siteId: string): Promise<SearchHistory | null> {
  const [site, rows] = await Promise.all([database().sites.get(siteId), figureRowsOf(siteId)]);
  if (!site || rows.length === 0) return null;
  const key = JSON.stringify([
    siteId,
    site.baseAddress,
    site.redirects,
    rows.map(({ id, changed }) => [id, changed]),
  ]);
  if (known?.key !== key)
    known = {
      key,
      history: new SearchHistory(
        rows.map(({ part }) => part),
        pagePathOf(site),
      ),
    };
  return known.history;
}

/** The latest figures of a site: a row for each page and query of the last three months that are known. */
export interface LatestFigures {
  from: string;
  to: string;
  rows: DatedRow[];
}

/** The latest figures of a site; null where nothing was brought. Pages are told by their paths, those of other hosts by their addresses. */
export async function latestFiguresOf(siteId: string): Promise<LatestFigures | null> {
  const history = await searchHistoryOf(siteId);
  const latest = history?.latest();
  return history && latest ? { from: latest.from, to: latest.to, rows: history.merged(latest) } : null;
}
