import { useState } from 'react';
import { Link } from 'react-router';
import type { FieldValue } from '../../../../../core/writing/index.ts';
import { type AskedRow, askedOf } from '../../../../data/generations.ts';
import { useLiveQuery } from '../../../../state/use-live-query.ts';
import { askText, patternsOf, shippedPattern } from '../../../../state/writing/ask-text.ts';
import { keptRun } from '../../../../state/writing/kept-run.ts';
import { openPlace, placeOf } from '../../../../state/writing/text-places.ts';
import { Button } from '../../../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../../../ui/day.ts';
import { Opening } from '../../../../ui/opening.tsx';
import { useZone } from '../../../../ui/zone.ts';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { askedAt } from './asked-at.ts';
import { madeBy } from './run-line.tsx';

/** Rows that stand here; all of them stand in the history. */
const SHOWN = 12;

const TAKEN = { no: 'not taken', part: 'taken in part', whole: 'taken' } as const;

/** What was asked for this post before: opened, put into the sheet again, or asked again with other inputs. */
export function AskedHere({
  body,
  onAgain,
}: {
  body: BodyEditor;
  onAgain: (pattern: string, values: FieldValue[]) => void;
}) {
  const { session, site } = usePost();
  const zone = useZone();
  const rows = useLiveQuery(() => askedOf(session.siteId, session.id), [session]) ?? [];
  const [open, setOpen] = useState('');
  if (rows.length === 0) return null;
  const putBack = (row: AskedRow) => {
    const pattern = patternsOf(site).find(({ id }) => id === row.asked.pattern) ?? shippedPattern('section');
    const { values, along } = row.asked;
    const key = crypto.randomUUID();
    openPlace({
      key,
      postId: session.id,
      pattern: { ...pattern, name: row.asked.patternName },
      values,
      along,
      blockId: askedAt(body.editor).blockId,
      hasSelection: false,
      runs: [keptRun(row)],
      shown: 0,
      taken: [],
      again: () => askText(session, site, { pattern, values, along, at: askedAt(body.editor) }, key),
    });
    body.editor.view.focus();
  };
  const inPlace = new Set(placeOf(session.id)?.runs.flatMap(({ state }) => state.rows));
  return (
    <section aria-label="Asked for this post" className="mt-6 border-t pt-3">
      <h3 className="mb-1 flex items-baseline gap-3 font-semibold">
        Asked for this post {rows.length}
        <Link
          to={`/history?post=${session.id}`}
          className="ml-auto font-normal text-soft underline underline-offset-4"
        >
          History
        </Link>
      </h3>
      <ul>
        {rows.slice(0, SHOWN).map((row) => (
          <li key={row.id} className="border-t py-1 first:border-t-0">
            <Opening
              open={open === row.id}
              onToggle={() => setOpen(open === row.id ? '' : row.id)}
              className="block w-full truncate"
            >
              {row.title}
            </Opening>
            <p className="text-soft">
              {row.asked.patternName} · {dayInWords(row.at, zone)}, {timeInWords(row.at, zone)} ·{' '}
              {row.asked.finish === 'running' && !inPlace.has(row.id) ? 'broken off' : TAKEN[row.asked.taken]}
            </p>
            {open === row.id && (
              <div className="mt-1 mb-2 space-y-2">
                <pre className="max-h-56 overflow-auto rounded border bg-sheet p-2 font-sans whitespace-pre-wrap">
                  {row.output || row.asked.problem}
                </pre>
                <p className="text-soft">{madeBy(row.asked.model)}</p>
                <p className="flex flex-wrap gap-3">
                  {row.asked.into === 'sheet' && row.output && (
                    <Button look="word" onClick={() => putBack(row)}>
                      Put it into the sheet again
                    </Button>
                  )}
                  <Button look="word" onClick={() => onAgain(row.asked.pattern, row.asked.values)}>
                    Ask again with other inputs
                  </Button>
                </p>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
