import { useState } from 'react';
import { Button } from '../../../ui/button.tsx';

/** A day, and a time where there is one, to which something is moved. */
export function MoveForm({
  day,
  time,
  hasTime,
  onMove,
}: {
  day: string;
  time: string;
  hasTime: boolean;
  onMove: (day: string, time: string) => void;
}) {
  const [wished, setWished] = useState(day);
  const [at, setAt] = useState(time || '09:00');
  return (
    <form
      aria-label="Move to"
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wished) onMove(wished, hasTime ? at : '');
      }}
    >
      <label>
        <span className="mb-1 block font-semibold">Move to</span>
        <input
          type="date"
          aria-label="Day"
          value={wished}
          onChange={({ target }) => setWished(target.value)}
          className="rounded-md border px-2 py-1"
        />
      </label>
      {hasTime && (
        <input
          type="time"
          aria-label="Time"
          value={at}
          onChange={({ target }) => setAt(target.value)}
          className="rounded-md border px-2 py-1"
        />
      )}
      <Button type="submit" disabled={wished === ''} className="min-h-7.5! py-1!">
        Move
      </Button>
    </form>
  );
}
