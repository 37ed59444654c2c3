/** A day to remember. */
export interface CalendarDay {
  uid: string;
  /** `2026-12-01`. */
  day: string;
  /** UTC instant at which it is due; not there: the whole day is. */
  instant?: string;
  title: string;
  note: string;
  /** Where it leads; empty: nowhere. */
  address: string;
}

const escaped = (text: string): string => text.replace(/([\\;,])/g, '\\$1').replace(/\r?\n/g, '\\n');

/** Lines of at most 75 octets, as RFC 5545 (3.1) wants them. */
function folded(line: string): string {
  const encoder = new TextEncoder();
  const parts: string[] = [];
  let part = '';
  let size = 0;
  for (const character of line) {
    const bytes = encoder.encode(character).length;
    if (size + bytes > (parts.length === 0 ? 75 : 74)) {
      parts.push(part);
      part = '';
      size = 0;
    }
    part += character;
    size += bytes;
  }
  return [...parts, part].join('\r\n ');
}

/** An instant as iCalendar writes it: `20261201T090000Z`. */
const utc = (instant: string): string => `${instant.replace(/[-:]/g, '').slice(0, 15)}Z`;

/**
 * Days as a calendar file (iCalendar, RFC 5545), each a whole day with a reminder in the morning, or a quarter of an hour where it has a
 * time.
 *
 * @param stamp UTC instant at which it is written
 */
export function calendarFile(days: readonly CalendarDay[], stamp: string): string {
  const lines = days.flatMap(({ uid, day, instant, title, note, address }) => [
    'BEGIN:VEVENT',
    `UID:${uid}`,
    `DTSTAMP:${utc(stamp)}`,
    ...(instant
      ? [`DTSTART:${utc(instant)}`, 'DURATION:PT15M']
      : [`DTSTART;VALUE=DATE:${day.replaceAll('-', '')}`]),
    `SUMMARY:${escaped(title)}`,
    ...(note ? [`DESCRIPTION:${escaped(note)}`] : []),
    ...(address ? [`URL:${address}`] : []),
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    instant ? 'TRIGGER:PT0M' : 'TRIGGER:PT9H',
    `DESCRIPTION:${escaped(title)}`,
    'END:VALARM',
    'END:VEVENT',
  ]);
  return `${['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Dune Sparrow//Calendar//EN', ...lines, 'END:VCALENDAR'].map(folded).join('\r\n')}\r\n`;
}
