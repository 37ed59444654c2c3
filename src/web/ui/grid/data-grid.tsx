import {
  type ColumnDef,
  columnVisibilityFeature,
  createCoreRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type CSSProperties, type ReactNode, useEffect, useId, useMemo, useRef } from 'react';
import { Check } from '../check-field.tsx';
import type { GridColumn, GridSelection, GridSort } from './grid-column.ts';
import { GridHeading } from './grid-heading.tsx';
import { isAll, withAll } from './selection.ts';
import { useGridKeys } from './use-grid-keys.ts';

const features = tableFeatures({
  columnVisibilityFeature,
  rowSortingFeature,
  coreRowModel: createCoreRowModel(),
});

/** A row that is drawn: its place among all, and what stands there, where it is known yet. */
interface Line<Row> {
  place: number;
  row: Row | undefined;
}

/** How many rows beyond the view are kept drawn, so that a turn of the wheel shows no gap. */
const OVERSCAN = 8;
/** Rows up to which all are drawn, so that the browser's own search finds each. */
const ALL_DRAWN = 60;
const NO_IDS: readonly string[] = [];
const BOX_WIDTH = '28px';
const LINE =
  'grid grid-cols-(--tracks) items-center gap-x-3 border-b px-2 max-[760px]:grid-cols-(--phone-tracks)';

interface Props<Row, Key, Id extends string> {
  /** What it is a table of, for readers. */
  name: string;
  columns: readonly GridColumn<Row, Id>[];
  /** Columns that are not shown. */
  hidden?: readonly Id[] | undefined;
  count: number;
  /** The row at a place; `undefined` while it is being fetched. */
  rowAt: (place: number) => Row | undefined;
  /** What a row is called, for readers: its selecting is named after it. */
  nameOf: (row: Row) => string;
  /** Pixels of a row. */
  rowHeight: number;
  /** Pixels below which the table is scrolled sideways; 0 where its columns give way. */
  minWidth?: number | undefined;
  sort?: GridSort<Id> | undefined;
  onSort?: ((sort: GridSort<Id>) => void) | undefined;
  selection?: GridSelection<Key> | undefined;
  onOpen?: ((row: Row) => void) | undefined;
  /** Says which places are drawn, so that they can be fetched. */
  onShow?: ((first: number, last: number) => void) | undefined;
  /** What stands where no row is. */
  none?: ReactNode;
}

/**
 * A table of any number of rows: only those in view are drawn. The rows come sorted and filtered; a heading that is
 * pressed says which order is wished. Arrow keys move, Space selects, Enter opens (`useGridKeys`).
 */
export function DataGrid<Row, Key, Id extends string>({
  name,
  columns,
  hidden = NO_IDS as readonly Id[],
  count,
  rowAt,
  nameOf,
  rowHeight,
  minWidth = 0,
  sort,
  onSort,
  selection,
  onOpen,
  onShow,
  none,
}: Props<Row, Key, Id>) {
  const scroller = useRef<HTMLDivElement>(null);
  const id = useId();
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: count <= ALL_DRAWN ? count : OVERSCAN,
  });
  const items = rows.getVirtualItems();
  const [first, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  useEffect(() => onShow?.(first, last), [onShow, first, last]);
  const { cursor, toggle, onKeyDown } = useGridKeys({
    count,
    pageRows: Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / rowHeight) - 1),
    selection,
    onOpen:
      onOpen &&
      ((place) => {
        const row = rowAt(place);
        if (row !== undefined) onOpen(row);
      }),
    reveal: (place) => rows.scrollToIndex(place),
  });
  const definitions = useMemo(
    () =>
      columns.map(
        ({ id: columnId, sorts, cell }): ColumnDef<typeof features, Line<Row>> => ({
          id: columnId,
          // What is sorted by lies with whoever sorts; the table only lets columns with a value be sorted.
          accessorFn: ({ place }) => place,
          enableSorting: sorts !== undefined,
          sortDescFirst: sorts === 'descending',
          cell: ({ row: { original } }) => (original.row === undefined ? null : cell(original.row)),
        }),
      ),
    [columns],
  );
  // Rows of the window alone: a model of all takes a second and 185 MB for 300,000.
  const data = items.map(({ index }): Line<Row> => ({ place: index, row: rowAt(index) }));
  const sorting = sort ? [{ id: sort.by as string, desc: sort.descending }] : [];
  const table = useTable({
    features,
    columns: definitions,
    data,
    getRowId: ({ place }) => String(place),
    manualSorting: true,
    enableSortingRemoval: false,
    enableMultiSort: false,
    autoResetSorting: false,
    state: {
      sorting,
      columnVisibility: Object.fromEntries(hidden.map((columnId) => [columnId, false])),
    },
    onSortingChange: (change) => {
      const [next] = typeof change === 'function' ? change(sorting) : change;
      if (next) onSort?.({ by: next.id as Id, descending: next.desc });
    },
  });
  const shown = table.getVisibleLeafColumns().map((column) => {
    // Every column of the table was made from one of these.
    const own = columns.find((each) => each.id === column.id)!;
    return { column, own };
  });
  const all = selection ? isAll(selection, count) : false;
  const boxTrack = selection ? `${BOX_WIDTH} ` : '';
  const onPhone = shown.filter(({ own }) => own.phone !== undefined);
  const classOf = ({ phone, right, className = '' }: GridColumn<Row>) =>
    `${right ? 'text-right tabular-nums' : ''} ${onPhone.length > 0 && phone === undefined ? 'max-[760px]:hidden' : ''} ${className}`;
  return (
    <div
      ref={scroller}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolled table is reached and moved in by keys.
      tabIndex={0}
      onKeyDown={onKeyDown}
      role="group"
      aria-label={`${name}: arrow keys move${selection ? ', space selects' : ''}${onOpen ? ', Enter opens' : ''}`}
      // Scrolled out of sight it is not drawn, and nothing can be said of it.
      aria-activedescendant={
        items.length > 0 && cursor >= first && cursor <= last ? `${id}-${cursor}` : undefined
      }
      className="min-h-0 flex-1 overflow-auto outline-offset-[-2px]"
    >
      <div
        role="table"
        aria-label={name}
        aria-rowcount={count + 1}
        style={
          {
            '--least': `${minWidth}px`,
            '--tracks': boxTrack + shown.map(({ own }) => own.width).join(' '),
            '--phone-tracks':
              boxTrack +
              (onPhone.length ? onPhone : shown).map(({ own }) => own.phone ?? own.width).join(' '),
          } as CSSProperties
        }
        className={`min-w-(--least) text-[13px] ${onPhone.length > 0 ? 'max-[760px]:min-w-0' : ''}`}
      >
        <div role="rowgroup" className="sticky top-0 z-10 bg-paper">
          <div role="row" className={`${LINE} py-1.5 text-soft`}>
            {selection && (
              <div role="columnheader" className="flex">
                <Check
                  name="Select all shown"
                  checked={all}
                  onChange={() => selection.onSelect(all ? new Set() : withAll(selection, count))}
                />
              </div>
            )}
            {shown.map(({ column, own }) => (
              <GridHeading
                key={column.id}
                name={own.name}
                nameless={own.nameless ?? false}
                hint={own.hint}
                className={classOf(own)}
                sorted={column.getIsSorted()}
                onSort={column.getCanSort() && onSort ? () => column.toggleSorting() : undefined}
              />
            ))}
          </div>
        </div>
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {table.getRowModel().rows.map((line, at) => {
            const { place, row } = line.original;
            const isSelected = selection?.selected.has(selection.keyAt(place));
            return (
              <div
                // Rows are filled anew when the order changes: taking them out and in would cost far more.
                key={place}
                id={`${id}-${place}`}
                role="row"
                aria-rowindex={place + 2}
                aria-selected={isSelected}
                style={{ height: rowHeight, transform: `translateY(${items[at].start}px)` }}
                className={`group absolute inset-x-0 ${LINE} hover:bg-sheet ${isSelected ? 'bg-sand/40' : ''} ${place === cursor ? 'in-focus:shadow-[inset_2px_0_0_var(--c-marram)]' : ''}`}
              >
                {selection && (
                  <div role="cell" className="flex">
                    <input
                      type="checkbox"
                      aria-label={`Select ${row === undefined ? 'row' : nameOf(row)}`}
                      checked={isSelected ?? false}
                      onClick={(event) => toggle(place, event.shiftKey)}
                      readOnly
                      className="accent-marram"
                    />
                  </div>
                )}
                {row === undefined ? (
                  <div role="cell" className="h-3 w-40 rounded bg-sand/50" />
                ) : (
                  line.getVisibleCells().map((cell) => {
                    // A cell stands under a heading that is shown.
                    const { own } = shown.find(({ column }) => column.id === cell.column.id)!;
                    return (
                      <div key={cell.id} role="cell" className={`min-w-0 ${classOf(own)}`}>
                        <table.FlexRender cell={cell} />
                      </div>
                    );
                  })
                )}
              </div>
            );
          })}
        </div>
        {count === 0 && none}
      </div>
    </div>
  );
}
