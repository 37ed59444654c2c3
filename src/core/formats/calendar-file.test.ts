import { describe, expect, it } from 'vitest';
import { calendarFile } from './calendar-file.ts';

const DAY = {
  uid: 'a@saltmarsh.example',
  day: '2026-12-01',
  title: 'Thread: ferry; times, fares',
  note: 'One\ntwo',
  address: 'https://saltmarsh.example/x',
};

describe('a calendar file', () => {
  it('has a whole day with a reminder, marks escaped', () => {
    const file = calendarFile([DAY], '2026-11-30T08:01:02.345Z');
    expect(file.split('\r\n')).toEqual([
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//Dune Sparrow//Calendar//EN',
      'BEGIN:VEVENT',
      'UID:a@saltmarsh.example',
      'DTSTAMP:20261130T080102Z',
      'DTSTART;VALUE=DATE:20261201',
      'SUMMARY:Thread: ferry\\; times\\, fares',
      'DESCRIPTION:One\\ntwo',
      'URL:https://saltmarsh.example/x',
      'BEGIN:VALARM',
      'ACTION:DISPLAY',
      'TRIGGER:PT9H',
      'DESCRIPTION:Thread: ferry\\; times\\, fares',
      'END:VALARM',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ]);
  });
  it('has a time where something is due at one', () => {
    const file = calendarFile([{ ...DAY, instant: '2026-12-01T09:00:00.000Z' }], '2026-11-30T08:01:02Z');
    expect(file).toContain('DTSTART:20261201T090000Z\r\nDURATION:PT15M\r\n');
    expect(file).toContain('TRIGGER:PT0M');
    expect(file).not.toContain('VALUE=DATE');
  });
  it('folds long lines without cutting a letter', () => {
    const file = calendarFile([{ ...DAY, title: 'ä'.repeat(120) }], '2026-11-30T08:01:02Z');
    for (const line of file.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    expect(file.replaceAll('\r\n ', '')).toContain(`SUMMARY:${'ä'.repeat(120)}`);
  });
});
