import type { GridColumn } from '../../../ui/grid/grid-column.ts';

/** The query of a row, as wide as there is room. */
export const QUERY: GridColumn<{ query: string }> = {
  id: 'query',
  name: 'Query',
  width: 'minmax(0,1fr)',
  phone: 'minmax(0,1fr)',
  className: 'truncate',
  cell: ({ query }) => <span title={query}>{query}</span>,
};
