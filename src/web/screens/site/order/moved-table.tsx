import type { MovedPage } from '../../../../core/site/index.ts';
import { None } from '../../../ui/empty.tsx';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { STATUS_NAMES } from '../../../ui/status-names.ts';

const ROW = 34;
/** Rows up to which the table is as high as they are. */
const FEW = 8;

const COLUMNS: GridColumn<MovedPage>[] = [
  {
    id: 'title',
    name: 'Page',
    width: 'minmax(0,1.1fr)',
    className: 'truncate',
    cell: ({ id, title }) => (
      <span title={title}>{id === null ? `List of the category ${title}` : title}</span>
    ),
  },
  {
    id: 'from',
    name: 'Stands at',
    width: 'minmax(0,1fr)',
    className: 'truncate text-soft',
    cell: ({ from }) => <span title={from}>{from}</span>,
  },
  {
    id: 'to',
    name: 'Would stand at',
    width: 'minmax(0,1.2fr)',
    className: 'truncate',
    cell: ({ to }) => <span title={to}>{to}</span>,
  },
  {
    id: 'status',
    name: 'Status',
    width: '80px',
    className: 'text-soft',
    cell: ({ id, status }) => (id === null ? '' : STATUS_NAMES[status]),
  },
];

/** Pages of which the address would change, each with both. */
export const MovedTable = ({ moved }: { moved: readonly MovedPage[] }) => (
  <div className="flex min-h-0" style={{ height: (Math.min(moved.length, FEW) + 1.3) * ROW }}>
    <DataGrid
      name="Addresses"
      columns={COLUMNS}
      count={moved.length}
      rowAt={(place) => moved[place]}
      nameOf={({ title }) => title}
      rowHeight={ROW}
      none={<None>No address would change.</None>}
    />
  </div>
);
