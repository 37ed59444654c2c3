import { useState } from 'react';
import { instantAt, type LookItem, localTime, type StandingAccount } from '../../../../core/release/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { orderAgain, publishPost, releaseBy, wayOf } from '../../../state/post/publish-post.ts';
import { useSendJobs } from '../../../state/sending.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { dayInWords, timeInWords } from '../../../ui/day.ts';
import { counted, listInWords } from '../../../ui/figures.ts';
import { useZone } from '../../../ui/zone.ts';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { WithdrawForm } from './withdraw-form.tsx';

const STANDINGS: Record<StandingAccount['standing'], string> = {
  draft: 'Draft',
  'in-review': 'In review',
  scheduled: 'Scheduled',
  published: 'Published',
  changed: 'Published, changed since',
  withdrawn: 'Withdrawn',
};

/** The next full hour on a zone's clock, as a field for day and time wants it. */
const nextHour = (zone: string): string =>
  `${localTime(zone, new Date(Date.now() + 3_600_000).toISOString()).slice(0, 13)}:00`;

/** How the post stands, and the ways to bring it to its readers, later or now, and to take it back. */
export function SendPanel({
  account,
  held,
  row,
  address,
  passesOn,
}: {
  account: StandingAccount;
  /** What holds it back; null until that is known. */
  held: readonly LookItem[] | null;
  row: PostRow | undefined;
  /** Of the blog beside the application; empty: none. */
  address: string;
  /** Places to which the blog can pass a new post on. */
  passesOn: readonly { uid: string; name: string }[];
}) {
  const { session, site } = usePost();
  const zone = useZone();
  const fields = useAppSelector((state) => state.openPost.fields);
  const jobs = useSendJobs();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [later, setLater] = useState(false);
  const [local, setLocal] = useState('');
  const [leaving, setLeaving] = useState(false);
  const [passedTo, setPassedTo] = useState<readonly string[]>([]);
  const way = wayOf(site);
  const release = way ? releaseBy(way, row?.release) : row?.release;
  const own = jobs.find(
    ({ postId, state }) => postId === session.id && state !== 'done' && state !== 'given-up',
  );
  const post = { siteId: session.siteId, id: session.id, title: fields.title };
  const { standing, next } = account;
  const isOut = standing === 'published' || standing === 'changed';
  const wished =
    local ||
    (fields.date && fields.date > new Date().toISOString() ? localTime(zone, fields.date) : nextHour(zone));
  const isFuture = instantAt(zone, wished) > new Date().toISOString();
  const does = async (work: () => Promise<void>) => {
    setProblem('');
    setBusy(true);
    try {
      await work();
      setLater(false);
    } catch (error) {
      setProblem(failureInWords(error));
    } finally {
      setBusy(false);
    }
  };
  const place = !way
    ? 'a file to put up by hand'
    : way.kind === 'folder'
      ? 'a file in the folder of posts'
      : way.kind === 'micropub'
        ? way.endpoint.replace(/^https?:\/\//, '').replace(/\/.*$/, '')
        : address.replace(/^https?:\/\//, '') || 'the blog beside the application';
  const isHeld = held === null || held.length > 0;
  const verb =
    isOut && !release
      ? 'Send it there'
      : isOut
        ? 'Publish the changes'
        : standing === 'withdrawn'
          ? 'Publish anew'
          : 'Publish now';
  return (
    <section aria-label="Sending">
      <p className="text-[13px] text-soft">This post is</p>
      <h2 className="font-serif text-[26px] leading-tight font-semibold">{STANDINGS[standing]}</h2>
      {(standing === 'scheduled' || isOut) && fields.date && (
        <p className="text-[13px] text-soft">
          {standing === 'scheduled' ? 'for ' : 'since '}
          {dayInWords(fields.date, zone)} {timeInWords(fields.date, zone)} ({zone})
        </p>
      )}
      <p className="mt-2">
        {own
          ? own.state === 'waiting' || own.state === 'sending'
            ? 'It is on its way: see below.'
            : 'It did not get through: see below.'
          : next}
      </p>
      {held && held.length > 0 && (
        <p role="status" className="mt-2 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]">
          {counted(held.length, 'thing holds', 'things hold')} it back
          {account.lacks.length > 0 ? `; it lacks ${listInWords(account.lacks)}` : ''}.
        </p>
      )}
      <Editable>
        {passesOn.length > 0 && !release && (
          <fieldset className="mt-2">
            <legend className="text-[13px] text-soft">Passed on from there to</legend>
            {passesOn.map(({ uid, name }) => (
              <CheckField
                key={uid}
                checked={passedTo.includes(uid)}
                onChange={(isWished) =>
                  setPassedTo(isWished ? [...passedTo, uid] : passedTo.filter((one) => one !== uid))
                }
              >
                {name}
              </CheckField>
            ))}
          </fieldset>
        )}
        <div className="mt-3 flex flex-wrap gap-2">
          {(standing !== 'published' || !release) && (
            <Button
              look="main"
              disabled={busy || isHeld}
              onClick={() => does(() => publishPost(session, site, row?.release, { kind: 'now' }, passedTo))}
              className="disabled:opacity-50"
            >
              {way ? verb : 'Save the file and mark as published'}
            </Button>
          )}
          {way && !isOut && standing !== 'withdrawn' && (
            <Button aria-expanded={later} disabled={busy || isHeld} onClick={() => setLater(!later)}>
              {standing === 'scheduled' ? 'Move it' : 'At a time'}
            </Button>
          )}
          {way && release && !release.withdrawn && standing === 'scheduled' && (
            <Button disabled={busy} onClick={() => does(() => orderAgain(post, site, release, 'withdraw'))}>
              Stop it
            </Button>
          )}
          {way && release && !release.withdrawn && standing !== 'scheduled' && (
            <Button aria-expanded={leaving} disabled={busy} onClick={() => setLeaving(!leaving)}>
              Withdraw
            </Button>
          )}
          {way && release?.withdrawn && (
            <Button disabled={busy} onClick={() => does(() => orderAgain(post, site, release, 'restore'))}>
              Put it back
            </Button>
          )}
        </div>
        {leaving && release && !release.withdrawn && (
          <WithdrawForm
            busy={busy}
            onWithdraw={(leadsTo) =>
              does(() => orderAgain(post, site, release, 'withdraw', leadsTo)).then(() => setLeaving(false))
            }
          />
        )}
        {later && (
          <form
            className="mt-3"
            onSubmit={(event) => {
              event.preventDefault();
              void does(() =>
                publishPost(session, site, row?.release, { kind: 'at', local: wished, zone }, passedTo),
              );
            }}
          >
            <label className="block">
              <span className="mb-1 block font-semibold">Day and time</span>
              <input
                type="datetime-local"
                value={wished}
                onChange={({ target }) => setLocal(target.value)}
                className="rounded-md border px-2.5 py-1.5"
              />
            </label>
            <p className="mt-1 text-[13px] text-soft">
              {isFuture
                ? `On the clock of ${zone}, whatever the clocks do until then.`
                : 'That time has passed: choose one to come, or publish now.'}
            </p>
            <Button type="submit" disabled={busy || !isFuture} className="mt-2 disabled:opacity-50">
              Schedule
            </Button>
          </form>
        )}
      </Editable>
      {problem && (
        <p role="alert" className="mt-2 text-rust">
          {problem}
        </p>
      )}
      <p className="mt-3 text-[13px] text-soft">Goes to {place}.</p>
    </section>
  );
}
