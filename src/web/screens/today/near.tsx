import { useCallback } from 'react';
import { Link } from 'react-router';
import type { NearWin } from '../../../core/research/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { figureRows } from '../../state/site/figure-rows.ts';
import { useResearch } from '../../state/use-research.ts';
import { FigureRows } from '../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../ui/figure/figure-ways.ts';
import { countInWords } from '../../ui/figures.ts';
import { Waiting } from '../../ui/waiting.tsx';
import type { ResearchClient } from '../../workers/research-client.ts';
import { LINK, MAX_LINES, Part } from './part.tsx';

/** Queries whose pages stand just behind the first ones. */
export function Near({ site }: { site: SiteRow }) {
  const [found] = useResearch(useCallback((worker: ResearchClient) => worker.nearWins(site.id), [site]));
  if (found === undefined) return <Waiting name="Near wins" className="h-40" />;
  const wins = found?.wins ?? [];
  const rowsOf = ({ row }: NearWin) => figureRows(site.id, row.page, found ? [found] : [], [row.query]);
  return (
    <Part
      title="Near wins"
      empty="Bring the performance export of your site: queries at ranks 4 to 20 are the nearest readers to win."
      more={{ to: '/keywords/near-wins', name: 'Near wins' }}
      shown={wins.length}
    >
      {wins.slice(0, MAX_LINES).map((win) => {
        const { row, page, gain } = win;
        return (
          <li
            key={`${row.query} ${row.page}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t py-2"
          >
            <div className="min-w-0">
              <Link
                to={page ? `/posts/${page.id}/write` : '/keywords/near-wins'}
                className={`${LINK} block truncate`}
              >
                {row.query}
              </Link>
              <p className="truncate text-[13px] text-soft">
                position{' '}
                <FigureRows source={rowsOf(win)} title={`Position for “${row.query}”`} way={WAYS.position}>
                  {row.position.toFixed(1)}
                </FigureRows>
                ,{' '}
                <FigureRows
                  source={rowsOf(win)}
                  title={`Impressions for “${row.query}”`}
                  way={WAYS.impressions}
                >
                  {countInWords(row.impressions)}
                </FigureRows>{' '}
                impressions. {page ? page.title : 'No post of this site.'}
              </p>
            </div>
            <span className="font-semibold whitespace-nowrap text-ochre tabular-nums">
              <FigureRows source={rowsOf(win)} title={`Clicks to win with “${row.query}”`} way={WAYS.toWin}>
                {`+${countInWords(gain)}`}
              </FigureRows>{' '}
              clicks
            </span>
          </li>
        );
      })}
    </Part>
  );
}
