/** Whether this machine knows a zone by its name in the IANA list, e.g. `Europe/London`. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone !== '';
  } catch {
    return false;
  }
}

const known = new Map<string, Intl.DateTimeFormat>();

function formatOf(zone: string): Intl.DateTimeFormat {
  let format = known.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en', {
      timeZone: zone,
      calendar: 'gregory',
      numberingSystem: 'latn',
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    });
    known.set(zone, format);
  }
  return format;
}

/** The parts of an instant as a clock and a calendar in a zone show them; null where it is none. */
function partsIn(zone: string, instant: Date): Map<string, string> | null {
  if (Number.isNaN(instant.getTime())) return null;
  return new Map(
    formatOf(zone)
      .formatToParts(instant)
      .map(({ type, value }) => [type, value]),
  );
}

/**
 * The calendar day of an instant in a zone, e.g. `2026-11-28`; empty where it is no instant. A day without a time of
 * day (`2026-11-28`) is that day in every zone: it never becomes the day before.
 */
export function dayIn(zone: string, instant: string | Date): string {
  if (typeof instant === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(instant)) return instant;
  const parts = partsIn(zone, new Date(instant));
  return parts ? `${parts.get('year')!.padStart(4, '0')}-${parts.get('month')}-${parts.get('day')}` : '';
}

/** The time of day of an instant in a zone, e.g. `14:06`; empty where it is none. */
export function timeIn(zone: string, instant: string | Date): string {
  const parts = partsIn(zone, new Date(instant));
  return parts ? `${parts.get('hour')}:${parts.get('minute')}` : '';
}

/** The month of an instant in a zone, 0 (January) to 11. */
export const monthIn = (zone: string, instant: Date): number => Number(dayIn(zone, instant).slice(5, 7)) - 1;

/** The day of an instant in a zone as an instant of its own, at midnight UTC: for sums over days and months. */
export const dateIn = (zone: string, instant: Date): Date => new Date(`${dayIn(zone, instant)}T00:00:00Z`);

/** The day so many days before another, e.g. `dayBefore('2026-03-01', 1)` is `2026-02-28`. */
export const dayBefore = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
