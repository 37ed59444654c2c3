import { type Remote, wrap } from 'comlink';

/** A worker failed or could not be loaded: what it was asked has no answer, and the next call starts another. */
export class WorkerFailed extends Error {}

/** Milliseconds after which a worker that says nothing at its start counts as one that cannot be loaded. */
const START_LIMIT = 60_000;

interface WorkerKind<Api> {
  /** What it does, for messages: "the keyword desk". */
  name: string;
  /** Makes the worker. */
  start: () => Worker;
  /** The first call, before any other: opening the database, say. */
  open?: (api: Remote<Api>) => Promise<unknown>;
}

/** The page's side of one kind of worker. */
export interface WorkerLink<Api> {
  /** The worker's functions; started by the first who asks. Rejects with {@link WorkerFailed} where it cannot be. */
  api(): Promise<Remote<Api>>;
  /** Ends the worker: what waits is rejected, and the next call starts another. */
  close(): void;
}

/**
 * Connects to a worker so that nothing can wait forever: where it fails, or never loads, every call under way is
 * rejected, the worker is ended, and the next call starts a new one.
 */
export function connectWorker<Api extends object>({ name, start, open }: WorkerKind<Api>): WorkerLink<Api> {
  let current: { api: Promise<Remote<Api>>; end: (reason: string) => void } | null = null;

  const connect = () => {
    const worker = start();
    let fail: (error: WorkerFailed) => void = () => {};
    const failed = new Promise<never>((_done, reject) => {
      fail = reject;
    });
    failed.catch(() => {});
    const link: typeof current = {
      api: Promise.reject(new Error('unused')),
      end: (reason) => {
        clearTimeout(timer);
        worker.terminate();
        if (current === link) current = null;
        fail(new WorkerFailed(`${name} stopped (${reason}). Try again.`));
      },
    };
    link.api.catch(() => {});
    const timer = setTimeout(() => link.end('it did not start'), START_LIMIT);
    worker.onerror = (event) => {
      event.preventDefault?.();
      link.end(event.message || 'it could not be loaded');
    };
    worker.onmessageerror = () => link.end('an answer could not be read');
    const remote = wrap<Api>(worker);
    const opened = open ? open(remote) : Promise.resolve();
    link.api = Promise.race([opened, failed]).then(
      () => {
        clearTimeout(timer);
        return guarded(remote, failed);
      },
      (error: Error) => {
        link.end(error.message);
        throw error instanceof WorkerFailed
          ? error
          : new WorkerFailed(`${name} stopped (${error.message}). Try again.`);
      },
    );
    link.api.catch(() => {});
    return link;
  };

  return {
    api() {
      current ??= connect();
      return current.api;
    },
    close() {
      current?.end('it was closed');
    },
  };
}

/** A worker's functions, each of which is rejected when the worker fails. */
function guarded<Api extends object>(remote: Remote<Api>, failed: Promise<never>): Remote<Api> {
  const known = new Map<PropertyKey, unknown>();
  return new Proxy(remote, {
    get(target, name) {
      // A proxy that seems to be a promise would be waited for.
      if (name === 'then') return undefined;
      if (!known.has(name)) {
        const call = (...given: unknown[]) => {
          const ask = (target as unknown as Record<PropertyKey, (...args: unknown[]) => Promise<unknown>>)[
            name
          ];
          return Promise.race([ask(...given), failed]);
        };
        known.set(name, call);
      }
      return known.get(name);
    },
  });
}

/**
 * What an answer is worth until a signal says that nobody waits any more: rejects with the signal's reason then.
 * `stop` is told, so that the worker does not go on for nothing.
 */
export async function untilAborted<Answer>(
  work: Promise<Answer>,
  signal: AbortSignal | undefined,
  stop?: () => unknown,
): Promise<Answer> {
  if (!signal) return work;
  return new Promise<Answer>((done, fail) => {
    const aborted = () => {
      stop?.();
      fail(signal.reason);
    };
    if (signal.aborted) {
      work.catch(() => {});
      aborted();
      return;
    }
    signal.addEventListener('abort', aborted, { once: true });
    work.then(done, fail).finally(() => signal.removeEventListener('abort', aborted));
  });
}
