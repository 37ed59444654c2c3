import { useState } from 'react';
import { damagesInWords } from '../../../core/formats/index.ts';
import type { Restored, RestoreMode } from '../../data/backup.ts';
import { attempt } from '../../state/attempt.ts';
import { postsFound } from '../../state/lost-posts.ts';
import { allWritten } from '../../state/post/open-sessions.ts';
import { saveBackup } from '../../state/save-backup.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { dayInWords } from '../../ui/day.ts';
import { ChoiceField } from '../../ui/field.tsx';
import { counted } from '../../ui/figures.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { useZone } from '../../ui/zone.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';
import { CopiesSection } from './copies-section.tsx';

const saidOf = ({ made, posts, pictures, kept }: Restored, mode: RestoreMode, zone: string) =>
  `${mode === 'replace' ? 'Replaced by' : 'Merged with'} the backup of ${dayInWords(made, zone)}: ${counted(posts, 'post')}, ${counted(pictures, 'picture')}.${
    kept ? ` ${counted(kept, 'post')} ${kept === 1 ? 'was' : 'were'} newer here and stayed.` : ''
  }`;

/** Backup: everything into one file, and back. */
export function BackupSection() {
  const zone = useZone();
  const { lastBackup } = useAppSelector((state) => state.preferences);
  const dispatch = useAppDispatch();
  const [mode, setMode] = useState<RestoreMode>('merge');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const restore = async (work: () => Promise<Restored>, how: RestoreMode, what: string) => {
    setProblem('');
    setBusy(true);
    try {
      await allWritten();
      const done = await work();
      dispatch(postsFound());
      if (done.damaged.length > 0) setProblem(`Not all of it was whole: ${damagesInWords(done.damaged)}`);
      offerUndo(
        saidOf(done, how, zone),
        async () => {
          await allWritten();
          return (await jobsWorker()).takeRestoreBack(new Date().toISOString());
        },
        20_000,
      );
    } catch (error) {
      setProblem(`${what} ${(error as Error).message}`);
    } finally {
      setBusy(false);
    }
  };
  const restoreFile = async (file: File) => {
    const jobs = await jobsWorker();
    return jobs.restoreBackup(file, mode, new Date().toISOString());
  };
  return (
    <section aria-label="Backup" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Backup</h2>
      <p className="mb-3 max-w-2xl text-soft">
        Posts with their versions, pictures, pages and these rules in one open file (a zip of JSON and
        pictures).{' '}
        {lastBackup
          ? `The last one was saved ${dayInWords(lastBackup, zone)}.`
          : 'None was saved from this browser yet.'}
      </p>
      <div className="mb-4">
        <Button onClick={() => attempt(saveBackup())}>Save a backup</Button>
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="w-72">
          <ChoiceField<RestoreMode>
            label="Restore from a backup"
            value={mode}
            onChange={setMode}
            options={[
              { value: 'merge', name: 'beside what is here (the newer stays)' },
              { value: 'replace', name: 'in place of everything here' },
            ]}
          />
        </div>
        <FileButton
          label="Backup to restore"
          accept=".zip"
          disabled={busy}
          onFiles={([file]) => attempt(restore(() => restoreFile(file), mode, file.name))}
        >
          {busy ? 'Restoring...' : 'Choose the file'}
        </FileButton>
      </div>
      <CopiesSection busy={busy} restore={restore} />
      {problem && (
        <p role="alert" className="mt-3 text-rust">
          {problem}
        </p>
      )}
    </section>
  );
}
