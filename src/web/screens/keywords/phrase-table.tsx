import { useMemo } from 'react';
import type { KeywordSort, KeywordWish } from '../../../core/research/index.ts';
import { DataGrid } from '../../ui/grid/data-grid.tsx';
import { useZone } from '../../ui/zone.ts';
import type { DeskView, KeywordLine } from '../../workers/desk-lines.ts';
import { COLUMNS, type ColumnKey, type PhraseColumn, phraseColumns, SORTS } from './phrase-columns.tsx';

const ROW = 34;

interface TableProps {
  view: DeskView;
  columns: readonly ColumnKey[];
  wish: KeywordWish;
  onSort: (sort: KeywordSort, descending: boolean) => void;
  lineAt: (place: number) => KeywordLine | undefined;
  show: (from: number, to: number) => void;
  selected: ReadonlySet<number>;
  onSelect: (rows: ReadonlySet<number>) => void;
  /** Names of the lists that a phrase stands on. */
  listsOf: (phrase: string) => readonly string[];
  onOpen: (line: KeywordLine) => void;
  opened: string | null;
}

/** Phrases with their figures; any number of them. */
export function PhraseTable({
  view,
  columns,
  wish,
  onSort,
  lineAt,
  show,
  selected,
  onSelect,
  listsOf,
  onOpen,
  opened,
}: TableProps) {
  const zone = useZone();
  const all = useMemo(
    () => phraseColumns({ zone, listsOf, onOpen, opened }),
    [zone, listsOf, onOpen, opened],
  );
  const by = all.find(({ id }) => SORTS[id] === wish.sort)?.id;
  return (
    <DataGrid<KeywordLine, number, PhraseColumn>
      name="Phrases"
      columns={all}
      hidden={COLUMNS.flatMap(({ id }) => (columns.includes(id) ? [] : [id]))}
      count={view.rows.length}
      rowAt={lineAt}
      nameOf={({ keyword }) => keyword.phrase}
      rowHeight={ROW}
      minWidth={200 + columns.length * 100}
      sort={by && { by, descending: wish.descending }}
      onSort={({ by: column, descending }) => {
        const sort = SORTS[column];
        if (sort) onSort(sort, descending);
      }}
      selection={{ selected, onSelect, keyAt: (place) => view.rows[place] }}
      onOpen={onOpen}
      onShow={show}
    />
  );
}
