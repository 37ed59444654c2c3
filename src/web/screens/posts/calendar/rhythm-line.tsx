import { rhythmOf } from '../../../../core/release/index.ts';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import type { CalendarEntry } from './entries.ts';

const NAMED = 3;

/** Gaps and pile-ups in what is to come. */
export function RhythmLine({
  entries,
  today,
  zone,
}: {
  entries: readonly CalendarEntry[];
  today: string;
  zone: string;
}) {
  const days = entries.filter(({ kind }) => kind === 'post').map(({ day }) => day);
  const { usual, gaps, pileUps } = rhythmOf(days, today);
  if (gaps.length + pileUps.length === 0) return null;
  return (
    <ul aria-label="Gaps and pile-ups" className="flex flex-wrap gap-x-5 px-6 pb-2 text-[13px]">
      {gaps.slice(0, NAMED).map(({ from, to, days: long }) => (
        <li key={from}>
          Nothing goes out from {dayInWords(from, zone)} to {dayInWords(to, zone)} ({counted(long, 'day')}
          {usual !== null && `, usually ${counted(Math.round(usual), 'day')}`}).
        </li>
      ))}
      {pileUps.slice(0, NAMED).map(({ day, posts }) => (
        <li key={day}>
          {counted(posts, 'post')} on {dayInWords(day, zone)}.
        </li>
      ))}
    </ul>
  );
}
