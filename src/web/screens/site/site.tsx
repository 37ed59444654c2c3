import { Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { PageRow } from '../../data/post-rows.ts';
import { removePages, restorePages } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Empty, None } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { DataGrid } from '../../ui/grid/data-grid.tsx';
import type { GridColumn } from '../../ui/grid/grid-column.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { SearchField } from '../../ui/search-field.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { SiteHeader } from './site-header.tsx';
import { useSiteRows } from './use-site-rows.ts';

const ROW = 40;

/** Site: the addresses of the blog that are no posts here, so that links to them count and are offered. */
export function Site() {
  const found = useSiteRows();
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
      <SiteHeader>
        <p className="text-soft">
          {counted(pages.length, 'page')} beside {counted(posts.length, 'post')}
          {site.baseAddress ? ` on ${site.baseAddress.replace(/^https?:\/\//, '')}` : ''}
        </p>
        {pages.length > 0 && (
          <div className="ml-auto flex flex-wrap items-center gap-2">
            <SearchField
              name="Search pages"
              placeholder="Address or title"
              value={search}
              onChange={setSearch}
            />
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
      </SiteHeader>
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
        <div className="flex min-h-0 flex-1 px-4 pb-4">
          <DataGrid
            name="Pages"
            columns={pageColumns((row) => attempt(remove([row])))}
            count={shown.length}
            rowAt={(place) => shown[place]}
            nameOf={({ address }) => address}
            rowHeight={ROW}
            selection={{ selected, onSelect: setSelected, keyAt: (place) => shown[place].path }}
            none={<None>No page matches.</None>}
          />
        </div>
      )}
    </main>
  );
}

const pageColumns = (remove: (row: PageRow) => void): GridColumn<PageRow>[] => [
  {
    id: 'address',
    name: 'Address',
    width: 'minmax(0,1.3fr)',
    className: 'truncate',
    cell: ({ address }) => (
      <span title={address} dir="auto">
        {address}
      </span>
    ),
  },
  {
    id: 'title',
    name: 'Title',
    width: 'minmax(0,1fr)',
    className: 'truncate text-soft',
    cell: ({ title }) => (
      <span title={title} dir="auto">
        {title || '–'}
      </span>
    ),
  },
  {
    id: 'remove',
    name: 'Take out',
    nameless: true,
    width: '40px',
    cell: (row) => (
      <IconButton
        name={`Take out ${row.address}`}
        icon={Trash2}
        size={14}
        look="grave"
        onClick={() => remove(row)}
        className="opacity-0 group-hover:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100"
      />
    ),
  },
];
