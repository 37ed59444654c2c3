import Dexie from 'dexie';
import { database } from './database.ts';
import { readScene } from './read-scene.ts';
import type { SceneData } from './scene-data.ts';

/** Tables that a scene is read from. */
const TABLES = ['sites', 'posts', 'pages', 'pictures', 'studies'];
/** Milliseconds without a change after which the scene is read anew. */
const PAUSE = 1200;

/**
 * Tells what a post is scored within, at once and whenever that changed. The post's own saves wake this too, and a
 * large site is dear to read: it is read when nothing was written for a moment, and told only when it differs.
 * Answers how to stop, and when the first reading is done (rejected where it failed).
 */
export function watchScene(
  siteId: string,
  postId: string,
  tell: (scene: SceneData) => void,
): { stop: () => void; first: Promise<void> } {
  let stopped = false;
  let known = '';
  let timer: ReturnType<typeof setTimeout> | undefined;
  const read = async () => {
    const scene = await readScene(siteId, postId);
    if (stopped || !scene) return;
    const text = JSON.stringify(scene);
    if (text === known) return;
    known = text;
    tell(scene);
  };
  const later = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      // What was told before still holds where the database cannot be read just now.
      read().catch((error: unknown) => console.error('The site could not be read anew:', error));
    }, PAUSE);
  };
  const start = `idb://${database().name}/`;
  // Told of writes in this tab, in workers and in other tabs alike.
  const changed = (parts: Record<string, unknown>) => {
    if (Object.keys(parts).some((part) => TABLES.some((table) => part.startsWith(`${start}${table}/`))))
      later();
  };
  Dexie.on('storagemutated', changed);
  const first = read();
  const stop = () => {
    stopped = true;
    clearTimeout(timer);
    Dexie.on.storagemutated.unsubscribe(changed);
  };
  return { stop, first };
}
