import { useVirtualizer } from '@tanstack/react-virtual';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { emptyDraft } from '../../../core/draft/index.ts';
import type { FigureSource, NearWin, Targeting } from '../../../core/research/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { addPost } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { countInWords, many } from '../../ui/figures.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { researchWorker } from '../../workers/research-client.ts';
import { RoomNav } from './room-nav.tsx';

const TARGETING: Record<Targeting, string> = {
  primary: 'its primary keyword',
  supporting: 'a supporting keyword',
  title: 'only in its title',
  none: 'not targeted',
};
const GRID =
  'grid grid-cols-[minmax(150px,1.5fr)_76px_90px_66px_minmax(160px,1.7fr)_130px_84px_170px] items-center gap-x-3 px-2';
const ROW = 44;

interface Found {
  source: FigureSource;
  queries: number;
  wins: NearWin[];
}

/** Near wins: queries for which a page of the site stands just behind. */
export function NearWins() {
  const site = useLiveQuery(currentSite);
  const [found, setFound] = useState<Found | null | undefined>(undefined);
  const [byPage, setByPage] = useState(false);
  const navigate = useNavigate();
  useEffect(() => {
    if (!site) return;
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.nearWins(site.id))
        .then((wins) => !late && setFound(wins)),
    );
    return () => {
      late = true;
    };
  }, [site]);
  if (!site || found === undefined) return <Waiting />;
  const write = async (query: string) => {
    const id = await addPost(site.id, crypto.randomUUID(), new Date().toISOString(), {
      fields: { ...houseFields(site.house), keyword: query },
      draft: emptyDraft(),
    });
    navigate(`/posts/${id}/target`);
  };
  return (
    <main className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Keywords</h1>
        <RoomNav />
        <div className="ml-auto flex items-center gap-2">
          {found && (
            <Button aria-pressed={byPage} onClick={() => setByPage(!byPage)}>
              {byPage ? 'As one table' : 'By page'}
            </Button>
          )}
          <Button onClick={() => navigate('/keywords?show=figures')}>Bring a performance export</Button>
        </div>
      </header>
      {!found ? (
        <div className="mx-auto mt-16 max-w-md text-center">
          <h2 className="mb-2 font-serif text-xl font-semibold">No performance export yet</h2>
          <p className="mb-4 text-soft">
            Queries at which your pages stand at ranks 4 to 20 are the nearest readers to win. Export your
            site's search performance (query, page, clicks, impressions, position) as CSV and bring it here.
          </p>
          <Button look="main" onClick={() => navigate('/keywords?show=figures')}>
            Bring a performance export
          </Button>
        </div>
      ) : found.wins.length === 0 ? (
        <p className="px-6 py-10 text-center text-soft">
          Of {many(found.queries, 'query row')} none stands at ranks 4 to 20 with ten impressions or more.
        </p>
      ) : (
        <>
          <p className="px-6 py-2 text-soft">
            {many(found.wins.length, 'query', 'queries')} at ranks 4 to 20 of {many(found.queries, 'row')} in{' '}
            {found.source.name}, {found.source.date}. Clicks to win: impressions at the better rank by the
            click curve in House rules, less the clicks there are.
          </p>
          {byPage ? (
            <ByPage wins={found.wins} onWrite={(query) => attempt(write(query))} />
          ) : (
            <Table wins={found.wins} onWrite={(query) => attempt(write(query))} />
          )}
        </>
      )}
    </main>
  );
}

function Actions({ win, onWrite }: { win: NearWin; onWrite: (query: string) => void }) {
  return (
    <span className="flex flex-wrap gap-x-3">
      {win.page && <WordLink to={`/posts/${win.page.id}/write`}>Improve this post</WordLink>}
      {win.targeting === 'none' && !win.meant && (
        <Button look="word" onClick={() => onWrite(win.row.query)}>
          Write a new one
        </Button>
      )}
    </span>
  );
}

const whereOf = (win: NearWin) =>
  win.page ? win.page.title || 'Untitled' : win.row.page.replace(/^https?:\/\//, '') || 'page not named';

function Table({ wins, onWrite }: { wins: readonly NearWin[]; onWrite: (query: string) => void }) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: wins.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
  });
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-auto px-4 pb-4">
      <div
        role="table"
        aria-label="Near wins"
        aria-rowcount={wins.length + 1}
        className="min-w-[1000px] text-[13px]"
      >
        <div role="rowgroup" className="sticky top-0 z-10 bg-paper">
          <div role="row" className={`${GRID} border-b py-1.5 text-soft`}>
            {[
              'Query',
              'Position',
              'Impressions',
              'Clicks',
              'Page that shows',
              'The query there',
              'To win',
              'What to do',
            ].map((name, at) => (
              <div key={name} role="columnheader" className={[1, 2, 3, 6].includes(at) ? 'text-right' : ''}>
                {name}
              </div>
            ))}
          </div>
        </div>
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const win = wins[index];
            return (
              <div
                key={index}
                role="row"
                aria-rowindex={index + 2}
                className={`${GRID} absolute inset-x-0 border-b hover:bg-sheet`}
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                <div role="cell" className="truncate font-semibold" title={win.row.query}>
                  {win.row.query}
                </div>
                <div role="cell" className="text-right tabular-nums">
                  {win.row.position.toFixed(1)}
                </div>
                <div role="cell" className="text-right tabular-nums">
                  {countInWords(win.row.impressions)}
                </div>
                <div role="cell" className="text-right tabular-nums">
                  {countInWords(win.row.clicks)}
                </div>
                <div role="cell" className="truncate" title={win.row.page}>
                  {whereOf(win)}
                </div>
                <div
                  role="cell"
                  className={`leading-tight ${win.targeting === 'none' ? 'text-ochre' : 'text-soft'}`}
                >
                  {win.meant ? `meant for "${win.meant.title}"` : TARGETING[win.targeting]}
                </div>
                <div role="cell" className="text-right font-semibold text-ochre tabular-nums">
                  +{countInWords(win.gain)}
                </div>
                <div role="cell">
                  <Actions win={win} onWrite={onWrite} />
                </div>
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}

function ByPage({ wins, onWrite }: { wins: readonly NearWin[]; onWrite: (query: string) => void }) {
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
                <span className="text-soft tabular-nums">position {win.row.position.toFixed(1)}</span>
                <span className="text-soft tabular-nums">
                  {countInWords(win.row.impressions)} impressions
                </span>
                <span className={win.targeting === 'none' ? 'text-ochre' : 'text-soft'}>
                  {TARGETING[win.targeting]}
                </span>
                <span className="text-right text-ochre tabular-nums">+{countInWords(win.gain)}</span>
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
