import { useState } from 'react';
import { newestCopyAsBackup } from '../data/copies.ts';
import { databaseName, openDatabase } from '../data/database.ts';
import { isDemo } from '../services/is-demo.ts';
import { Button } from '../ui/button.tsx';
import { download } from '../ui/download.ts';

/** A backup of the database, or where that cannot be read of the copy beside it; null: there is neither. */
async function rescued(): Promise<Blob | null> {
  try {
    await openDatabase(databaseName(isDemo())).open();
    const { writeBackup } = await import('../data/backup.ts');
    return (await writeBackup(new Date().toISOString())).file;
  } catch (error) {
    console.error('The database cannot be read:', error);
    return newestCopyAsBackup();
  }
}

/** What stands in place of the application where it cannot start: why, and a way to what was written. */
export function CannotStart({ reason }: { reason: string }) {
  const [said, setSaid] = useState('');
  const save = async () => {
    setSaid('Looking for what was written...');
    const file = await rescued();
    if (file) download('dune-sparrow-rescued.backup.zip', file);
    setSaid(
      file
        ? 'The backup is saved. It can be restored under House rules, in this browser or another.'
        : 'Nothing could be read: neither the database of this browser nor a copy of it.',
    );
  };
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 text-xl font-semibold">Dune Sparrow could not start</h1>
      <p role="alert" className="mb-3">
        {reason}
      </p>
      <p className="mb-4 text-soft">
        Reload the page. If it stays so, save what was written as a file first. A window that refuses storage
        (a private one may) holds nothing: open an ordinary one.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button look="main" onClick={() => location.reload()}>
          Reload
        </Button>
        <Button
          onClick={() => {
            save().catch((error: Error) => setSaid(`It could not be saved (${error.message}).`));
          }}
        >
          Save a backup
        </Button>
      </div>
      <p role="status" className="mt-4">
        {said}
      </p>
    </main>
  );
}
