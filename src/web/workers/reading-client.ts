import { type Remote, wrap } from 'comlink';
import type { Incoming } from '../../core/formats/index.ts';
import type { ReadingApi } from './reading-worker.ts';

/** Milliseconds after which reading one file is given up: a last resort, since work is bounded by what a file holds. */
const LAST_RESORT = 60_000;

/**
 * Reads files in a worker of its own. A file that takes too long, or brings the worker down, costs that file alone:
 * the worker is replaced. Rejects with an error whose message continues the file's name.
 */
export class ReadingClient {
  private worker: Worker | null = null;
  private api: Remote<ReadingApi> | null = null;

  async read(file: Blob, name: string): Promise<Incoming> {
    const bytes = await file.arrayBuffer();
    return this.guarded((api) => api.read(bytes, name) as Promise<Incoming>);
  }

  async unzip(file: Blob): Promise<Map<string, Uint8Array>> {
    const bytes = await file.arrayBuffer();
    return this.guarded((api) => api.unzip(bytes) as Promise<Map<string, Uint8Array>>);
  }

  close(): void {
    this.worker?.terminate();
    this.worker = null;
    this.api = null;
  }

  private guarded<Answer>(ask: (api: Remote<ReadingApi>) => Promise<Answer>): Promise<Answer> {
    return new Promise((resolve, reject) => {
      const fail = (reason: string) => {
        this.close();
        reject(new Error(reason));
      };
      const timer = setTimeout(
        () =>
          fail(
            `cannot be read: it took longer than ${LAST_RESORT / 1000} seconds. This machine may be busy: try again, or split the file.`,
          ),
        LAST_RESORT,
      );
      if (!this.worker) {
        this.worker = new Worker(new URL('./reading-worker.ts', import.meta.url), { type: 'module' });
        this.api = wrap<ReadingApi>(this.worker);
      }
      this.worker.onerror = () =>
        fail('cannot be read: it takes more memory than any post should. Split it.');
      ask(this.api as Remote<ReadingApi>)
        .then(resolve, reject)
        .finally(() => clearTimeout(timer));
    });
  }
}
