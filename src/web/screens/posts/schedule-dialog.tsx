import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { keptOutOfPlan, planTimes } from '../../../core/release/index.ts';
import { dayIn } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { failureInWords } from '../../state/attempt.ts';
import { movePost } from '../../state/post/move-post.ts';
import { schedulePosts } from '../../state/post/schedule-posts.ts';
import { allTakenBack, offerUndo, type TakeBack } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { ChipsField } from '../../ui/chips-field.tsx';
import { dayInWords } from '../../ui/day.ts';
import { DialogFrame } from '../../ui/dialog-frame.tsx';
import { TextField } from '../../ui/field.tsx';
import { counted, listInWords } from '../../ui/figures.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { useZone } from '../../ui/zone.ts';
import { nameOfLine } from './post-columns.tsx';
import type { PostLine } from './post-table.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** Several posts in a row: on which days, at which times, in which order; the plan is seen before anything is sent. */
export function ScheduleDialog({
  site,
  lines,
  onClose,
}: {
  site: SiteRow;
  lines: readonly PostLine[];
  onClose: (done: boolean) => void;
}) {
  const zone = useZone();
  const staysOut = ({ row, score }: PostLine) =>
    keptOutOfPlan(row.fields, score?.words ?? null, row.overruled ?? []);
  const ready = new Set(lines.filter((line) => staysOut(line) === '').map(({ row }) => row.id));
  const isUnfinished = ({ row }: PostLine) => !ready.has(row.id) && row.fields.status !== 'published';
  const [order, setOrder] = useState(() => [...ready]);
  const isHandedOver = (id: string) =>
    lines.some(({ row }) => row.id === id && row.fields.status === 'scheduled');
  const [withUnfinished, setWithUnfinished] = useState(false);
  const out = lines.filter(({ row }) => !order.includes(row.id));
  const unfinished = lines.filter(isUnfinished);
  const sends = order.filter((id) => ready.has(id)).length;
  const [from, setFrom] = useState(() => dayIn(zone, new Date(Date.now() + 86_400_000)));
  const [weekdays, setWeekdays] = useState<readonly number[]>([1, 2, 3, 4, 5]);
  const [times, setTimes] = useState(['09:00']);
  const [gap, setGap] = useState('0');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const wrong = times.filter((time) => !/^([01]\d|2[0-3]):[0-5]\d$/.test(time));
  const days = /^\d{1,2}$/.test(gap) ? Number(gap) : 0;
  const plan = planTimes(
    order.length,
    { from, weekdays, times: wrong.length > 0 ? [] : times, gap: days, zone },
    new Date().toISOString(),
  );
  const nameOf = (id: string) => nameOfLine(lines.find(({ row }) => row.id === id)!);
  const move = (at: number, by: number) => {
    const next = [...order];
    [next[at], next[at + by]] = [next[at + by], next[at]];
    setOrder(next);
  };
  const apply = async () => {
    setBusy(true);
    setProblem('');
    const backs: TakeBack[] = [];
    let moved = 0;
    try {
      const timed = order.flatMap((id, at) => (plan[at] ? [{ id, time: plan[at] }] : []));
      const fresh = timed.filter(({ id }) => ready.has(id) && !isHandedOver(id));
      const { sent, left } = fresh.length > 0 ? await schedulePosts(site, fresh) : { sent: 0, left: [] };
      // Those that wait for another time already are moved, and what is not ready is planned: both have a way back.
      for (const { id, time } of timed.filter((one) => !ready.has(one.id) || isHandedOver(one.id))) {
        backs.push(await movePost(site, id, time.local));
        if (isHandedOver(id)) moved += 1;
      }
      if (sent > 0 || left.length > 0)
        toast(
          `${counted(sent, 'post')} scheduled.${left.length > 0 ? ` Changed in the meantime, and left as they are: ${listInWords(left)}.` : ''}`,
          { duration: 12_000 },
        );
      onClose(true);
    } catch (error) {
      setProblem(failureInWords(error));
      setBusy(false);
    } finally {
      // Where one could not be planned, those before it are: they have their way back all the same.
      if (backs.length > 0)
        offerUndo(
          listInWords([
            ...(moved > 0 ? [`${counted(moved, 'post')} moved to another time`] : []),
            ...(backs.length > moved
              ? [`${counted(backs.length - moved, 'post')} planned, and not sent`]
              : []),
          ]).concat('.'),
          allTakenBack(backs),
          20_000,
        );
    }
  };
  return (
    <DialogFrame title="Schedule posts in a row" onClose={() => onClose(false)}>
      <div className="min-h-0 flex-1 overflow-auto">
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6 max-[760px]:grid-cols-1">
          <div className="space-y-3">
            <label className="block">
              <span className="mb-1 block font-semibold">First day</span>
              <input
                type="date"
                value={from}
                onChange={({ target }) => setFrom(target.value)}
                className="rounded-md border px-2.5 py-1.5"
              />
            </label>
            <fieldset>
              <legend className="mb-1 font-semibold">Days</legend>
              <div className="grid grid-cols-2 gap-x-4 gap-y-1">
                {WEEKDAYS.map((name, at) => (
                  <CheckField
                    key={name}
                    checked={weekdays.includes(at + 1)}
                    onChange={(checked) =>
                      setWeekdays(checked ? [...weekdays, at + 1] : weekdays.filter((day) => day !== at + 1))
                    }
                  >
                    {name}
                  </CheckField>
                ))}
              </div>
            </fieldset>
            <ChipsField
              label="Times"
              items={times}
              onChange={setTimes}
              note={
                wrong.length > 0 ? (
                  <span className="text-rust">{wrong[0]} is no time: write 09:00.</span>
                ) : (
                  `On the clock of ${zone}.`
                )
              }
            />
            <TextField
              label="Days in between, at least"
              inputMode="numeric"
              value={gap}
              onChange={setGap}
              problem={/^\d{1,2}$/.test(gap) ? '' : 'A number of days, 0 to 99'}
            />
          </div>
          <div className="min-w-0">
            <p className="mb-1 font-semibold">The plan</p>
            {order.length === 0 ? (
              <p className="text-soft">None of the chosen posts can go out yet.</p>
            ) : (
              <ol aria-label="The plan">
                {order.map((id, at) => (
                  <li key={id} className="flex items-center gap-2 border-t py-1.5">
                    <span className="min-w-0 flex-1 break-words">
                      {nameOf(id)}
                      <span className="block text-[13px] text-soft">
                        {!ready.has(id) && 'Planned, not sent: '}
                        {plan[at]
                          ? `${WEEKDAYS[(new Date(`${plan[at].local.slice(0, 10)}T00:00:00Z`).getUTCDay() + 6) % 7]}, ${dayInWords(plan[at].local.slice(0, 10), zone)}, ${plan[at].local.slice(11)}`
                          : 'no day for it'}
                      </span>
                    </span>
                    <IconButton
                      name={`${nameOf(id)} earlier`}
                      icon={ArrowUp}
                      disabled={at === 0}
                      onClick={() => move(at, -1)}
                    />
                    <IconButton
                      name={`${nameOf(id)} later`}
                      icon={ArrowDown}
                      disabled={at === order.length - 1}
                      onClick={() => move(at, 1)}
                    />
                  </li>
                ))}
              </ol>
            )}
            {unfinished.length > 0 && (
              <CheckField
                className="mt-3 flex items-start gap-2.5"
                boxClassName="mt-1"
                checked={withUnfinished}
                onChange={(checked) => {
                  setWithUnfinished(checked);
                  const ids = unfinished.map(({ row }) => row.id);
                  setOrder(checked ? [...order, ...ids] : order.filter((id) => !ids.includes(id)));
                }}
              >
                Days for those that are not ready, too: they are planned, and nothing of them is sent
              </CheckField>
            )}
            {out.length > 0 && (
              <ul aria-label="Left out" className="mt-3 text-[13px] text-soft">
                {out.map((line) => (
                  <li key={line.row.id} className="border-t py-1">
                    {nameOfLine(line)} stays out: {staysOut(line)}.
                  </li>
                ))}
              </ul>
            )}
          </div>
        </div>
      </div>
      {problem && (
        <p role="alert" className="mt-3 text-rust">
          {problem}
        </p>
      )}
      <div className="mt-4 flex justify-end gap-3">
        <Button onClick={() => onClose(false)}>Leave it</Button>
        <Button
          look="main"
          disabled={busy || plan.length === 0}
          onClick={() => void apply()}
          className="disabled:opacity-50"
        >
          {sends > 0 || order.length === 0
            ? `Schedule ${counted(Math.min(plan.length, order.length), 'post')}`
            : `Plan ${counted(Math.min(plan.length, order.length), 'post')}`}
        </Button>
      </div>
    </DialogFrame>
  );
}
