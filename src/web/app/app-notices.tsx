import { useEffect, useState } from 'react';
import { OUTDATED, storageKind } from '../data/storage.ts';
import { backupPutOff } from '../state/preferences.ts';
import { saveBackup } from '../state/save-backup.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { Button } from '../ui/button.tsx';
import { Notice } from '../ui/notice.tsx';

const WEEK = 7 * 24 * 60 * 60 * 1000;

/** What holds for the whole window: nothing is kept, a newer version is open, it is time for a backup. */
export function AppNotices() {
  const [outdated, setOutdated] = useState(false);
  const { lastBackup, remindFrom } = useAppSelector((state) => state.preferences);
  const dispatch = useAppDispatch();
  useEffect(() => {
    const told = () => setOutdated(true);
    addEventListener(OUTDATED, told);
    return () => removeEventListener(OUTDATED, told);
  }, []);
  if (outdated)
    return (
      <Notice grave>
        <span>
          A newer Dune Sparrow was opened in another tab. Reload this one to go on; it no longer saves.
        </span>
        <Button onClick={() => location.reload()}>Reload</Button>
      </Notice>
    );
  if (storageKind() === 'memory')
    return (
      <Notice grave>
        <span>
          This window refuses storage (a private window may). You can work, but all of it is gone when the
          window closes: save a backup before.
        </span>
        <Button onClick={() => void saveBackup()}>Save a backup</Button>
      </Notice>
    );
  const since = Math.max(Date.parse(lastBackup || '1970-01-01'), Date.parse(remindFrom));
  if (Date.now() - since < WEEK) return null;
  return (
    <Notice>
      <span>
        {lastBackup ? 'Your last backup is more than a week old.' : 'A week of work and no backup yet.'} All
        you write lies in this browser alone.
      </span>
      <Button onClick={() => void saveBackup()}>Save a backup</Button>
      <Button look="word" onClick={() => dispatch(backupPutOff(new Date().toISOString()))}>
        In a week
      </Button>
    </Notice>
  );
}
