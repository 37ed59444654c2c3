import { useState } from 'react';
import { calendarFile } from '../../../../core/formats/index.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { changeReuse } from '../../../data/reuses.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { download } from '../../../ui/download.ts';
import { KIND_NAMES } from './kinds.ts';

const HOW = { recorded: 'sent', copied: 'copied', exported: 'saved as a file' } as const;
/** Where things are sent, as most call it. */
const CHANNELS = [
  'Newsletter',
  'Short messages',
  'Professional network',
  'Video description',
  'Workshop notice board',
];

/** What of it went out, and when it goes out next. Nothing is sent from here. */
export function GoingOut({
  row,
  title,
  address,
  zone,
}: {
  row: ReuseRow;
  title: string;
  address: string;
  zone: string;
}) {
  const [channel, setChannel] = useState('');
  const record = async () => {
    const takeBack = await changeReuse(row.id, ({ sent }) => ({
      sent: [...sent, { channel: channel.trim(), how: 'recorded', at: new Date().toISOString() }],
      planned: '',
    }));
    offerUndo(`Recorded as sent to ${channel.trim()}.`, takeBack);
    setChannel('');
  };
  const remind = () => {
    const stamp = new Date().toISOString();
    const name = `${KIND_NAMES[row.kind].name}: ${title}`;
    const note = row.parts.map(({ text }) => text).join('\n\n');
    download(
      `${row.planned}-reminder.ics`,
      calendarFile([{ uid: `${row.id}@dune-sparrow`, day: row.planned, title: name, note, address }], stamp),
      'text/calendar',
    );
  };
  return (
    <section aria-label="Going out" className="space-y-2 border-t pt-3 text-[13px]">
      <h3 className="font-semibold">Going out</h3>
      <p className="text-soft">Nothing is posted from here: copy it or save it, and say where it went.</p>
      <div className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-1.5">
          Sent to
          <input
            list={`channels-${row.id}`}
            value={channel}
            placeholder="Newsletter"
            onChange={({ target }) => setChannel(target.value)}
            className="w-52 rounded-md border px-2 py-1"
          />
        </label>
        <datalist id={`channels-${row.id}`}>
          {CHANNELS.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <Button disabled={channel.trim() === ''} onClick={() => attempt(record())}>
          Record as sent today
        </Button>
        <label className="flex items-center gap-1.5">
          Next on
          <input
            type="date"
            value={row.planned}
            onChange={({ target: { value } }) => attempt(changeReuse(row.id, () => ({ planned: value })))}
            className="rounded-md border px-2 py-1"
          />
        </label>
        {row.planned && (
          <Button look="word" onClick={remind}>
            Save a reminder (.ics)
          </Button>
        )}
      </div>
      {row.sent.length > 0 && (
        <ul aria-label="Where it went" className="text-soft">
          {row.sent.map(({ channel: name, how, at }) => (
            <li key={at}>
              {dayInWords(at, zone)}: {HOW[how]}
              {name && ` to ${name}`}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
