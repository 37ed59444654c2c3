import { pathOfPost, withRedirect } from '../../core/site/index.ts';
import type { SendJob } from '../services/publishing.ts';
import { changeRow } from './change-row.ts';
import { database } from './database.ts';

/**
 * Keeps in the site's table what became of the address of a post that was withdrawn, given back or published anew: whoever serves its pages
 * goes by it. What readers never had leads nowhere.
 */
export async function keepWhereItLeads({ action, siteId, postId, leadsTo, ended }: SendJob): Promise<void> {
  const { posts, sites } = database();
  const [row, site] = await Promise.all([posts.get(postId), sites.get(siteId)]);
  const from = row && site ? pathOfPost(row.fields, site) : null;
  if (!row?.release || from === null || Date.parse(row.release.out) > Date.parse(ended)) return;
  // A post that readers have leads nowhere else; mostly there is nothing to take out.
  if (action !== 'withdraw' && !site?.redirects?.some((redirect) => redirect.from === from)) return;
  await changeRow(sites, siteId, ({ redirects = [] }) => ({
    redirects:
      action === 'withdraw'
        ? withRedirect(redirects, { from, to: leadsTo || null, since: ended, why: 'The post was withdrawn' })
        : redirects.filter((redirect) => redirect.from !== from),
  }));
}
