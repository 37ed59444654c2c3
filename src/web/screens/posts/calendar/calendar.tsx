import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { calendarFile } from '../../../../core/formats/index.ts';
import { monthWeeks, shiftDay, shiftMonth, weekOf } from '../../../../core/release/index.ts';
import { MONTH_NAMES, type SeasonBand } from '../../../../core/research/index.ts';
import { dayIn, houseFields, pathOfPost } from '../../../../core/site/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import type { IdeaRow } from '../../../data/research-rows.ts';
import { changeReuse } from '../../../data/reuses.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { clockOn, movePost, planIdea, takeOffDay } from '../../../state/post/move-post.ts';
import { offerUndo, type TakeBack } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { download } from '../../../ui/download.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import { PostsHead } from '../posts-head.tsx';
import { usePosts } from '../use-posts.ts';
import { DayCell } from './day-cell.tsx';
import { type CalendarEntry, calendarEntries } from './entries.ts';
import { RhythmLine } from './rhythm-line.tsx';
import { TurnButton } from './turn-button.tsx';
import { useCalendarRows, useSeasons } from './use-calendar.ts';
import { WithoutDay } from './without-day.tsx';

const ScheduleDialog = lazy(() =>
  import('../schedule-dialog.tsx').then((module) => ({ default: module.ScheduleDialog })),
);

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
/** Seasons that are named, of those that have begun and of those to come: more say nothing. */
const MOST_SEASONS = 6;

/** What is dragged: something that stands on a day, a post without one, or an idea. */
interface Held {
  entry?: CalendarEntry;
  post?: PostRow;
  idea?: IdeaRow;
}

type Rows = NonNullable<ReturnType<typeof useCalendarRows>>;

/** When posts go out: a month or a week, what is planned of Reuse with them, and the seasons behind. */
export function Calendar() {
  const rows = useCalendarRows();
  return rows ? <OfSite key={rows.site.id} rows={rows} /> : <Waiting />;
}

/** Says what was moved, with its way back, or why it could not be. */
async function saying(said: string, work: Promise<TakeBack>): Promise<void> {
  try {
    offerUndo(said, await work);
  } catch (error) {
    toast.error(failureInWords(error), { duration: 12_000 });
  }
}

function OfSite({ rows }: { rows: Rows }) {
  const { site, posts, reuses, ideas } = rows;
  const zone = useZone();
  const today = dayIn(zone, new Date());
  const [asked, setAsked] = useSearchParams();
  const isWeek = asked.get('view') === 'week';
  const wished = asked.get('day') ?? '';
  const day = /^\d{4}-\d{2}-\d{2}$/.test(wished) && !Number.isNaN(Date.parse(wished)) ? wished : today;
  const month = day.slice(0, 7);
  const weeks = isWeek ? [weekOf(day)] : monthWeeks(month);
  const [first, last] = [weeks[0][0], weeks.at(-1)!.at(-1)!];
  const seasons = useSeasons(rows, first, last);
  const shown = [
    ...seasons.filter(({ from }) => from <= last).slice(0, MOST_SEASONS),
    ...seasons.filter(({ from }) => from > last).slice(0, MOST_SEASONS),
  ];
  const entries = useMemo(() => calendarEntries(posts, reuses, zone), [posts, reuses, zone]);
  const byDay = useMemo(() => {
    const days = new Map<string, CalendarEntry[]>();
    for (const entry of entries) days.set(entry.day, [...(days.get(entry.day) ?? []), entry]);
    return days;
  }, [entries]);
  const waiting = posts.filter(({ fields: { date, status } }) => date === '' && status !== 'published');
  const kept = ideas.filter(({ stage }) => stage === 'kept');
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [scheduling, setScheduling] = useState(false);
  const [dragged, setDragged] = useState('');
  const held = useRef<Held>({});
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const go = (to: string, week = isWeek) => setAsked({ day: to, ...(week ? { view: 'week' } : {}) });
  const step = (by: 1 | -1) => go(isWeek ? shiftDay(day, 7 * by) : `${shiftMonth(month, by)}-01`);

  const move = (entry: CalendarEntry, to: string, time: string) => {
    if (to === entry.day && (time === '' || time === entry.time)) return;
    const said = `“${entry.title}” stands on ${dayInWords(to, zone)} now.`;
    if (entry.kind === 'reuse')
      void saying(
        said,
        changeReuse(entry.id, () => ({ planned: to })),
      );
    else
      void saying(
        said,
        (async () => movePost(site, entry.id, time ? `${to}T${time}` : await clockOn(site, entry.id, to)))(),
      );
  };
  const takeOff = (entry: CalendarEntry) => {
    const said = `“${entry.title}” has no day any more.`;
    void saying(
      said,
      entry.kind === 'reuse' ? changeReuse(entry.id, () => ({ planned: '' })) : takeOffDay(entry.id),
    );
  };
  const putPost = ({ id, fields }: PostRow, to: string, time: string) =>
    void saying(
      `“${fields.title || 'Untitled'}” is planned for ${dayInWords(to, zone)}.`,
      (async () => movePost(site, id, time ? `${to}T${time}` : await clockOn(site, id, to)))(),
    );
  const putIdea = (idea: IdeaRow, to: string, time: string) =>
    void saying(
      `“${idea.title}” is a post now, planned for ${dayInWords(to, zone)}.`,
      planIdea(site, idea, houseFields(site.house), `${to}T${time || '09:00'}`).then(
        ({ takeBack }) => takeBack,
      ),
    );
  const drop = ({ over }: DragEndEvent) => {
    setDragged('');
    const to = over ? String(over.id) : '';
    const { entry, post, idea } = held.current;
    if (!/^\d{4}-\d{2}-\d{2}$/.test(to)) return;
    if (entry) move(entry, to, '');
    else if (post) putPost(post, to, '');
    else if (idea) putIdea(idea, to, '');
  };
  const exported = () => {
    const host = site.baseAddress.replace(/\/$/, '');
    const days = entries
      .filter(({ kind, day: on }) => kind === 'reuse' || (kind === 'post' && on >= today))
      .map(({ kind, id, title, day: on, postId }) => {
        const row = posts.find((post) => post.id === postId);
        const path = row ? pathOfPost(row.fields, site) : null;
        return {
          uid: `${kind}-${id}@dune-sparrow`,
          day: on,
          ...(kind === 'post' && row ? { instant: row.fields.date } : {}),
          title,
          note: row?.fields.keyword ? `For “${row.fields.keyword}”.` : '',
          address: host && path ? `${host}${path}` : '',
        };
      });
    download(`calendar-${today}.ics`, calendarFile(days, new Date().toISOString()), 'text/calendar');
  };
  const name = isWeek
    ? `Week of ${dayInWords(weeks[0][0], zone)}`
    : `${new Date(`${month}-01T00:00:00Z`).toLocaleDateString('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' })}`;
  return (
    <main className="flex h-full flex-col">
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragStart={({ active }) => {
          // The page may turn under it: what is dragged is not there any more then.
          held.current = (active.data.current ?? {}) as Held;
          const { entry, post, idea } = held.current;
          setDragged(entry?.title ?? post?.fields.title ?? idea?.title ?? '');
        }}
        onDragCancel={() => setDragged('')}
        onDragEnd={drop}
      >
        <PostsHead>
          <div className="ml-auto flex flex-wrap items-center gap-2">
            <TurnButton
              name={isWeek ? 'Week before' : 'Month before'}
              icon={ChevronLeft}
              onTurn={() => step(-1)}
            />
            <h2 aria-live="polite" className="min-w-36 text-center font-semibold">
              {name}
            </h2>
            <TurnButton
              name={isWeek ? 'Week after' : 'Month after'}
              icon={ChevronRight}
              onTurn={() => step(1)}
            />
            <Button onClick={() => go(today)}>Today</Button>
            <Choice
              aria-label="View"
              value={isWeek ? 'week' : 'month'}
              onChange={(view) => go(day, view === 'week')}
              options={[
                { value: 'month', name: 'Month' },
                { value: 'week', name: 'Week' },
              ]}
            />
            <Button onClick={exported}>iCalendar</Button>
          </div>
        </PostsHead>
        <RhythmLine entries={entries} today={today} zone={zone} />
        {shown.length > 0 && <SeasonLine seasons={shown} first={first} last={last} />}
        <div className="flex min-h-0 flex-1 pl-6">
          <section aria-label={name} className="min-w-0 flex-1 overflow-auto pr-2 pb-4">
            <div aria-hidden className="grid grid-cols-7 border-b text-[12px] text-soft">
              {WEEKDAYS.map((weekday) => (
                <span key={weekday} className="px-1 pb-1">
                  {weekday.slice(0, 3)}
                </span>
              ))}
            </div>
            <ol className={`grid grid-cols-7 border-l ${isWeek ? 'min-h-full' : ''}`}>
              {weeks.flat().map((one) => (
                <DayCell
                  key={one}
                  day={one}
                  isInMonth={isWeek || one.startsWith(month)}
                  isToday={one === today}
                  entries={byDay.get(one) ?? []}
                  seasons={shown}
                  onMove={move}
                  onTakeOff={takeOff}
                />
              ))}
            </ol>
          </section>
          <WithoutDay
            posts={waiting}
            ideas={kept}
            today={today}
            selected={selected}
            onSelect={setSelected}
            onSchedule={() => setScheduling(true)}
            onPutPost={putPost}
            onPutIdea={putIdea}
          />
        </div>
        <DragOverlay dropAnimation={null}>
          {dragged && (
            <p className="w-44 truncate rounded border border-marram bg-sheet px-1.5 py-0.5 text-[12px]">
              {dragged}
            </p>
          )}
        </DragOverlay>
      </DndContext>
      {scheduling && (
        <Suspense fallback={null}>
          <InARow
            ids={selected}
            onClose={(done) => {
              setScheduling(false);
              if (done) setSelected(new Set());
            }}
          />
        </Suspense>
      )}
    </main>
  );
}

/** Several posts get their days at once. */
function InARow({ ids, onClose }: { ids: ReadonlySet<string>; onClose: (done: boolean) => void }) {
  const { site, lines } = usePosts();
  if (!site || !lines) return null;
  return <ScheduleDialog site={site} lines={lines.filter(({ row }) => ids.has(row.id))} onClose={onClose} />;
}

const monthsInWords = ({ from, to }: SeasonBand): string => {
  const [one, other] = [from, to].map((day) => MONTH_NAMES[Number(day.slice(5, 7)) - 1]);
  return one === other ? one : `${one} to ${other}`;
};

/** Which seasons lie behind the days, and which are to come: for these there may be time to write. */
function SeasonLine({
  seasons,
  first,
  last,
}: {
  seasons: readonly SeasonBand[];
  first: string;
  last: string;
}) {
  const now = seasons.filter(({ from }) => from <= last);
  const coming = seasons.filter(({ from }) => from > last);
  const dueInWords = ({ writeBy }: SeasonBand): string =>
    writeBy < first
      ? ''
      : `, write by ${Number(writeBy.slice(8))} ${MONTH_NAMES[Number(writeBy.slice(5, 7)) - 1]}`;
  return (
    <p aria-label="Seasons" role="note" className="px-6 pb-2 text-[13px] text-soft">
      <span aria-hidden className="mr-1.5 inline-block h-2.5 w-2.5 bg-sand align-baseline" />
      {now.length > 0 &&
        `In season: ${now.map((season) => `${season.phrase} (${monthsInWords(season)})`).join('; ')}. `}
      {coming.length > 0 &&
        `To come: ${coming.map((season) => `${season.phrase} (${monthsInWords(season)}${dueInWords(season)})`).join('; ')}.`}
    </p>
  );
}
