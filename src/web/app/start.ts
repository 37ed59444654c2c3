import { database } from '../data/database.ts';
import { fillDemo } from '../data/demo.ts';
import { purgeDeleted } from '../data/posts.ts';
import { ensureSite } from '../data/sites.ts';
import { openStorage } from '../data/storage.ts';
import { attempt } from '../state/attempt.ts';
import { remember, remembered } from '../state/remembered.ts';
import { isDemo } from './is-demo.ts';

const TIDIED = 'dune-sparrow-tidied';
const UNDO_LASTS = 24 * 60 * 60 * 1000;

/** Opens the database and fills it with the demo where that is asked for. */
export async function start(): Promise<void> {
  await openStorage(isDemo());
  if (isDemo()) await fillDemo();
  await ensureSite();
  await purgeDeleted(new Date(Date.now() - UNDO_LASTS).toISOString());
  await tidyPictures();
}

/** Once a day, when no other tab is open whose undo could still name them, pictures that nothing names go. */
async function tidyPictures(): Promise<void> {
  if (!navigator.locks) return;
  const name = `open ${database().name}`;
  const due = Date.now() - Number(remembered(TIDIED) ?? 0) > UNDO_LASTS;
  if (due)
    await navigator.locks.request(name, { ifAvailable: true }, async (lock) => {
      if (!lock) return;
      await (await import('../data/collect-pictures.ts')).collectPictures();
      remember(TIDIED, String(Date.now()));
    });
  // Held for as long as this tab lives.
  attempt(navigator.locks.request(name, { mode: 'shared' }, () => new Promise(() => {})));
}
