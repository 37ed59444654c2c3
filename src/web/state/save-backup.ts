import { toast } from 'sonner';
import { damagesInWords } from '../../core/formats/index.ts';
import { download } from '../ui/download.ts';
import { jobsWorker } from '../workers/jobs-client.ts';
import { backupSaved } from './preferences.ts';
import { store } from './store.ts';

/** Makes a backup of everything and hands it to the writer as a file. */
export async function saveBackup(): Promise<void> {
  const now = new Date().toISOString();
  const task = jobsWorker().then((jobs) => jobs.writeBackup(now));
  toast.promise(task, {
    loading: 'Packing everything...',
    success: ({ damaged }) =>
      damaged.length === 0
        ? 'The backup is saved. Keep a copy of it on another device.'
        : `The backup is saved, but not whole: ${damagesInWords(damaged)}`,
    error: 'The backup could not be made. Reload the page and try again.',
  });
  download(`dune-sparrow-${now.slice(0, 10)}.backup.zip`, (await task).file);
  store.dispatch(backupSaved(now));
}
