import { database } from '../data/database.ts';
import { fillDemo } from '../data/demo.ts';
import { lostPosts, rememberHeld } from '../data/held-posts.ts';
import { ensureSite } from '../data/sites.ts';
import { openStorage } from '../data/storage.ts';
import { emptyOldTrash } from '../data/trash.ts';
import { openVisitStore } from '../data/visit-store.ts';
import { isDemo } from '../services/is-demo.ts';
import { attempt } from '../state/attempt.ts';
import { keepCopies } from '../state/keep-copies.ts';
import { postsMissed } from '../state/lost-posts.ts';
import { store } from '../state/store.ts';
import { remember, remembered } from '../ui/remembered.ts';
import { jobsWorker } from '../workers/jobs-client.ts';

const TIDIED = 'dune-sparrow-tidied';
/** Milliseconds between two tidyings. */
const TIDY_EVERY = 24 * 60 * 60 * 1000;
/** Milliseconds from the beginning of a visit to its tidying. */
const TIDY_AFTER = 5000;

/** Opens the database and fills it with the demo where that is asked for. */
export async function start(): Promise<void> {
  await openStorage(isDemo());
  // Open before the first key, so that each can be kept at once.
  void openVisitStore();
  if (isDemo()) await fillDemo();
  const lost = await lostPosts();
  if (lost) store.dispatch(postsMissed(lost));
  await ensureSite();
  if (!lost) await rememberHeld(new Date().toISOString());
  keepCopies();
  // What went out while no page was open is told by the server; the first screen comes first.
  attempt(
    import('../state/sending.ts').then(({ lookAtSending }) => lookAtSending()),
    'What is on its way to your readers cannot be seen',
  );
  await emptyOldTrash(Date.now());
  if (navigator.locks) tidyPictures(await holdOpen());
}

/** Says, for as long as this tab lives, that it is open. Answers whether it is the only one. */
async function holdOpen(): Promise<boolean> {
  const name = `open ${database().name}`;
  const alone = await navigator.locks.request(name, { ifAvailable: true }, (lock) => lock !== null);
  attempt(navigator.locks.request(name, { mode: 'shared' }, () => new Promise(() => {})));
  return alone;
}

/**
 * Once a day, when no other tab is open whose undo could still name them, pictures that nothing names go. A worker
 * looks for them: it reads every version, which no page should wait for. Only pictures that are there now can go, so
 * that one which is being put in meanwhile is safe.
 */
function tidyPictures(alone: boolean): void {
  const last = remembered(TIDIED);
  // A first visit has nothing to tidy.
  if (last === null) remember(TIDIED, String(Date.now()));
  if (!alone || last === null || Date.now() - Number(last) <= TIDY_EVERY) return;
  const tidy = async () => {
    const known = await database().pictures.toCollection().primaryKeys();
    // What the visit begins with comes first.
    await new Promise((done) => setTimeout(done, TIDY_AFTER));
    await (await jobsWorker()).collectPictures(known);
    remember(TIDIED, String(Date.now()));
  };
  // Nobody asked for it, so nobody is told where it fails: it is tried again at the next visit.
  tidy().catch((error: unknown) =>
    console.error('Pictures that nothing names could not be taken out:', error),
  );
}
