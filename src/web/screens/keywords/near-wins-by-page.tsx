import { useMemo } from 'react';
import type { NearWin } from '../../../core/research/index.ts';
import { Button } from '../../ui/button.tsx';
import { FigureRows } from '../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../ui/figure/figure-ways.ts';
import type { RowsSource } from '../../ui/figure/rows-dialog.tsx';
import { countInWords } from '../../ui/figures.ts';
import { WordLink } from '../../ui/word-link.tsx';
import { TARGETING, whereOf } from './near-win-words.ts';

/** Near wins under the page that shows for them, the page with most to win first. */
export function NearWinsByPage({
  wins,
  rowsOf,
  onWrite,
}: {
  wins: readonly NearWin[];
  rowsOf: (win: NearWin) => RowsSource;
  onWrite: (query: string) => void;
}) {
  const pages = useMemo(() => {
    const groups = new Map<string, NearWin[]>();
    for (const win of wins) groups.set(whereOf(win), [...(groups.get(whereOf(win)) ?? []), win]);
    const gainOf = (group: readonly NearWin[]) => group.reduce((sum, { gain }) => sum + gain, 0);
    return [...groups]
      .map(([name, group]) => ({ name, group, gain: gainOf(group) }))
      .sort((a, b) => b.gain - a.gain);
  }, [wins]);
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 pb-4">
      {pages.slice(0, 200).map(({ name, group, gain }) => (
        <section key={name} aria-label={name} className="border-t py-3">
          <h2 className="flex flex-wrap items-baseline gap-3 font-semibold">
            {name}
            <span className="text-ochre tabular-nums">+{countInWords(gain)} clicks</span>
            {group[0].page && (
              <WordLink to={`/posts/${group[0].page.id}/write`} quiet>
                Improve this post
              </WordLink>
            )}
          </h2>
          <ul className="mt-1 text-[13px]">
            {group.slice(0, 20).map((win) => (
              <li
                key={win.row.query}
                className="grid grid-cols-[1fr_110px_130px_170px_70px_140px] gap-x-3 py-0.5"
              >
                <span className="truncate">{win.row.query}</span>
                <span className="text-soft">
                  position{' '}
                  <FigureRows
                    source={rowsOf(win)}
                    title={`Position for “${win.row.query}”`}
                    way={WAYS.position}
                  >
                    {win.row.position.toFixed(1)}
                  </FigureRows>
                </span>
                <span className="text-soft">
                  <FigureRows
                    source={rowsOf(win)}
                    title={`Impressions for “${win.row.query}”`}
                    way={WAYS.impressions}
                  >
                    {countInWords(win.row.impressions)}
                  </FigureRows>{' '}
                  impressions
                </span>
                <span className={win.targeting === 'none' ? 'text-ochre' : 'text-soft'}>
                  {TARGETING[win.targeting]}
                </span>
                <span className="text-right text-ochre">
                  <FigureRows
                    source={rowsOf(win)}
                    title={`Clicks to win with “${win.row.query}”`}
                    way={WAYS.toWin}
                  >
                    {`+${countInWords(win.gain)}`}
                  </FigureRows>
                </span>
                <span>
                  {win.targeting === 'none' && !win.meant && (
                    <Button look="word" onClick={() => onWrite(win.row.query)}>
                      Write a new one
                    </Button>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
