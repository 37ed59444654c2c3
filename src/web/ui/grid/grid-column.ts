import type { ReactNode } from 'react';

/** One column of a grid: its heading, its width, and what stands in it for a row. */
export interface GridColumn<Row, Id extends string = string> {
  id: Id;
  name: string;
  /** A grid track: `76px`, `minmax(110px,1.2fr)`. */
  width: string;
  /** Its track on a phone; where any column names one, those that name none are left out there. */
  phone?: string;
  /** Which way it is sorted when its heading is first pressed; a column without it cannot be sorted by. */
  sorts?: 'ascending' | 'descending';
  /** How its figures come about, shown at the heading. */
  hint?: string | undefined;
  /** Figures stand under one another at the right. */
  right?: boolean;
  /** Its name is for readers alone: a column of buttons, say. */
  nameless?: boolean;
  /** Classes of its cells, and of its heading. */
  className?: string;
  cell: (row: Row) => ReactNode;
}

/** By which column the rows stand, and which way. */
export interface GridSort<Id extends string = string> {
  by: Id;
  descending: boolean;
}

/** Which rows are selected, by keys of their own. */
export interface GridSelection<Key> {
  selected: ReadonlySet<Key>;
  onSelect: (selected: ReadonlySet<Key>) => void;
  /** The key of the row at a place; places go from 0 to the number of rows. */
  keyAt: (place: number) => Key;
}
