import { useMemo, useState } from 'react';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords, rateInWords } from '../../../ui/figures.ts';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn, GridSort } from '../../../ui/grid/grid-column.ts';
import type { PageLine, PerformanceView } from '../../../workers/performance.ts';
import { PageLink } from './page-link.tsx';
import { WeekLine } from './week-line.tsx';

const ROW = 40;
type Column = 'title' | 'clicks' | 'change' | 'impressions' | 'rate' | 'position' | 'weeks';

const changeOf = ({ was, is }: PageLine, scale: number): number => is.clicks - was.clicks * scale;
const rateOf = ({ is }: PageLine): number => (is.impressions > 0 ? is.clicks / is.impressions : 0);

/** A difference with its sign. */
const signed = (figure: number, digits = 0): string =>
  `${figure > 0 ? '+' : figure < 0 ? '−' : ''}${Math.abs(figure).toFixed(digits)}`;

/** All pages that search shows, with their clicks in the latest days. */
export function PagesTab({ view, siteId }: { view: PerformanceView; siteId: string }) {
  const [sort, setSort] = useState<GridSort<Column>>({ by: 'clicks', descending: true });
  const { before, after, pages } = view;
  const scale = before ? after.days / Math.max(1, before.days) : 1;
  const columns = useMemo<GridColumn<PageLine, Column>[]>(
    () => [
      {
        id: 'title',
        name: 'Page',
        width: 'minmax(0,1fr)',
        phone: 'minmax(0,1fr)',
        sorts: 'ascending',
        className: 'truncate',
        cell: (page) => <PageLink page={page} />,
      },
      {
        id: 'weeks',
        name: 'Clicks by week',
        width: '130px',
        cell: ({ weeks }) => <WeekLine weeks={weeks} name="Clicks" />,
      },
      {
        id: 'clicks',
        name: 'Clicks',
        width: '70px',
        phone: '70px',
        right: true,
        sorts: 'descending',
        cell: ({ path, is }) => (
          <FigureRows source={figureRows(siteId, path, [after])} title="Clicks" way={WAYS.clicks}>
            {countInWords(is.clicks)}
          </FigureRows>
        ),
      },
      {
        id: 'change',
        name: 'Change',
        width: '80px',
        right: true,
        sorts: 'ascending',
        hint: 'Clicks against the days before, as many of them.',
        cell: (page) =>
          before ? (
            <FigureRows
              source={figureRows(siteId, page.path, [before, after])}
              title="Change of clicks"
              way={WAYS.change}
            >
              {signed(Math.round(changeOf(page, scale)))}
            </FigureRows>
          ) : (
            '–'
          ),
      },
      {
        id: 'impressions',
        name: 'Impressions',
        width: '108px',
        right: true,
        sorts: 'descending',
        cell: ({ path, is }) => (
          <FigureRows source={figureRows(siteId, path, [after])} title="Impressions" way={WAYS.impressions}>
            {countInWords(is.impressions)}
          </FigureRows>
        ),
      },
      {
        id: 'rate',
        name: 'Click rate',
        width: '92px',
        right: true,
        sorts: 'descending',
        cell: ({ path, is }) => (
          <FigureRows source={figureRows(siteId, path, [after])} title="Click rate" way={WAYS.rate}>
            {rateInWords(is.clicks, is.impressions)}
          </FigureRows>
        ),
      },
      {
        id: 'position',
        name: 'Position',
        width: '88px',
        right: true,
        sorts: 'ascending',
        hint: 'Mean rank over all showings.',
        cell: ({ path, is }) => (
          <FigureRows source={figureRows(siteId, path, [after])} title="Position" way={WAYS.position}>
            {is.position?.toFixed(1) ?? '–'}
          </FigureRows>
        ),
      },
    ],
    [siteId, before, after, scale],
  );
  const sorted = useMemo(() => {
    const value = (page: PageLine): number | string => {
      if (sort.by === 'title') return page.title.toLowerCase();
      if (sort.by === 'change') return changeOf(page, scale);
      if (sort.by === 'rate') return rateOf(page);
      if (sort.by === 'position') return page.is.position ?? Number.POSITIVE_INFINITY;
      return page.is[sort.by === 'weeks' ? 'clicks' : sort.by];
    };
    return [...pages].sort((a, b) => {
      const [one, other] = [value(a), value(b)];
      const order = one < other ? -1 : one > other ? 1 : 0;
      return (sort.descending ? -order : order) || (a.path < b.path ? -1 : 1);
    });
  }, [pages, sort.by, sort.descending, scale]);
  return (
    <DataGrid
      name="Pages in search"
      columns={columns}
      count={sorted.length}
      rowAt={(place) => sorted[place]}
      nameOf={({ title }) => title}
      rowHeight={ROW}
      sort={sort}
      onSort={setSort}
    />
  );
}
