import { type FSWatcher, lstatSync, readdirSync, watch } from 'node:fs';
import { join, sep } from 'node:path';

/** Which folders are watched: how deep, and which names are passed over. */
interface Bounds {
  deepest: number;
  passedOver: RegExp;
}

/**
 * Tells whenever something changes in a folder or in those below it, until it is stopped. Errors of the platform are thrown at the
 * start and told after it.
 *
 * On Linux, where the platform watches no folder with those below it, Node watches each file by itself: one that was written anew and
 * put in the place of the old one, as every writer does who loses nothing, is watched no more. A folder is told of whatever happens to its
 * files, so each folder is watched.
 */
export function watchFolder(
  root: string,
  bounds: Bounds,
  changed: () => void,
  failed: (error: unknown) => void,
): () => void {
  if (process.platform !== 'linux') {
    const watcher = watch(root, { recursive: true, persistent: false }, changed);
    watcher.on('error', failed);
    return () => watcher.close();
  }
  const watchers = new Map<string, FSWatcher>();
  /** Ends the watch over a folder and all below it. */
  const letGo = (folder: string) => {
    for (const [watched, watcher] of watchers)
      if (watched === folder || watched.startsWith(folder + sep)) {
        watcher.close();
        watchers.delete(watched);
      }
  };
  const look = (folder: string, depth: number): void => {
    if (depth > bounds.deepest) return;
    const watcher = watch(folder, { persistent: false }, (event, name) => {
      changed();
      if (event !== 'rename' || name === null) return;
      // It came, or went: what has its name now is another folder.
      letGo(join(folder, name));
      lookBelow(folder, name, depth);
      // What was put into it before it was watched.
      changed();
    });
    watcher.on('error', (error) => {
      letGo(folder);
      if (folder === root) failed(error);
    });
    watchers.set(folder, watcher);
    // Watched first: what comes while its names are read is told too.
    for (const name of readdirSync(folder)) lookBelow(folder, name, depth);
  };
  const lookBelow = (folder: string, name: string, depth: number): void => {
    if (bounds.passedOver.test(name)) return;
    const place = join(folder, name);
    try {
      // What a link names is no part of the folder.
      if (lstatSync(place).isDirectory()) look(place, depth + 1);
    } catch (error) {
      // Gone again, or not to be read: nobody can change posts in it that we could read. All else is a limit of the platform.
      if (!/^(?:ENOENT|ENOTDIR|EACCES|EPERM)$/.test(String((error as NodeJS.ErrnoException).code)))
        failed(error);
    }
  };
  look(root, 0);
  return () => letGo(root);
}
