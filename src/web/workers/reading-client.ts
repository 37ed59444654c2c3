import type { Remote } from 'comlink';
import type { Incoming } from '../../core/formats/index.ts';
import { connectWorker, untilAborted, WorkerFailed } from './connect-worker.ts';
import type { ReadingApi } from './reading-worker.ts';

/** Milliseconds after which reading one file is given up: a last resort, since work is bounded by what a file holds. */
const LAST_RESORT = 60_000;

/**
 * Reads files in a worker of its own. A file that takes too long, or brings the worker down, costs that file alone:
 * the worker is replaced. Rejects with an error whose message continues the file's name, or with the reason of a
 * signal that is aborted.
 */
export class ReadingClient {
  private readonly link = connectWorker<ReadingApi>({
    name: 'Reading',
    start: () => new Worker(new URL('./reading-worker.ts', import.meta.url), { type: 'module' }),
  });

  async read(file: Blob, name: string, signal?: AbortSignal): Promise<Incoming> {
    const bytes = await file.arrayBuffer();
    return this.ask((api) => api.read(bytes, name) as Promise<Incoming>, signal);
  }

  async unzip(file: Blob, signal?: AbortSignal): Promise<Map<string, Uint8Array>> {
    const bytes = await file.arrayBuffer();
    return this.ask((api) => api.unzip(bytes) as Promise<Map<string, Uint8Array>>, signal);
  }

  close(): void {
    this.link.close();
  }

  private async ask<Answer>(
    call: (api: Remote<ReadingApi>) => Promise<Answer>,
    signal: AbortSignal | undefined,
  ): Promise<Answer> {
    let late = false;
    const timer = setTimeout(() => {
      late = true;
      this.link.close();
    }, LAST_RESORT);
    try {
      return await untilAborted(this.link.api().then(call), signal, () => this.link.close());
    } catch (error) {
      if (!(error instanceof WorkerFailed)) throw error;
      throw new Error(
        late
          ? `cannot be read: it took longer than ${LAST_RESORT / 1000} seconds. This machine may be busy: try again, or split the file.`
          : 'cannot be read: it takes more memory than any post should. Split it.',
      );
    } finally {
      clearTimeout(timer);
    }
  }
}
