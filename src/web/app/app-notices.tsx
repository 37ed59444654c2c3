import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { database } from '../data/database.ts';
import { type HeldPosts, rememberHeld } from '../data/held-posts.ts';
import { OUTDATED, storageKind } from '../data/storage.ts';
import { serverCopies } from '../services/server-copies.ts';
import { attempt } from '../state/attempt.ts';
import { holdPage } from '../state/hold-page.ts';
import { restoreKeptCopy, restoreServerCopy } from '../state/keep-copies.ts';
import { postsFound } from '../state/lost-posts.ts';
import { backupPutOff } from '../state/preferences.ts';
import { saveBackup } from '../state/save-backup.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { Button } from '../ui/button.tsx';
import { dayInWords, timeInWords } from '../ui/day.ts';
import { counted } from '../ui/figures.ts';
import { Notice } from '../ui/notice.tsx';
import { remember, remembered } from '../ui/remembered.ts';
import { WordLink } from '../ui/word-link.tsx';
import { useZone } from '../ui/zone.ts';
import { jobsWorker } from '../workers/jobs-client.ts';
import { takeUpdate, UPDATE_READY, updateWaits } from './offline.ts';

/** Under which it is remembered that plain http was spoken of. */
const TOLD_PLAIN = 'dune-sparrow-plain-http';
const WEEK = 7 * 24 * 60 * 60 * 1000;

/** What holds for the whole window: nothing is kept, a newer version is open, it is time for a backup. */
export function AppNotices() {
  const [outdated, setOutdated] = useState(false);
  const [update, setUpdate] = useState(updateWaits());
  const [plain, setPlain] = useState(!isSecureContext && remembered(TOLD_PLAIN) === null);
  const { lastBackup, remindFrom } = useAppSelector((state) => state.preferences);
  const lost = useAppSelector((state) => state.lostPosts);
  const dispatch = useAppDispatch();
  useEffect(() => {
    const markOutdated = () => setOutdated(true);
    const ready = () => setUpdate(true);
    addEventListener(OUTDATED, markOutdated);
    addEventListener(UPDATE_READY, ready);
    return () => {
      removeEventListener(OUTDATED, markOutdated);
      removeEventListener(UPDATE_READY, ready);
    };
  }, []);
  // All of it goes with the window.
  useEffect(() => (storageKind() === 'memory' ? holdPage() : undefined), []);
  if (outdated)
    return (
      <Notice grave>
        <span>
          A newer Dune Sparrow was opened in another tab. Reload this one to go on; it no longer saves.
        </span>
        <Button onClick={() => location.reload()}>Reload</Button>
      </Notice>
    );
  if (lost) return <LostPosts lost={lost} />;
  if (storageKind() === 'memory')
    return (
      <Notice grave>
        <span>
          This window refuses storage (a private window may). You can work, but all of it is gone when the
          window closes: save a backup before.
        </span>
        <Button onClick={() => attempt(saveBackup())}>Save a backup</Button>
      </Notice>
    );
  if (update)
    return (
      <Notice>
        <span>A newer Dune Sparrow is ready. What you wrote is kept.</span>
        <Button onClick={takeUpdate}>Load it now</Button>
        <Button look="word" onClick={() => setUpdate(false)}>
          Later
        </Button>
      </Notice>
    );
  if (plain)
    return (
      <Notice>
        <span>
          This page comes over plain http from another machine: the browser then keeps nothing for work
          without the server, and cannot keep two tabs apart while you type.
        </span>
        <Button
          look="word"
          onClick={() => {
            remember(TOLD_PLAIN, 'yes');
            setPlain(false);
          }}
        >
          Understood
        </Button>
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
      <Button onClick={() => attempt(saveBackup())}>Save a backup</Button>
      <Button look="word" onClick={() => dispatch(backupPutOff(new Date().toISOString()))}>
        In a week
      </Button>
    </Notice>
  );
}

/** Says that posts are gone from this browser's storage, with the ways back. */
function LostPosts({ lost }: { lost: HeldPosts }) {
  const dispatch = useAppDispatch();
  const zone = useZone();
  const [copy, setCopy] = useState<{ made: string; posts: number; name?: string } | null>(null);
  useEffect(() => {
    const look = async () => {
      const [[own], theirs] = [await (await jobsWorker()).keptCopies(), await serverCopies(database().name)];
      setCopy(own ?? theirs?.[0] ?? null);
    };
    attempt(look(), 'The copies cannot be looked through');
  }, []);
  const bring = async ({ made, name }: { made: string; name?: string }) => {
    const { posts } = await (name ? restoreServerCopy(name, 'merge') : restoreKeptCopy(made, 'merge'));
    toast.success(`${counted(posts, 'post')} are back.`);
  };
  const begin = async () => {
    dispatch(postsFound());
    await rememberHeld(new Date().toISOString());
  };
  return (
    <Notice grave>
      <span>
        {copy?.name && lost.sites.length === 0
          ? 'Nothing is in this browser: its data were cleared, its disk was full, or it is new.'
          : `This browser held ${counted(lost.posts, 'post')} (${dayInWords(lost.at, zone)}), and its storage is empty now: the disk may have been full, or its data were cleared.`}{' '}
        {copy
          ? `A copy of ${dayInWords(copy.made, zone)}, ${timeInWords(copy.made, zone)}, with ${counted(copy.posts, 'post')} is kept ${copy.name ? 'by the server' : 'outside of it'}.`
          : 'If you have a backup, restore it under House rules.'}
      </span>
      {copy && <Button onClick={() => attempt(bring(copy))}>Bring the copy back</Button>}
      <WordLink to="/rules">Backups</WordLink>
      <Button look="word" onClick={() => attempt(begin())}>
        Begin anew
      </Button>
    </Notice>
  );
}
