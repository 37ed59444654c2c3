import { useEffect, useMemo, useRef, useState } from 'react';
import type { BlogSettings } from '../../../../core/blog/index.ts';
import { linksOf } from '../../../../core/draft/index.ts';
import { finishedDraft, placeholderHeadings } from '../../../../core/outline/index.ts';
import { holdingBack, lastLook, type StandingAccount, standingOf } from '../../../../core/release/index.ts';
import { openComments } from '../../../../core/review/index.ts';
import { isForReaders, pathOfPost } from '../../../../core/site/index.ts';
import { addressChecks } from '../../../data/address-checks.ts';
import { database } from '../../../data/database.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import { postsOf } from '../../../data/posts.ts';
import { ticksOf } from '../../../data/ticks.ts';
import { standIn } from '../../../services/publishing.ts';
import { findRelease } from '../../../state/post/find-release.ts';
import { wayOf } from '../../../state/post/publish-post.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import type { PostContext } from '../frame/post-context.ts';
import { useLeftOver } from '../frame/use-left-over.ts';
import { useUnedited } from '../frame/use-unedited.ts';

const NO_LINKS: never[] = [];

/** The post's row as it lies in the database: how it was sent, and what was let pass. */
export const usePostRow = (postId: string): PostRow | undefined =>
  useLiveQuery(() => database().posts.get(postId), [postId]);

/** The blog beside the application; null: none stands, undefined: not known yet. */
export function useStandIn(): { address: string; settings: BlogSettings } | null | undefined {
  const [found, setFound] = useState<{ address: string; settings: BlogSettings } | null | undefined>();
  useEffect(() => {
    let isWanted = true;
    standIn().then(
      (blog) => isWanted && setFound(blog),
      () => isWanted && setFound(null),
    );
    return () => {
      isWanted = false;
    };
  }, []);
  return found;
}

/** Other posts that are for readers: one at the same address, and how many carry a later date. */
export function useNeighbours({ session, site }: PostContext): { takenBy: string; newer: number } {
  const { slug, canonical, category, date } = useAppSelector((state) => state.openPost.fields);
  const posts = useLiveQuery(() => postsOf(session.siteId), [session.siteId]);
  return useMemo(() => {
    const own = slug ? pathOfPost({ slug, canonical, category, date }, site) : null;
    const others = (posts ?? []).filter(({ id, fields }) => id !== session.id && isForReaders(fields.status));
    const taken = own ? others.find(({ fields }) => pathOfPost(fields, site) === own) : undefined;
    const at = date || new Date().toISOString();
    return {
      takenBy: taken ? taken.fields.title || 'Untitled' : '',
      newer: others.filter(({ fields }) => fields.date > at).length,
    };
  }, [posts, slug, canonical, category, date, session.id, site]);
}

/** Links of the post that were found to lead nowhere when they were looked at last. */
function useGoneLinks(session: PostContext['session']) {
  // The text's state, as far as it is shown: each report is of another text.
  const report = useAppSelector((state) => state.openPost.report);
  const found = useLiveQuery(async () => {
    const links = session.body.blocks.flatMap((block) =>
      linksOf(block).flatMap((link) =>
        /^https?:/i.test(link.href)
          ? [{ ...link, blockId: block.id, address: link.href.replace(/#.*$/, '') }]
          : [],
      ),
    );
    const answers = await addressChecks([...new Set(links.map(({ address }) => address))]);
    return links
      .filter(({ address }) => answers.get(address)?.state === 'gone')
      .map(({ blockId, start, end, text }) => ({ blockId, start, end, quote: text }));
  }, [session, report]);
  return found ?? NO_LINKS;
}

/** What the last look finds, and what of it still holds the post back; null until it is scored. */
export function useLook({ session, site }: PostContext, row: PostRow | undefined, takenBy: string) {
  const { report, fields, outline, words } = useAppSelector((state) => state.openPost);
  const leftOver = useLeftOver(session);
  const unread = useUnedited(session);
  const ticked = useLiveQuery(() => ticksOf(session.siteId, session.id), [session]);
  const goneLinks = useGoneLinks(session);
  const { redirects = [] } = site;
  const path = fields.slug ? pathOfPost(fields, site) : null;
  return useMemo(() => {
    if (!report) return null;
    const waiting = placeholderHeadings(session.body, outline);
    const now = new Date().toISOString();
    const items = lastLook({
      post: { fields, draft: session.finished.draft },
      criteria: report.criteria,
      words,
      waitingHeadings: session.body.blocks.flatMap(({ id, text }) => (waiting.has(id) ? [text] : [])),
      addressTakenBy: takenBy,
      leftOver: leftOver ? { title: leftOver.title, blocks: leftOver.blocks.length } : null,
      unread,
      unticked: site.house.checklist.flatMap(({ id, text }) => (ticked?.includes(id) ? [] : [text])),
      goneLinks,
      openComments: row?.review ? openComments(row.review).length : 0,
      redirects: redirects.flatMap(({ from, to }) => (to !== null && to === path ? [{ from, to }] : [])),
      now,
      out: fields.date,
      isOut: fields.status === 'published' || (row?.release !== undefined && row.release.out <= now),
    });
    return { items, held: holdingBack(items, row?.overruled ?? []) };
  }, [
    report,
    fields,
    outline,
    words,
    takenBy,
    leftOver,
    unread,
    ticked,
    redirects,
    path,
    session,
    site,
    row,
    goneLinks,
  ]);
}

/** How the post stands towards its readers. */
export function useStanding({ session }: PostContext, row: PostRow | undefined): StandingAccount {
  const fields = useAppSelector((state) => state.openPost.fields);
  // The text's state, as far as it is shown: each report is of another text.
  const report = useAppSelector((state) => state.openPost.report);
  const release = row?.release;
  const sent = useLiveQuery(
    async () => (release?.versionId ? database().versions.get(release.versionId) : undefined),
    [release?.versionId],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new report tells of a new text
  return useMemo(() => {
    const post = { fields, draft: session.finished.draft };
    const known =
      release && sent
        ? {
            document: { fields: sent.fields, draft: finishedDraft(sent.draft, sent.outline) },
            out: release.out,
            withdrawn: release.withdrawn,
          }
        : release && !release.versionId
          ? // What readers have is not known here: it is another text than this.
            {
              document: { ...post, fields: { ...post.fields, title: '' } },
              out: release.out,
              withdrawn: release.withdrawn,
            }
          : release
            ? { document: post, out: release.out, withdrawn: release.withdrawn }
            : null;
    return standingOf(post, known, new Date().toISOString());
  }, [fields, release, sent, report, session]);
}

/** Looks once whether a published post that was not sent from here stands on the blog beside the application. */
export function useFoundRelease(
  { session, site }: PostContext,
  row: PostRow | undefined,
  address: string,
): void {
  const status = useAppSelector((state) => state.openPost.fields.status);
  const items = useAppSelector((state) => state.openPost.outline);
  const outline = useRef(items);
  outline.current = items;
  const isWanted =
    row !== undefined &&
    !row.release &&
    status === 'published' &&
    address !== '' &&
    wayOf(site)?.kind === 'stand-in';
  // biome-ignore lint/correctness/useExhaustiveDependencies: one look for each visit
  useEffect(() => {
    if (!isWanted) return;
    const content = { document: session.document, outline: outline.current };
    findRelease(session, content, site, address).catch((error: unknown) =>
      // It does not stand there, which is no fault.
      console.info('The post is not on the blog beside:', error),
    );
  }, [isWanted]);
}
