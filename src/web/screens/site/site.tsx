import { useVirtualizer } from '@tanstack/react-virtual';
import { useLiveQuery } from 'dexie-react-hooks';
import { Search, Trash2 } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { database, type PageRow } from '../../data/database.ts';
import { postsOf } from '../../data/posts.ts';
import { currentSite, removePages, restorePages } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Check } from '../../ui/check-field.tsx';
import { Empty } from '../../ui/empty.tsx';
import { Waiting } from '../../ui/waiting.tsx';

const ROW = 40;

/** Site: the addresses of the blog that are no posts here, so that links to them count and are offered. */
export function Site() {
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    if (!site) return undefined;
    const [pages, posts] = await Promise.all([
      database().pages.where('siteId').equals(site.id).toArray(),
      postsOf(site.id),
    ]);
    return { site, pages, posts: posts.length };
  });
  const [search, setSearch] = useState('');
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const shown = useMemo(() => {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    return (found?.pages ?? []).filter(({ address, title }) =>
      words.every((word) => `${address} ${title}`.toLowerCase().includes(word)),
    );
  }, [found, search]);
  if (!found) return <Waiting />;
  const { pages, posts, site } = found;
  const remove = async (rows: readonly PageRow[]) => {
    await removePages(rows);
    setSelected(new Set());
    offerUndo(
      rows.length === 1 ? `${rows[0].address} taken out` : `${rows.length} pages taken out`,
      () => restorePages(rows),
      10_000,
    );
  };
  const chosen = shown.filter((row) => selected.has(row.path));
  return (
    <main className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Site</h1>
        <p className="text-soft">
          {pages.length.toLocaleString('en')} {pages.length === 1 ? 'page' : 'pages'} beside {posts}{' '}
          {posts === 1 ? 'post' : 'posts'}
          {site.baseAddress ? ` on ${site.baseAddress.replace(/^https?:\/\//, '')}` : ''}
        </p>
        {pages.length > 0 && (
          <div className="ml-auto flex flex-wrap items-center gap-2">
            <label className="flex items-center gap-1.5 rounded-md border bg-sheet px-2">
              <Search size={15} className="text-soft" aria-hidden />
              <span className="sr-only">Search pages</span>
              <input
                type="search"
                placeholder="Address or title"
                value={search}
                onChange={(event) => setSearch(event.target.value)}
                className="w-44 bg-transparent py-1.5 outline-none"
              />
            </label>
            {chosen.length > 0 && (
              <Button onClick={() => attempt(remove(chosen))}>
                <Trash2 size={15} aria-hidden />
                Take out {chosen.length}
              </Button>
            )}
            <Link
              to="/import"
              className="rounded-md bg-marram px-3 py-1.5 font-semibold text-paper hover:opacity-90"
            >
              Add pages
            </Link>
          </div>
        )}
      </header>
      {pages.length === 0 ? (
        <Empty
          title="The pages of your site are not known yet"
          ways={
            <Link
              to="/import"
              className="rounded-md bg-marram px-3 py-1.5 font-semibold text-paper hover:opacity-90"
            >
              Bring in the pages
            </Link>
          }
        >
          Until they are, a link to your own site counts as neither dead nor live. A sitemap, a feed or a list
          of addresses tells them; then links to them are offered while you write, and checked.
        </Empty>
      ) : (
        <Pages
          shown={shown}
          selected={selected}
          setSelected={setSelected}
          remove={(row) => attempt(remove([row]))}
        />
      )}
    </main>
  );
}

const GRID = 'grid grid-cols-[34px_minmax(0,1.3fr)_minmax(0,1fr)_40px] items-center gap-x-3 px-2';

function Pages({
  shown,
  selected,
  setSelected,
  remove,
}: {
  shown: PageRow[];
  selected: ReadonlySet<string>;
  setSelected: (selected: ReadonlySet<string>) => void;
  remove: (row: PageRow) => void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const all = shown.length > 0 && shown.every((row) => selected.has(row.path));
  const toggle = (path: string) => {
    const next = new Set(selected);
    if (!next.delete(path)) next.add(path);
    setSelected(next);
  };
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-auto px-4 pb-4">
      <div role="table" aria-label="Pages" aria-rowcount={shown.length + 1} className="text-[13px]">
        <div role="rowgroup" className="sticky top-0 z-10 bg-paper">
          <div role="row" className={`${GRID} border-b py-2 text-soft`}>
            <div role="columnheader">
              <Check
                name="Select all shown"
                checked={all}
                onChange={() => setSelected(new Set(all ? [] : shown.map((row) => row.path)))}
              />
            </div>
            <div role="columnheader">Address</div>
            <div role="columnheader">Title</div>
            <div role="columnheader">
              <span className="sr-only">Take out</span>
            </div>
          </div>
        </div>
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const row = shown[index];
            return (
              <div
                key={row.path}
                role="row"
                aria-rowindex={index + 2}
                className={`${GRID} group absolute inset-x-0 border-b hover:bg-sheet`}
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                <div role="cell">
                  <Check
                    name={`Select ${row.address}`}
                    checked={selected.has(row.path)}
                    onChange={() => toggle(row.path)}
                  />
                </div>
                <div role="cell" className="truncate" title={row.address} dir="auto">
                  {row.address}
                </div>
                <div role="cell" className="truncate text-soft" title={row.title} dir="auto">
                  {row.title || '–'}
                </div>
                <div role="cell">
                  <button
                    type="button"
                    aria-label={`Take out ${row.address}`}
                    onClick={() => remove(row)}
                    className="rounded p-1 opacity-0 group-hover:opacity-100 hover:text-rust focus-visible:opacity-100"
                  >
                    <Trash2 size={14} aria-hidden />
                  </button>
                </div>
              </div>
            );
          })}
        </div>
        {shown.length === 0 && <p className="px-2 py-8 text-center text-soft">No page matches.</p>}
      </div>
    </div>
  );
}
