import { useCallback, useState } from 'react';
import { useNavigate } from 'react-router';
import type { SiteRow } from '../../../data/post-rows.ts';
import { currentSite } from '../../../data/sites.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { useResearch } from '../../../state/use-research.ts';
import { Button } from '../../../ui/button.tsx';
import { daysInWords } from '../../../ui/day.ts';
import { Empty } from '../../../ui/empty.tsx';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import type { ResearchClient } from '../../../workers/research-client.ts';
import { SiteHeader } from '../site-header.tsx';
import { BroughtTab } from './brought-tab.tsx';
import { EffectsTab } from './effects-tab.tsx';
import { LosingTab } from './losing-tab.tsx';
import { PagesTab } from './pages-tab.tsx';
import { TitlesTab } from './titles-tab.tsx';
import { UnansweredTab } from './unanswered-tab.tsx';

type View = 'pages' | 'losing' | 'effects' | 'titles' | 'unanswered' | 'brought';
const SCROLLS = 'min-h-0 flex-1 overflow-auto pt-3';

/** What came of posts: search performance over time, by page and by change. */
export function Performance() {
  const site = useLiveQuery(currentSite);
  return site ? <OfSite key={site.id} site={site} /> : <Waiting />;
}

function OfSite({ site }: { site: SiteRow }) {
  const navigate = useNavigate();
  const [tab, setTab] = useState<View>('pages');
  const [view, again] = useResearch(
    useCallback((worker: ResearchClient) => worker.performance(site.id), [site.id]),
  );
  const bring = () => navigate('/keywords?show=figures');
  return (
    <main className="flex h-full flex-col">
      <SiteHeader>{view && <Button onClick={bring}>Bring figures</Button>}</SiteHeader>
      {view === undefined ? (
        <Waiting />
      ) : view === null ? (
        <Empty
          title="Nothing is known yet of what came of your posts"
          ways={
            <Button look="main" onClick={bring}>
              Bring a performance export
            </Button>
          }
        >
          Export your site's search performance by day (query, page, date, clicks, impressions, position) as
          CSV and bring it here, as many periods as you like: nothing counts twice. You then see which posts
          lose and why, and what each change did.
        </Empty>
      ) : (
        <TabSet value={tab} onChange={setTab} className="flex min-h-0 flex-1 flex-col px-6 pb-4">
          <p className="mb-2 text-soft">
            Known from {daysInWords(view.from, view.to)}
            {view.before
              ? `. Clicks of ${daysInWords(view.after.from, view.after.to)}, held against ${daysInWords(view.before.from, view.before.to)}.`
              : '.'}
          </p>
          <TabRow
            label="What came of it"
            tabs={[
              { id: 'pages', name: 'Pages', count: view.pages.length },
              { id: 'losing', name: 'Losing', count: view.losing.length },
              { id: 'effects', name: 'What changes did', count: view.effects.length },
              { id: 'titles', name: 'Titles under the curve', count: view.under.length },
              { id: 'unanswered', name: 'Not answered' },
              { id: 'brought', name: 'Figures brought' },
            ]}
          />
          <TabPanel of="pages" className="flex min-h-0 flex-1 pt-2 data-[state=inactive]:hidden">
            <PagesTab view={view} siteId={site.id} />
          </TabPanel>
          <TabPanel of="losing" className={SCROLLS}>
            <LosingTab view={view} siteId={site.id} />
          </TabPanel>
          <TabPanel of="effects" className={SCROLLS}>
            <EffectsTab view={view} siteId={site.id} />
          </TabPanel>
          <TabPanel of="titles" className={SCROLLS}>
            <TitlesTab view={view} siteId={site.id} />
          </TabPanel>
          <TabPanel of="unanswered" className={SCROLLS}>
            <UnansweredTab view={view} siteId={site.id} />
          </TabPanel>
          <TabPanel of="brought" className={SCROLLS}>
            <BroughtTab siteId={site.id} onChange={again} />
          </TabPanel>
        </TabSet>
      )}
    </main>
  );
}
