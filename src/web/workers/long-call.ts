import { untilAborted } from './connect-worker.ts';

/** A worker whose long jobs can be called off. */
interface CanCallOff {
  callOff(job: string): unknown;
}

/** What is read is no longer waited for when it is called off; what is written is, for it may be done already. */
type Kind = 'reads' | 'writes';

/**
 * Asks a worker for something that takes long. When the signal says that nobody waits any more, the worker is told, and
 * the answer is an `AbortError`.
 */
export async function longCall<Worker extends CanCallOff, Answer>(
  worker: Worker,
  kind: Kind,
  signal: AbortSignal,
  ask: (job: string) => Promise<Answer>,
): Promise<Answer> {
  signal.throwIfAborted();
  const job = crypto.randomUUID();
  const stop = () => worker.callOff(job);
  if (kind === 'reads') return untilAborted(ask(job), signal, stop);
  signal.addEventListener('abort', stop, { once: true });
  try {
    return await ask(job);
  } finally {
    signal.removeEventListener('abort', stop);
  }
}
