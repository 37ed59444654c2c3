import { useEffect, useState } from 'react';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { Check } from '../../ui/check-field.tsx';
import { counted, countInWords, figureInWords } from '../../ui/figures.ts';
import { Opening } from '../../ui/opening.tsx';
import type { ClusterLine, DeskView, KeywordLine } from '../../workers/desk-lines.ts';
import { longCall } from '../../workers/long-call.ts';
import { progressTo, researchWorker } from '../../workers/research-client.ts';

/** Phrases that one post can answer together. */
export function ClustersTab({
  siteId,
  view,
  selected,
  onSelect,
}: {
  siteId: string;
  view: DeskView;
  selected: ReadonlySet<number>;
  onSelect: (rows: ReadonlySet<number>) => void;
}) {
  const [done, setDone] = useState(0);
  const [found, setFound] = useState<{ count: number; lines: ClusterLine[] } | null>(null);
  const [open, setOpen] = useState<{ at: number; lines: KeywordLine[] } | null>(null);
  useEffect(() => {
    const visit = new AbortController();
    const { signal } = visit;
    setFound(null);
    setOpen(null);
    attempt(
      researchWorker()
        .then((worker) =>
          longCall(worker, 'reads', signal, (job) =>
            worker.clusters(
              siteId,
              view.rows,
              job,
              progressTo((share) => !signal.aborted && setDone(share)),
            ),
          ),
        )
        .then(setFound),
      'The phrases could not be grouped',
    );
    return () => visit.abort();
  }, [siteId, view]);
  if (!found)
    return (
      <p role="status" className="px-6 py-8 text-soft">
        Grouping {counted(view.rows.length, 'phrase')}: {Math.round(done * 100)} %.
      </p>
    );
  const show = async (at: number) => {
    if (open?.at === at) setOpen(null);
    else setOpen({ at, lines: await (await researchWorker()).lines(siteId, found.lines[at].rows) });
  };
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 pb-4 text-[13px]">
      <p className="py-2 text-soft">
        {counted(found.count, 'group')} of phrases that mean the same or that the same pages answer.
        {found.count > found.lines.length
          ? ` The first ${countInWords(found.lines.length)} by volume stand here.`
          : ''}
      </p>
      <table className="w-full" aria-label="Clusters">
        <thead className="text-left text-soft">
          <tr>
            <th className="w-8 py-1 font-normal">
              <span className="sr-only">Select</span>
            </th>
            <th className="font-normal">Cluster</th>
            <th className="w-20 text-right font-normal">Phrases</th>
            <th className="w-24 text-right font-normal">Volume</th>
            <th className="w-24 text-right font-normal">Difficulty</th>
            <th className="w-28 text-right font-normal">Opportunity</th>
          </tr>
        </thead>
        <tbody>
          {found.lines.slice(0, 300).map((cluster, at) => {
            const all = cluster.rows.every((row) => selected.has(row));
            return (
              <tr key={cluster.rows[0]} className="border-t align-top">
                <td className="py-1.5">
                  <Check
                    name={`Select the phrases of ${cluster.name}`}
                    checked={all}
                    onChange={() =>
                      onSelect(
                        new Set(
                          all
                            ? [...selected].filter((row) => !cluster.rows.includes(row))
                            : [...selected, ...cluster.rows],
                        ),
                      )
                    }
                  />
                </td>
                <td className="py-1.5">
                  <Opening open={open?.at === at} onToggle={() => attempt(show(at))}>
                    {cluster.name}
                  </Opening>
                  {open?.at === at && (
                    <ul
                      className="mt-1 mb-1 columns-3 gap-6 text-soft max-[1100px]:columns-2"
                      aria-label={`Phrases of ${cluster.name}`}
                    >
                      {open.lines.map(({ row, keyword }) => (
                        <li key={row}>
                          {keyword.phrase}{' '}
                          <span className="tabular-nums">{countInWords(keyword.volume)}</span>
                        </li>
                      ))}
                    </ul>
                  )}
                </td>
                <td className="py-1.5 text-right tabular-nums">{cluster.rows.length}</td>
                <td className="py-1.5 text-right tabular-nums">{countInWords(cluster.volume)}</td>
                <td className="py-1.5 text-right tabular-nums">{figureInWords(cluster.difficulty)}</td>
                <td className="py-1.5 text-right tabular-nums">{figureInWords(cluster.opportunity)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {found.lines.length > 300 && (
        <p className="py-2 text-soft">Filter further to see the rest: the first 300 stand here.</p>
      )}
      <div className="py-2">
        <Button onClick={() => onSelect(new Set())} disabled={selected.size === 0}>
          Select none
        </Button>
      </div>
    </div>
  );
}
