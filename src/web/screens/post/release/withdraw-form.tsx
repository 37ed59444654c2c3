import { useId, useMemo, useState } from 'react';
import { comparablePath } from '../../../../core/listing/index.ts';
import { isForReaders, isLeadable, pathOfPost } from '../../../../core/site/index.ts';
import { database } from '../../../data/database.ts';
import { postsOf } from '../../../data/posts.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { usePost } from '../frame/post-context.ts';

/** What becomes of the address of a post that is withdrawn: gone, or its readers are led to another page. */
export function WithdrawForm({
  busy,
  onWithdraw,
}: {
  busy: boolean;
  /** Gets the path or address to lead to; empty: it is gone. */
  onWithdraw: (leadsTo: string) => Promise<void>;
}) {
  const { session, site } = usePost();
  const [leads, setLeads] = useState(false);
  const [to, setTo] = useState('');
  const id = useId();
  const rows = useLiveQuery(
    async () => ({
      posts: await postsOf(session.siteId),
      pages: await database().pages.where('siteId').equals(session.siteId).toArray(),
    }),
    [session.siteId],
  );
  const places = useMemo(() => {
    const settings = { ...site, pages: null };
    const posts = (rows?.posts ?? []).flatMap(({ id: other, fields }) => {
      const path = pathOfPost(fields, settings);
      return other !== session.id && isForReaders(fields.status) && path
        ? [{ path, title: fields.title || path }]
        : [];
    });
    const pages = (rows?.pages ?? []).map(({ path, title }) => ({ path, title: title || path }));
    return [...posts, ...pages].sort((a, b) => a.title.localeCompare(b.title));
  }, [rows, site, session.id]);
  const own = pathOfPost(session.document.fields, site);
  const leadsAway = isLeadable(to.trim()) && comparablePath(to.trim()) !== own;
  return (
    <form
      aria-label="Withdraw this post"
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void onWithdraw(leads ? to.trim() : '');
      }}
    >
      <fieldset>
        <legend className="mb-1 font-semibold">Whoever opens its address then</legend>
        <label className="flex items-baseline gap-2">
          <input type="radio" name={id} checked={!leads} onChange={() => setLeads(false)} />
          is told that it is gone for good (410)
        </label>
        <label className="flex items-baseline gap-2">
          <input type="radio" name={id} checked={leads} onChange={() => setLeads(true)} />
          is led to another page (301)
        </label>
      </fieldset>
      {leads && (
        <label className="mt-2 block">
          <span className="mb-1 block font-semibold">Which page</span>
          <input
            list={`${id}-places`}
            value={to}
            onChange={({ target }) => setTo(target.value)}
            placeholder="/a-path or https://..."
            className="w-full rounded-md border px-2.5 py-1.5"
          />
          <datalist id={`${id}-places`}>
            {places.map(({ path, title }) => (
              <option key={path} value={path}>
                {title}
              </option>
            ))}
          </datalist>
        </label>
      )}
      <p className="mt-1 text-[13px] text-soft">
        {leads
          ? 'Choose the page that answers the same question. It stands among the redirects of the site, too.'
          : 'Search drops it sooner that way. The text stays here, and can be put back.'}
      </p>
      <Button type="submit" disabled={busy || (leads && !leadsAway)} className="mt-2 disabled:opacity-50">
        Withdraw it
      </Button>
    </form>
  );
}
