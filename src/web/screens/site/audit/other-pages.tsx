import { useEffect, useRef, useState } from 'react';
import type { PageRow, SiteRow } from '../../../data/post-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { addPageByAddress, type PagesRead, readSitePages } from '../../../state/site/read-pages.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { Button } from '../../../ui/button.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { siteWorker } from '../../../workers/site-client.ts';
import { PageCard } from './page-card.tsx';

/** The pages of the site that are no posts: read by address, each fit or in need of work. */
export function OtherPages({ site, pages }: { site: SiteRow; pages: readonly PageRow[] }) {
  // The worker reads the database: what changes there is asked for by a count.
  const [round, setRound] = useState(0);
  const shown = useLiveQuery(
    async () => (await siteWorker()).otherPages(site.id),
    [site.id, site.revision, round],
  );
  const [busy, setBusy] = useState<{ done: number; of: number } | null>(null);
  const [problems, setProblems] = useState<PagesRead['problems']>([]);
  const off = useRef<AbortController | null>(null);
  useEffect(() => () => off.current?.abort(), []);
  const known = new Set(shown?.map(({ path }) => path));
  const unread = pages.filter(({ path }) => !known.has(path));
  const read = async (paths: readonly string[]) => {
    const own = new AbortController();
    off.current = own;
    setProblems([]);
    setBusy({ done: 0, of: paths.length });
    try {
      const found = await readSitePages(site, paths, own.signal, (done) =>
        setBusy({ done, of: paths.length }),
      );
      setProblems(found.problems);
    } finally {
      setBusy(null);
      setRound((now) => now + 1);
    }
  };
  if (!shown) return <Waiting />;
  return (
    <div className="max-w-4xl">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        {unread.length > 0 && (
          <Button
            look={shown.length === 0 ? 'main' : 'plain'}
            disabled={busy !== null}
            onClick={() => attempt(read(unread.map(({ path }) => path)), 'They could not be read')}
          >
            Read {counted(unread.length, 'page')}
          </Button>
        )}
        {shown.length > 0 && (
          <Button
            disabled={busy !== null}
            onClick={() => attempt(read(shown.map(({ path }) => path)), 'They could not be read')}
          >
            Read again
          </Button>
        )}
        {busy && (
          <span role="status" className="flex items-center gap-3 text-[13px] text-soft">
            {busy.done} of {busy.of} read
            <Button onClick={() => off.current?.abort()}>Stop</Button>
          </span>
        )}
        <AddForm
          label="Address of a page"
          placeholder="/shop or https://…"
          action="Read it"
          className="ml-auto w-80"
          onAdd={async (typed) => {
            const problem = await addPageByAddress(site, typed, new AbortController().signal);
            setProblems(problem ? [{ address: typed, problem }] : []);
            setRound((now) => now + 1);
            return problem === '';
          }}
        />
      </div>
      {problems.length > 0 && (
        <div role="alert" className="mb-3 text-rust">
          <ul aria-label="Not read">
            {problems.map(({ address, problem }) => (
              <li key={address} className="break-words">
                {address}: {problem}
              </li>
            ))}
          </ul>
        </div>
      )}
      {shown.length === 0 ? (
        <None>
          Home, shop, booking and category pages are no posts, but searchers meet them too. Read them by their
          addresses: it is told what they are for, how they are listed, and whether they are fit.
        </None>
      ) : (
        <ul aria-label="Other pages">
          {shown.map((page) => (
            <PageCard
              key={page.path}
              siteId={site.id}
              page={page}
              onChanged={() => setRound((now) => now + 1)}
            />
          ))}
        </ul>
      )}
    </div>
  );
}
