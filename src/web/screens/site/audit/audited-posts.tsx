import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type AuditedPost, criterionTitle, promiseOf } from '../../../../core/audit/index.ts';
import { ToWin } from '../../../ui/earned.tsx';
import { None } from '../../../ui/empty.tsx';
import { countInWords } from '../../../ui/figures.ts';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn, GridSort } from '../../../ui/grid/grid-column.ts';

const ROW = 38;
type Column = 'title' | 'score' | 'win' | 'clicks' | 'impressions' | 'promise' | 'first';

const sortedBy = (post: AuditedPost, by: Column): number | string => {
  if (by === 'title') return post.title.toLowerCase();
  if (by === 'win') return 100 - post.score;
  if (by === 'promise') return promiseOf(post);
  if (by === 'first') return post.gains[0]?.[1] ?? 0;
  return post[by];
};

const COLUMNS: GridColumn<AuditedPost, Column>[] = [
  {
    id: 'title',
    name: 'Post',
    width: 'minmax(0,1.4fr)',
    phone: 'minmax(0,1fr)',
    sorts: 'ascending',
    className: 'truncate',
    cell: ({ id, title }) => (
      <Link to={`/posts/${id}/write`} title={title} className="hover:text-marram hover:underline">
        {title}
      </Link>
    ),
  },
  {
    id: 'score',
    name: 'Score',
    width: '64px',
    phone: '64px',
    right: true,
    sorts: 'ascending',
    cell: ({ score }) => score.toFixed(1),
  },
  {
    id: 'win',
    name: 'To win',
    width: '70px',
    right: true,
    sorts: 'descending',
    cell: ({ score }) => <ToWin points={100 - score} />,
  },
  {
    id: 'clicks',
    name: 'Clicks',
    width: '72px',
    right: true,
    sorts: 'descending',
    cell: ({ clicks }) => countInWords(clicks),
  },
  {
    id: 'impressions',
    name: 'Impressions',
    width: '108px',
    right: true,
    sorts: 'descending',
    cell: ({ impressions }) => countInWords(impressions),
  },
  {
    id: 'promise',
    name: 'Promise',
    width: '94px',
    right: true,
    sorts: 'descending',
    hint: 'Points to win times impressions: the more people see the post in search, the more its points are worth.',
    cell: (post) => countInWords(promiseOf(post)),
  },
  {
    id: 'first',
    name: 'Wins most',
    width: 'minmax(0,1fr)',
    className: 'truncate text-[13px] text-soft',
    cell: ({ gains: [first] }) =>
      first ? `${criterionTitle(first[0])} (+${first[1].toFixed(1)})` : 'Nothing left',
  },
];
const FIGURES: readonly Column[] = ['clicks', 'impressions', 'promise'];

/** The posts of an audit: what there is to win first, or the worst, as it is sorted. */
export function AuditedPosts({ posts, hasFigures }: { posts: readonly AuditedPost[]; hasFigures: boolean }) {
  const [sort, setSort] = useState<GridSort<Column> | null>(null);
  const by = sort ?? { by: hasFigures ? 'promise' : 'win', descending: true };
  const sorted = useMemo(
    () =>
      [...posts].sort((a, b) => {
        const [one, other] = [sortedBy(a, by.by), sortedBy(b, by.by)];
        const order = one < other ? -1 : one > other ? 1 : 0;
        return (by.descending ? -order : order) || a.score - b.score || (a.title < b.title ? -1 : 1);
      }),
    [posts, by.by, by.descending],
  );
  return (
    <DataGrid
      name="Posts of the audit"
      columns={COLUMNS}
      hidden={hasFigures ? [] : FIGURES}
      count={sorted.length}
      rowAt={(place) => sorted[place]}
      nameOf={({ title }) => title}
      rowHeight={ROW}
      sort={by}
      onSort={setSort}
      none={<None>No post is for readers yet. Look at all posts instead.</None>}
    />
  );
}
