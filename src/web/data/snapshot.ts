import { database } from './database.ts';

/** Remembers everything in the database and answers how to put it back; for steps that replace all of it. */
export async function snapshot(): Promise<() => Promise<void>> {
  const { tables } = database();
  const rows = await database().transaction('r', tables, () =>
    Promise.all(tables.map((table) => table.toArray())),
  );
  return () =>
    database().transaction('rw', tables, async () => {
      await Promise.all(tables.map((table) => table.clear()));
      await Promise.all(tables.map((table, at) => table.bulkPut(rows[at])));
    });
}
