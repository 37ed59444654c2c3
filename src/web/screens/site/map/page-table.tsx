import { useMemo, useState } from 'react';
import { None } from '../../../ui/empty.tsx';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn, GridSort } from '../../../ui/grid/grid-column.ts';
import type { MapPage } from '../../../workers/site-map.ts';
import { shareInWords } from './share-in-words.ts';

const ROW = 36;

/** A page with its place among all of the map. */
export interface PlacedPage extends MapPage {
  index: number;
}

type Column = 'title' | 'weight' | 'clicks' | 'ins' | 'outs';

/** What a column sorts by; a page that no way leads to is further than any. */
const sortedBy = (page: MapPage, by: Column): number | string =>
  by === 'title'
    ? page.title.toLowerCase()
    : by === 'clicks'
      ? page.clicks === -1
        ? Number.POSITIVE_INFINITY
        : page.clicks
      : page[by];

/** The pages of the map as a table: the same that is drawn. */
export function PageTable({
  pages,
  chosen,
  onChoose,
}: {
  pages: readonly PlacedPage[];
  chosen: number | null;
  onChoose: (page: number) => void;
}) {
  const [sort, setSort] = useState<GridSort<Column>>({ by: 'weight', descending: true });
  const sorted = useMemo(
    () =>
      [...pages].sort((a, b) => {
        const [one, other] = [sortedBy(a, sort.by), sortedBy(b, sort.by)];
        const order = one < other ? -1 : one > other ? 1 : a.path < b.path ? -1 : 1;
        return sort.descending ? -order : order;
      }),
    [pages, sort],
  );
  const columns = useMemo(
    (): GridColumn<PlacedPage, Column>[] => [
      {
        id: 'title',
        name: 'Page',
        width: 'minmax(0,1fr)',
        sorts: 'ascending',
        cell: ({ index, title, path, postId }) => (
          <button
            type="button"
            aria-pressed={index === chosen}
            title={`${title} (${path})`}
            onClick={() => onChoose(index)}
            className="block w-full truncate text-left hover:text-sea aria-pressed:font-semibold"
          >
            {title || path}
            {postId === null && <span className="text-soft"> page</span>}
          </button>
        ),
      },
      {
        id: 'weight',
        name: 'Weight',
        width: '66px',
        sorts: 'descending',
        right: true,
        hint: 'Share of the site’s weight that links give it: PageRank over the links in the texts, with 0.85 passed on.',
        cell: ({ weight }) => shareInWords(weight),
      },
      {
        id: 'clicks',
        name: 'Clicks',
        width: '60px',
        sorts: 'descending',
        right: true,
        hint: 'From the home page, over the lists of the blog (ten posts a page) and the links in the texts; a line where no way leads.',
        cell: ({ clicks }) => (clicks === -1 ? '–' : clicks),
      },
      {
        id: 'ins',
        name: 'In',
        width: '44px',
        sorts: 'descending',
        right: true,
        hint: 'Pages that link to it.',
        cell: ({ ins }) => ins,
      },
      {
        id: 'outs',
        name: 'Out',
        width: '48px',
        sorts: 'descending',
        right: true,
        hint: 'Pages that it links to.',
        cell: ({ outs, postId }) => (postId === null ? '–' : outs),
      },
    ],
    [chosen, onChoose],
  );
  return (
    <DataGrid
      name="Pages of the map"
      columns={columns}
      count={sorted.length}
      rowAt={(place) => sorted[place]}
      nameOf={({ title }) => title}
      rowHeight={ROW}
      sort={sort}
      onSort={setSort}
      onOpen={({ index }) => onChoose(index)}
      none={<None>No page matches.</None>}
    />
  );
}
