import { useState } from 'react';
import type { GenerationRow } from '../../../data/study-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../../ui/day.ts';
import { Opening } from '../../../ui/opening.tsx';
import { useZone } from '../../../ui/zone.ts';

/** What was generated for a post: searched by any word of it, opened, and taken again. */
export function GenerationHistory({
  name,
  rows,
  action,
  onAction,
}: {
  name: string;
  rows: readonly GenerationRow[];
  /** What can be done with one. */
  action: string;
  onAction: (row: GenerationRow) => void;
}) {
  const zone = useZone();
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState('');
  if (rows.length === 0) return null;
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = rows.filter(({ title, input, output }) => {
    const text = `${title}\n${input}\n${output}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  return (
    <section aria-label={name} className="mt-5 text-[13px]">
      <div className="mb-1 flex items-center gap-3">
        <h3 className="font-semibold">
          {name} {rows.length}
        </h3>
        <input
          type="search"
          aria-label={`Search ${name.toLowerCase()}`}
          value={typed}
          placeholder="Search"
          onChange={(event) => setTyped(event.target.value)}
          className="ml-auto w-40 rounded-md border px-2 py-0.5"
        />
      </div>
      {found.length === 0 && <p className="text-soft">None holds these words.</p>}
      <ul>
        {found.map((row) => (
          <li key={row.id} className="border-t py-1">
            <div className="flex items-baseline gap-3">
              <Opening
                open={open === row.id}
                onToggle={() => setOpen(open === row.id ? '' : row.id)}
                className="flex-1 truncate"
              >
                {row.title}
              </Opening>
              <span className="shrink-0 text-soft">
                {dayInWords(row.at, zone)}, {timeInWords(row.at, zone)}
              </span>
            </div>
            {open === row.id && (
              <div className="mt-1 mb-2 space-y-2">
                <pre className="max-h-56 overflow-auto rounded border bg-sheet p-2 whitespace-pre-wrap">
                  {row.output}
                </pre>
                <details>
                  <summary className="cursor-pointer text-soft">Made from</summary>
                  <pre className="max-h-40 overflow-auto p-2 whitespace-pre-wrap text-soft">{row.input}</pre>
                </details>
                <Button onClick={() => onAction(row)}>{action}</Button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
