import { databaseName, openDatabase } from '../data/database.ts';
import { fillDemo } from '../data/demo.ts';
import { purgeDeleted } from '../data/posts.ts';
import { ensureSite } from '../data/sites.ts';
import { isDemo } from './is-demo.ts';

const UNDO_LASTS = 24 * 60 * 60 * 1000;

/** Opens the database and fills it with the demo where that is asked for. */
export async function start(): Promise<void> {
  const database = openDatabase(databaseName(isDemo()));
  await database.open();
  if (isDemo()) await fillDemo();
  await ensureSite();
  await purgeDeleted(new Date(Date.now() - UNDO_LASTS).toISOString());
}
