import { dayIn, timeIn } from '../site/index.ts';

const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/** An instant as a clock in a zone shows it, to the minute: `2026-12-01T09:00`; empty where it is none. */
export function localTime(zone: string, instant: string): string {
  const day = dayIn(zone, new Date(instant));
  return day === '' ? '' : `${day}T${timeIn(zone, instant)}`;
}

/**
 * The instant at which a clock in a zone shows a day and a time, e.g. `instantAt('Europe/London', '2026-07-01T09:00')` is
 * `2026-07-01T08:00:00.000Z`; empty where it is no day and time. Of an hour that a clock shows twice the first is meant; of one
 * that it leaves out, the time as much later as the clock was put on.
 */
export function instantAt(zone: string, local: string): string {
  if (!LOCAL.test(local)) return '';
  const wished = Date.parse(`${local}:00Z`);
  if (Number.isNaN(wished)) return '';
  // How far the zone's clock is ahead at an instant; both offsets around a change are tried, the greater (earlier) first.
  const ahead = (at: number) => Date.parse(`${localTime(zone, new Date(at).toISOString())}:00Z`) - at;
  const day = 86_400_000;
  const offsets = [ahead(wished - day), ahead(wished + day)].sort((a, b) => b - a);
  for (const offset of offsets)
    if (ahead(wished - offset) === offset) return new Date(wished - offset).toISOString();
  return new Date(wished - Math.min(...offsets)).toISOString();
}
