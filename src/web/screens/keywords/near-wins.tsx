import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { emptyDraft } from '../../../core/draft/index.ts';
import type { NearWin } from '../../../core/research/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { addPost } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { figureRows } from '../../state/site/figure-rows.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { dateInWords } from '../../ui/day.ts';
import { Empty, None } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { DataGrid } from '../../ui/grid/data-grid.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { researchWorker } from '../../workers/research-client.ts';
import { nearWinColumns } from './near-win-columns.tsx';
import { NearWinsByPage } from './near-wins-by-page.tsx';
import { RoomHeader } from './room-header.tsx';

const ROW = 44;

interface Found {
  from: string;
  to: string;
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
  const rowsOf = ({ row }: NearWin) => figureRows(site.id, row.page, found ? [found] : [], [row.query]);
  return (
    <main className="flex h-full flex-col">
      <RoomHeader>
        {found && (
          <Button aria-pressed={byPage} onClick={() => setByPage(!byPage)}>
            {byPage ? 'As one table' : 'By page'}
          </Button>
        )}
        <Button onClick={() => navigate('/keywords?show=figures')}>Bring a performance export</Button>
      </RoomHeader>
      {!found ? (
        <Empty
          title="No performance export yet"
          ways={
            <Button look="main" onClick={() => navigate('/keywords?show=figures')}>
              Bring a performance export
            </Button>
          }
        >
          Queries at which your pages stand at ranks 4 to 20 are the nearest readers to win. Export your
          site's search performance (query, page, clicks, impressions, position) as CSV and bring it here.
        </Empty>
      ) : found.wins.length === 0 ? (
        <None>
          Of {counted(found.queries, 'query row')} none stands at ranks 4 to 20 with ten impressions or more.
        </None>
      ) : (
        <>
          <p className="px-6 py-2 text-soft">
            {counted(found.wins.length, 'query', 'queries')} at ranks 4 to 20 of{' '}
            {counted(found.queries, 'row')}, {dateInWords(found.from)} to {dateInWords(found.to)}. Clicks to
            win: impressions at the rank in reach (half of the rank now, at best the one in House rules) by
            the click curve, less the clicks there are.
          </p>
          {byPage ? (
            <NearWinsByPage wins={found.wins} rowsOf={rowsOf} onWrite={(query) => attempt(write(query))} />
          ) : (
            <div className="flex min-h-0 flex-1 px-4 pb-4">
              <DataGrid
                name="Near wins"
                columns={nearWinColumns(rowsOf, (query) => attempt(write(query)))}
                count={found.wins.length}
                rowAt={(place) => found.wins[place]}
                nameOf={({ row }) => row.query}
                rowHeight={ROW}
                minWidth={1000}
              />
            </div>
          )}
        </>
      )}
    </main>
  );
}
