import { toast } from 'sonner';
import { storageProblem } from '../data/storage.ts';
import { WorkerFailed } from '../workers/connect-worker.ts';

/** Why something failed, in words that say what to do. */
export function failureInWords(error: unknown): string {
  if (error instanceof WorkerFailed) return error.message;
  const { name = '', message = '' } = error as Partial<Error>;
  if (/Quota|Database|Transaction|DataError|ConstraintError/i.test(name)) return storageProblem(error);
  return message || 'Try again; if it stays so, reload the page.';
}

/**
 * Starts work that nobody waits for. Where it fails, that is said, with what was wanted; work that was called off says
 * nothing.
 */
export function attempt(work: Promise<unknown>, failed = 'That could not be done'): void {
  work.catch((error: unknown) => {
    if ((error as Partial<Error>)?.name === 'AbortError') return;
    console.error(`${failed}:`, error);
    toast.error(`${failed}. ${failureInWords(error)}`, { duration: 12_000 });
  });
}
