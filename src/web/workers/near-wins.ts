import { type NearWin, nearWins, type OwnPage } from '../../core/research/index.ts';
import { pathOfPost, researchRulesOf } from '../../core/site/index.ts';
import { latestFiguresOf } from '../data/search-history.ts';
import { siteOf } from './site-desk.ts';

/** Near wins that a screen lists. */
const MOST_LINES = 2000;

/** Queries that are nearly won, with the days that they are of; null where no figures were brought. */
export async function findNearWins(
  siteId: string,
): Promise<{ from: string; to: string; queries: number; wins: NearWin[] } | null> {
  const latest = await latestFiguresOf(siteId);
  if (!latest) return null;
  const { site, posts } = await siteOf(siteId);
  if (!site) return null;
  const settings = { ...site, pages: null };
  const pages = posts.flatMap(({ id, fields }): OwnPage[] => {
    const { title, keyword, supporting } = fields;
    const path = pathOfPost(fields, settings);
    return path === null ? [] : [{ id, title, path, keyword, supporting }];
  });
  const wins = nearWins(latest.rows, pages, researchRulesOf(site.house), (page) => page);
  const queries = latest.rows.filter(({ query }) => query !== '').length;
  return { from: latest.from, to: latest.to, queries, wins: wins.slice(0, MOST_LINES) };
}
