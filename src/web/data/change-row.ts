import type { Table } from 'dexie';
import { fieldsTakenBack } from '../../core/draft/index.ts';
import { database } from './database.ts';

/** The way back of a change of a row; answers in words what was changed since and stays, empty where nothing was. */
export type RowBack = () => Promise<string>;

/** A row without what counts or dates its changes: these go on, whatever is taken back. */
function content<Row extends object>(row: Row): Row {
  const {
    revision: _revision,
    changed: _changed,
    ...rest
  } = row as Row & {
    revision?: number;
    changed?: string;
  };
  return rest as Row;
}

const counted = <Row extends object>(row: Row): Partial<Row> =>
  'revision' in row && typeof row.revision === 'number'
    ? ({ revision: row.revision + 1 } as unknown as Partial<Row>)
    : {};

/** When a row was changed, so that of two copies of it the newer can be told. */
const dated = () => ({ changed: new Date().toISOString() });

/**
 * Changes a row as it stands in the database, so that two changes in quick succession both hold; its revision goes up
 * where it has one. Answers the way back: what this change set goes back, and nothing that was set since. A row that is
 * not there is not changed.
 */
export async function changeRow<Row extends object>(
  table: Table<Row>,
  key: string | [string, string],
  change: (row: Row) => Partial<Row>,
): Promise<RowBack> {
  const changed = await database().transaction('rw', table, async () => {
    const before = await table.get(key);
    if (!before) return null;
    const after = { ...before, ...counted(before), ...dated(), ...change(before) };
    await table.put(after);
    return { before: content(before), after: content(after) };
  });
  return async () => {
    if (!changed) return 'There was nothing to take back.';
    return database().transaction('rw', table, async () => {
      const now = await table.get(key);
      if (!now) return 'It is gone by now; nothing was taken back.';
      const { value, left } = fieldsTakenBack(changed.before, changed.after, now);
      await table.put({ ...value, ...counted(now), ...dated() });
      return left === 0 ? '' : 'What was changed since stays as it is.';
    });
  };
}
