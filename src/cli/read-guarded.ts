import { Worker } from 'node:worker_threads';
import { type ReadPost, readPostFile, UnreadableFile } from '../core/draft/index.ts';

/** Files up to this size cannot take long, whatever stands in them. */
const SMALL = 30_000;
/**
 * Milliseconds after which reading a file is given up. A last resort: what takes work out of proportion is refused by
 * what stands in it, so that a file gives the same answer on a busy machine as on an idle one.
 */
const LAST_RESORT = 60_000;
const MEMORY_MB = 900;
/** Room for what is made and dropped while reading: with less, a tenth of the time goes into sweeping it up. */
const SHORT_LIVED_MB = 128;

/**
 * Reads a post; a large file in a thread of its own, so that one that was made to choke its reader costs neither
 * time nor memory without bound. Throws {@link UnreadableFile}.
 */
export function readGuarded(bytes: Uint8Array, name: string): Promise<ReadPost> {
  if (bytes.length <= SMALL) return readPostFile(bytes, name);
  return new Promise((resolve, reject) => {
    const thread = new Worker(new URL('../../bin/reading-thread.mjs', import.meta.url), {
      workerData: { bytes, name },
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB, maxYoungGenerationSizeMb: SHORT_LIVED_MB },
    });
    const fail = (reason: string) => reject(new UnreadableFile(reason));
    const timer = setTimeout(() => {
      fail(
        `cannot be read: it took longer than ${LAST_RESORT / 1000} seconds. This machine may be busy: try again, or split the file.`,
      );
      void thread.terminate();
    }, LAST_RESORT);
    thread.once('message', (answer: { post: ReadPost } | { problem: string }) => {
      clearTimeout(timer);
      if ('post' in answer) resolve(answer.post);
      else fail(answer.problem);
      void thread.terminate();
    });
    thread.once('error', () => {
      clearTimeout(timer);
      fail('cannot be read: it takes more memory than any post should. Split it.');
    });
  });
}
