import { useEffect, useRef, useState } from 'react';
import { type AddressParts, postPath } from '../../../../core/listing/index.ts';
import type { ReuseFrom } from '../../../../core/reuse/index.ts';
import { withCampaign } from '../../../../core/reuse/index.ts';
import { database } from '../../../data/database.ts';
import type { PostRelease, SiteRow } from '../../../data/post-rows.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { reusesOf } from '../../../data/reuses.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import type { HeldPart } from '../../../workers/reuse.ts';
import { talkWorker } from '../../../workers/talk-client.ts';

/** What was made of a post; undefined while it is looked for. */
export const useMade = (session: PostSession): ReuseRow[] | undefined =>
  useLiveQuery(() => reusesOf(session.siteId, session.id), [session]);

/** An address that nobody else can open. */
const IS_LOCAL = /^https?:\/\/(?:localhost|127\.\d+\.\d+\.\d+|\[::1\])[:/]/;

/** Where readers find a post: where it was sent to, unless only this machine can open that; else where it stands on the site. */
export function addressOf(site: SiteRow, parts: AddressParts, release: PostRelease | undefined): string {
  if (release && !release.withdrawn && release.url && !IS_LOCAL.test(release.url)) return release.url;
  const path = postPath(site, parts);
  return site.baseAddress && path ? `${site.baseAddress.replace(/\/$/, '')}${path}` : '';
}

/** The same of the post in hand, as it changes. */
export function useAddress(session: PostSession, site: SiteRow): string {
  const fields = useAppSelector((state) => state.openPost.fields);
  const release = useLiveQuery(
    async () => (await database().posts.get(session.id))?.release ?? null,
    [session],
  );
  return addressOf(site, fields, release ?? undefined);
}

/** Where each post of a letter is read, by its id; the one in hand as it stands now. */
export function useAddresses(
  site: SiteRow,
  row: ReuseRow,
  own: string,
  address: string,
): ReadonlyMap<string, string> {
  const ids = row.letter?.posts ?? [];
  const posts = useLiveQuery(() => database().posts.bulkGet(ids), [ids.join()]) ?? [];
  return new Map([
    ...posts.flatMap((post) =>
      post ? [[post.id, addressOf(site, post.fields, post.release)] as const] : [],
    ),
    [own, address] as const,
  ]);
}

/** What is known of a post beside its text, with a link of its own. */
export function fromOf(session: PostSession, address: string, tags: ReuseRow['tags']): ReuseFrom {
  const { title, keyword, supporting, category, metaDescription, author } = session.document.fields;
  return {
    title,
    keyword,
    supporting,
    categories: [category].filter(Boolean),
    description: metaDescription,
    address: address ? withCampaign(address, tags) : '',
    author,
  };
}

const QUIET_FOR = 300;

/** How each part of each made thing stands to the post, by the thing's id; anew a moment after either changed. */
export function useHeld(session: PostSession, made: readonly ReuseRow[]): ReadonlyMap<string, HeldPart[]> {
  const title = useAppSelector((state) => state.openPost.fields.title);
  const report = useAppSelector((state) => state.openPost.report);
  const [held, setHeld] = useState<ReadonlyMap<string, HeldPart[]>>(new Map());
  const shown = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that the post changed
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const worker = await talkWorker();
      const found = await worker.held(
        session.body,
        title,
        made.map(({ parts }) => parts),
      );
      // Blurbs of other posts in a letter are held against those.
      const others = made.flatMap(({ parts, letter }, row) =>
        (letter?.posts ?? []).flatMap((postId, at) =>
          postId !== session.id && parts[at] ? [{ row, at, postId, part: parts[at] }] : [],
        ),
      );
      const theirs =
        others.length > 0 ? await worker.heldElsewhere(others.map((one) => [one.postId, one.part])) : [];
      for (const [index, { row, at }] of others.entries())
        found[row][at] = theirs[index] ?? { notIn: [], gone: [] };
      if (isOver) return;
      shown.current = true;
      setHeld(new Map(made.map(({ id }, at) => [id, found[at]])));
    };
    const timer = setTimeout(
      () => attempt(look(), 'What was made could not be held against the post'),
      shown.current ? QUIET_FOR : 0,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, made, title, report]);
  return held;
}
