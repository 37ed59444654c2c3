import { comparablePath, linkKind } from '../../../core/listing/index.ts';
import { database } from '../../data/database.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { hasLists } from '../../data/site-around.ts';
import { addPages } from '../../data/sites.ts';
import { NetworkProblem } from '../../services/network.ts';
import { readPageAt } from '../../services/page-reads.ts';
import { pageThere, standIn } from '../../services/publishing.ts';
import { siteWorker } from '../../workers/site-client.ts';
import { failureInWords } from '../attempt.ts';

/** Pages that are read at the same time. */
const READERS = 3;

/** What came of reading pages of a site. */
export interface PagesRead {
  read: number;
  /** What could not be read, and why. */
  problems: { address: string; problem: string }[];
}

/** The page at a path of a site: of the blog beside where the site stands there, else as the network has it. */
async function pageAt(
  site: SiteRow,
  path: string,
  signal: AbortSignal,
): Promise<{ html: string; at: string }> {
  const blog = hasLists(site) ? await standIn().catch(() => null) : null;
  if (blog) {
    const { html, address } = await pageThere({ kind: 'stand-in' }, new URL(path, blog.address).href);
    refuseElsewhere(path, address);
    return { html, at: new Date().toISOString() };
  }
  if (site.baseAddress === '')
    throw new NetworkProblem('The address of the site is not known. Give it in House rules.');
  const found = await readPageAt(new URL(path, site.baseAddress).href, signal);
  if (found.problem) throw new NetworkProblem(found.problem);
  if (found.format !== 'html') throw new NetworkProblem('It is no page of HTML.');
  refuseElsewhere(path, found.found);
  return { html: found.text, at: found.at };
}

/** A page that leads on to another is none of its own. */
function refuseElsewhere(path: string, found: string | null): void {
  const end = found === null ? path : comparablePath(found);
  if (end !== path) throw new NetworkProblem(`It leads on to ${end ?? found}: that is the page to read.`);
}

/**
 * Reads pages of a site that are no posts, and keeps them. `tell` hears how many are done; when the signal says so, the others are left as
 * they are.
 */
export async function readSitePages(
  site: SiteRow,
  paths: readonly string[],
  signal: AbortSignal,
  tell: (done: number) => void = () => {},
): Promise<PagesRead> {
  const worker = await siteWorker();
  const found: PagesRead = { read: 0, problems: [] };
  const waiting = [...paths];
  const reader = async () => {
    for (let path = waiting.shift(); path !== undefined && !signal.aborted; path = waiting.shift()) {
      try {
        const { html, at } = await pageAt(site, path, signal);
        await worker.keepPageRead(site.id, path, html, at);
        found.read += 1;
      } catch (error) {
        if (signal.aborted) return;
        found.problems.push({ address: path, problem: failureInWords(error) });
      }
      tell(found.read + found.problems.length);
    }
  };
  await Promise.all(Array.from({ length: Math.min(READERS, paths.length) }, reader));
  return found;
}

/**
 * Adds a page of the site by its address and reads it. Answers why it could not be, empty where it was. One that could not be read is not
 * added: its address may be mistyped.
 */
export async function addPageByAddress(site: SiteRow, typed: string, signal: AbortSignal): Promise<string> {
  const address = typed.trim();
  const path = /\s/.test(address) ? null : comparablePath(address);
  if (path === null || !(address.startsWith('/') || /^https?:\/\//i.test(address)))
    return 'An address begins with / or https://';
  if (linkKind(address, site.baseAddress || null) !== 'internal')
    return `That is no page of ${site.baseAddress || 'this site'}.`;
  const { problems } = await readSitePages(site, [path], signal);
  if (problems.length > 0) return problems[0].problem;
  const row = await database().pageReads.get([site.id, path]);
  await addPages(site.id, [{ address: path, ...(row?.fields.title ? { title: row.fields.title } : {}) }]);
  return '';
}
