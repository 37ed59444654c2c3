import {
  defaultResearchRules,
  type Keyword,
  type KnownPost,
  OwnPhrases,
  siteSubject,
} from '../../core/research/index.ts';
import { monthIn, researchRulesOf } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import { keywordStamp, readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import type { PostRow, SiteRow } from '../data/post-rows.ts';
import { postsOf, StaleWrite } from '../data/posts.ts';
import { zoneOf } from '../data/zone-of.ts';
import { type DeskSite, ResearchDesk } from './research-desk.ts';

/** The desk in memory: of one site, as its keywords stood under a stamp. */
let open: { siteId: string; stamp: number; desk: ResearchDesk } | null = null;

/** A site with its posts. */
export async function siteOf(siteId: string): Promise<{ site: SiteRow | undefined; posts: PostRow[] }> {
  return { site: await database().sites.get(siteId), posts: await postsOf(siteId) };
}

/** What of a site decides what a phrase is worth to it; `phrases` tell its field beside those of its posts. */
export async function deskSite(siteId: string, phrases: readonly Keyword[]): Promise<DeskSite> {
  const { site, posts } = await siteOf(siteId);
  const categories = new Set(posts.map(({ fields }) => fields.category).filter(Boolean));
  return {
    subject: siteSubject(
      [site?.house.offer ?? '', site?.name ?? '', ...categories],
      posts.map(({ fields }) => [fields.title, fields.keyword, ...fields.supporting]),
    ),
    own: new OwnPhrases(
      await knownPosts(siteId),
      phrases.map(({ phrase }) => phrase),
    ),
    rules: site ? researchRulesOf(site.house) : defaultResearchRules(),
    month: monthIn(zoneOf(site), new Date()),
  };
}

/** The keywords of a site in memory; read anew where another tab or a restore changed them. */
export async function deskOf(siteId: string): Promise<ResearchDesk> {
  if (open?.siteId !== siteId || open.stamp !== (await keywordStamp(siteId))) {
    const { records, stamp } = await readKeywords(siteId);
    open = { siteId, stamp, desk: new ResearchDesk(records, await deskSite(siteId, records)) };
  }
  return open.desk;
}

/** Changes keywords and writes what changed; begun anew where another tab was quicker. */
export async function changeDesk<T>(
  siteId: string,
  work: (desk: ResearchDesk) => { rows: Iterable<number>; answer: T },
): Promise<T> {
  for (;;) {
    const own = await deskOf(siteId);
    const { rows, answer } = work(own);
    try {
      if (open) open.stamp = await writeKeywords(siteId, own.records, rows, open.stamp);
      return answer;
    } catch (error) {
      // What is in memory is ahead of what is kept.
      open = null;
      if (!(error instanceof StaleWrite)) throw error;
    }
  }
}

/** Forgets what is in memory: it is read anew at the next question. */
export function forgetDesk(): void {
  open = null;
}

/** Adds keywords, merging them into those that are known. */
export const keepKeywords = (
  siteId: string,
  keywords: readonly Keyword[],
): Promise<{ fresh: number; merged: number }> =>
  changeDesk(siteId, (own) => {
    const { rows, fresh } = own.add(keywords);
    return { rows, answer: { fresh, merged: rows.size - fresh } };
  });

/** Main headings of posts with their words, as they stood under a revision: bodies are read again only where they changed. */
const headings = new Map<string, { revision: number; own: KnownPost['headings'] }>();

function headingsIn(
  blocks: readonly { kind: string; level?: number; text: string }[],
): KnownPost['headings'] {
  const found: { text: string; words: number }[] = [];
  for (const block of blocks) {
    if (block.kind === 'heading') {
      if ((block.level ?? 2) <= 2 && block.text.trim()) found.push({ text: block.text.trim(), words: 0 });
    } else if (found.length > 0)
      found[found.length - 1].words += block.text.split(/\s+/).filter(Boolean).length;
  }
  return found;
}

/** The posts of a site as research needs them: what each is for, and its main headings with their words. */
export async function knownPosts(siteId: string): Promise<KnownPost[]> {
  const rows = await postsOf(siteId);
  const changed = rows.filter(({ id, revision }) => headings.get(id)?.revision !== revision);
  const bodies = await database().bodies.bulkGet(changed.map(({ id }) => id));
  for (const [at, { id, revision }] of changed.entries())
    headings.set(id, { revision, own: headingsIn(bodies[at]?.draft.blocks ?? []) });
  return rows.map(({ id, fields }) => ({
    id,
    title: fields.title,
    keyword: fields.keyword,
    supporting: fields.supporting,
    headings: headings.get(id)?.own ?? [],
  }));
}
