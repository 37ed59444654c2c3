import { useDroppable } from '@dnd-kit/core';
import { MONTH_NAMES, type SeasonBand } from '../../../../core/research/index.ts';
import type { CalendarEntry } from './entries.ts';
import { EntryCard } from './entry-card.tsx';

/** A day as a heading says it: `Tuesday 1 December`. */
const dayName = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  });

/** One day: what stands on it, which seasons it lies in, and for which has to be written by then. */
export function DayCell({
  day,
  isInMonth,
  isToday,
  entries,
  seasons,
  onMove,
  onTakeOff,
}: {
  day: string;
  isInMonth: boolean;
  isToday: boolean;
  entries: readonly CalendarEntry[];
  seasons: readonly SeasonBand[];
  onMove: (entry: CalendarEntry, day: string, time: string) => void;
  onTakeOff: (entry: CalendarEntry) => void;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const within = seasons.filter(({ from, to }) => from <= day && day <= to);
  const due = seasons.filter(({ writeBy }) => writeBy === day);
  const [, month, date] = day.split('-').map(Number);
  return (
    <li
      ref={setNodeRef}
      aria-label={`${dayName(day)}${isToday ? ', today' : ''}`}
      className={`relative min-h-24 min-w-0 border-r border-b p-1 ${isInMonth ? 'bg-sheet' : ''} ${isOver ? 'outline-2 -outline-offset-2 outline-sea' : ''}`}
    >
      {/* Seasons lie behind the days, the higher the fuller. */}
      {within.length > 0 && (
        <span
          aria-hidden
          title={within.map(({ phrase }) => phrase).join(', ')}
          className="absolute inset-x-0 bottom-0 bg-sand/70"
          style={{ height: Math.min(40, 10 * within.length) }}
        />
      )}
      <div className="relative">
        <p className={`mb-1 text-[12px] ${isToday ? 'font-semibold text-marram' : 'text-soft'}`}>
          {date}
          {date === 1 && ` ${MONTH_NAMES[month - 1]}`}
          {isToday && ' today'}
        </p>
        {entries.map((entry) => (
          <EntryCard key={entry.key} entry={entry} onMove={onMove} onTakeOff={onTakeOff} />
        ))}
        {due.map(({ phrase, from }) => (
          <p
            key={phrase}
            className="mb-0.5 rounded bg-paper px-0.5 text-[11px] leading-snug break-words text-ochre"
          >
            write by: {phrase} ({MONTH_NAMES[Number(from.slice(5, 7)) - 1]})
          </p>
        ))}
      </div>
    </li>
  );
}
