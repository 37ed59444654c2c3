import { parentPort, workerData } from 'node:worker_threads';
import { readPostFile, UnreadableFile } from '../core/draft/index.ts';

/** Answers with the post, or with the sentence that says why there is none. */
async function answer(): Promise<void> {
  const { bytes, name } = workerData as { bytes: Uint8Array; name: string };
  try {
    parentPort?.postMessage({ post: await readPostFile(bytes, name) });
  } catch (error) {
    parentPort?.postMessage({
      problem: error instanceof UnreadableFile ? error.message : 'cannot be read: it is damaged.',
    });
  }
}

void answer();
