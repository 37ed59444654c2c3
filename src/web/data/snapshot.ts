import { database } from './database.ts';

/** Remembers everything in the database and answers how to put it back; for steps that replace all of it. */
export async function snapshot(): Promise<() => Promise<void>> {
  const { tables } = database();
  const rows = await database().transaction('r', tables, () =>
    Promise.all(tables.map((table) => table.toArray())),
  );
  return () =>
    database().transaction('rw', tables, async () => {
      const { posts } = database();
      const since = new Map((await posts.toArray()).map((row) => [row.id, row.revision]));
      await Promise.all(tables.map((table) => table.clear()));
      await Promise.all(tables.map((table, at) => table.bulkPut(rows[at])));
      // Counts of changes must not come again with other keywords behind them.
      await database()
        .keywords.filter(({ stamp }) => stamp !== undefined)
        .modify({ stamp: Date.now() });
      // An open tab must not take what is put back for what it holds.
      await posts.toCollection().modify((row) => {
        row.revision = Math.max(row.revision, since.get(row.id) ?? 0) + 1;
      });
    });
}
