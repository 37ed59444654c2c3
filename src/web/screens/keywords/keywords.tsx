import { ChartScatter, FileUp } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { anyKeyword, type Intent, type KeywordWish, phraseKey } from '../../../core/research/index.ts';
import { regionOf, type SitePage } from '../../../core/site/index.ts';
import { keywordStamp } from '../../data/keyword-chunks.ts';
import { listsOf } from '../../data/lists.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import { changeHouse, currentSite, pagesOf } from '../../data/sites.ts';
import { storageProblem } from '../../data/storage.ts';
import { attempt } from '../../state/attempt.ts';
import { useColumns } from '../../state/use-columns.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { download } from '../../ui/download.ts';
import { None } from '../../ui/empty.tsx';
import { counted, countInWords } from '../../ui/figures.ts';
import { Panes } from '../../ui/panes.tsx';
import { TabPanel, TabRow, TabSet } from '../../ui/tabs.tsx';
import { useMedia } from '../../ui/use-media.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { useZone } from '../../ui/zone.ts';
import type { DeskWish } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';
import { BringFigures } from './bring-figures.tsx';
import { ClustersTab } from './clusters-tab.tsx';
import { FoundTab } from './found-tab.tsx';
import { KeywordDetailPanel, SeedOverview, useDetail } from './keyword-detail.tsx';
import { NothingKnown } from './nothing-known.tsx';
import { COLUMNS, type ColumnKey } from './phrase-columns.tsx';
import { PhraseFilters, savedViews } from './phrase-filters.tsx';
import { PhraseTable } from './phrase-table.tsx';
import { QuestionsTab } from './questions-tab.tsx';
import { RoomHeader } from './room-header.tsx';
import { SearchBar } from './search-bar.tsx';
import { seedsOf } from './seeds.ts';
import { SelectionBar } from './selection-bar.tsx';
import { copyKeywords, csvTaken, phrasesTaken, type Taken } from './taken-phrases.ts';
import { useDeskView, useLines, usePoints, useRegions, useSiteRefreshes } from './use-desk.ts';
import { useMarket } from './use-market.ts';
import { useMeant } from './use-meant.ts';
import { VolumeChart } from './volume-chart.tsx';

const TABS = ['phrases', 'questions', 'clusters', 'pages'] as const;
type Tab = (typeof TABS)[number];
const TAB_NAMES: Record<Tab, string> = {
  phrases: 'Phrases',
  questions: 'Questions',
  clusters: 'Clusters',
  pages: 'Pages found',
};
const COLUMN_IDS = COLUMNS.map(({ id }) => id);
const HIDDEN_AT_FIRST: ColumnKey[] = ['why', 'source'];
/** One and the same each time, so that nothing is computed anew for it. */
const NONE: readonly string[] = [];
const LEFT_OUT: ReadonlySet<ColumnKey> = new Set(['season', 'intent', 'held', 'lists', 'source']);
const SIDE_LEFT_OUT: ReadonlySet<ColumnKey> = new Set(['season', 'lists', 'source']);
const NOTHING: ReadonlySet<ColumnKey> = new Set();
const NO_PAGES: readonly SitePage[] = [];

/** Keywords: what people type around a seed, what of it is within reach, and onto which list it goes. */
export function Keywords() {
  const site = useLiveQuery(currentSite);
  return site ? <Desk key={site.id} site={site} /> : <Waiting />;
}

function Desk({ site }: { site: SiteRow }) {
  const zone = useZone();
  const [params, setParams] = useSearchParams();
  const typed = params.get('seed') ?? '';
  const tab = TABS.find((name) => name === params.get('show')) ?? 'phrases';
  const bringing = params.get('show') === 'figures';
  const region = params.get('region') ?? regionOf(site);
  const stamp = useLiveQuery(() => keywordStamp(site.id), [site.id]);
  const lists = useLiveQuery(() => listsOf(site.id), [site.id]) ?? [];
  const posts = useLiveQuery(() => postsOf(site.id), [site.id]);
  const pages = useLiveQuery(async () => (await pagesOf(site.id)) ?? [], [site.id]) ?? NO_PAGES;
  const [wish, setWish] = useState<KeywordWish>({ ...anyKeyword });
  const { shown: columns, choose: setColumns } = useColumns('phrases', COLUMN_IDS, HIDDEN_AT_FIRST);
  const [selected, setSelected] = useState<ReadonlySet<number>>(new Set());
  const [opened, setOpened] = useState<string | null>(null);
  const [charted, setCharted] = useState(false);
  const { seeds, note } = useMemo(
    () => seedsOf(typed, site, posts ?? [], pages),
    [typed, site, posts, pages],
  );
  const search = useMarket(site.id, seeds, region);
  const meant = useMeant(site.id, seeds, region, `${stamp} ${search.at}`);

  const listed = useMemo(() => lists.flatMap(({ phrases }) => phrases.map(phraseKey)), [lists]);
  const listNames = useMemo(() => {
    const names = new Map<string, string[]>();
    for (const { name, phrases } of lists)
      for (const phrase of phrases)
        names.set(phraseKey(phrase), [...(names.get(phraseKey(phrase)) ?? []), name]);
    return names;
  }, [lists]);
  const asked: DeskWish = { seeds, region, wish, listed: wish.onNoList ? listed : NONE };
  const refreshes = useSiteRefreshes(site);
  const { view, problem } = useDeskView(site.id, asked, `${stamp} ${refreshes}`);
  const { lineAt, show } = useLines(site.id, view);
  const seedDetail = useDetail(
    site.id,
    seeds.length === 1 ? seeds[0] : null,
    region,
    `${stamp} ${search.at} ${refreshes}`,
  );
  const detail = useDetail(site.id, opened, region, `${stamp} ${refreshes}`);
  const regions = useRegions(site.id, region, stamp);
  const points = usePoints(site.id, charted ? view : null);

  // biome-ignore lint/correctness/useExhaustiveDependencies: another search has other rows.
  useEffect(() => setSelected(new Set()), [typed, region]);
  const go = (next: Record<string, string>) =>
    setParams((before) => ({ ...Object.fromEntries(before), ...next }));
  const [questions, setQuestions] = useState<ReadonlySet<string>>(new Set());
  const taken: Taken =
    tab === 'questions' ? { questions, asked: search.questions } : { rows: selected, view };
  const csv = () => csvTaken(site.id, taken, region, zone);
  const count = tab === 'questions' ? questions.size : selected.size;
  const setIntent = async (row: number, intent: Intent | null) => {
    try {
      await (await researchWorker()).setIntent(site.id, row, intent);
    } catch (error) {
      toast(storageProblem(error));
    }
  };
  const empty = view !== null && view.all === 0;
  // Beside an open column a narrow window has room for the figures alone.
  const narrow = useMedia('(max-width: 1150px)');
  const medium = useMedia('(max-width: 1450px)');
  const left = !(charted || detail) ? NOTHING : narrow ? LEFT_OUT : medium ? SIDE_LEFT_OUT : NOTHING;
  return (
    <main className="flex h-full flex-col">
      <RoomHeader line={false}>
        <Button onClick={() => go({ show: 'figures' })}>
          <FileUp size={15} aria-hidden />
          Bring figures
        </Button>
      </RoomHeader>
      <SearchBar
        key={typed}
        typed={typed}
        region={region}
        regions={regions}
        onSearch={(seed, place) => setParams({ seed, region: place })}
      />
      <p role="status" className="min-h-5 px-6 pt-1 text-[13px] text-soft">
        {search.problem ? (
          <span className="text-rust">{search.problem}</span>
        ) : search.busy ? (
          'Looking...'
        ) : meant ? (
          <>
            Did you mean{' '}
            <Button look="word" onClick={() => setParams({ seed: meant, region })}>
              {meant}
            </Button>
            ?
          </>
        ) : (
          note
        )}
      </p>
      {bringing ? (
        <BringFigures siteId={site.id} region={region} onDone={() => go({ show: 'phrases' })} />
      ) : (
        <Panes
          name="keywords"
          main={
            <TabSet
              value={tab}
              onChange={(show) => go({ show })}
              className="flex min-h-0 min-w-0 flex-1 flex-col"
            >
              {seedDetail && view && (
                <SeedOverview detail={seedDetail} related={view.rows.length} volume={view.volume} />
              )}
              <div className="flex flex-wrap items-center gap-4 px-6 pt-2">
                <TabRow
                  label="What is shown"
                  tabs={TABS.map((id) => ({
                    id,
                    name: TAB_NAMES[id],
                    count:
                      id === 'phrases' && view
                        ? countInWords(view.rows.length)
                        : id === 'questions'
                          ? search.questions.length || null
                          : null,
                  }))}
                />
                <div className="ml-auto flex flex-wrap items-center gap-3">
                  <span role="status" className="text-[13px] text-soft">
                    {count > 0 ? `${countInWords(count)} selected` : ''}
                  </span>
                  <SelectionBar
                    siteId={site.id}
                    region={region}
                    count={count}
                    lists={lists}
                    phrases={() => phrasesTaken(site.id, taken)}
                    onCopy={() => attempt(csv().then(copyKeywords))}
                    onDownload={() =>
                      attempt(csv().then((text) => download('keywords.csv', text, 'text/csv')))
                    }
                  />
                  <Button
                    aria-pressed={charted}
                    onClick={() => setCharted(!charted)}
                    className={charted ? 'border-marram! text-marram' : ''}
                  >
                    <ChartScatter size={15} aria-hidden />
                    Chart
                  </Button>
                </div>
              </div>
              {tab !== 'questions' && (
                <PhraseFilters
                  wish={wish}
                  setWish={(patch) => setWish({ ...wish, ...patch })}
                  columns={columns}
                  setColumns={setColumns}
                  views={savedViews(site)}
                  setViews={(views) =>
                    attempt(changeHouse(site.id, (house) => ({ ...house, keywordViews: views })))
                  }
                />
              )}
              {problem && (
                <p role="alert" className="px-6 py-4 text-rust">
                  The phrases could not be shown: {problem}. Reload the page.
                </p>
              )}
              <TabPanel of={tab} className="flex min-h-0 flex-1 flex-col outline-none">
                {tab === 'questions' ? (
                  <QuestionsTab questions={search.questions} selected={questions} onSelect={setQuestions} />
                ) : empty && !search.busy ? (
                  <NothingKnown seeds={seeds} region={region} onBring={() => go({ show: 'figures' })} />
                ) : !view || empty ? (
                  <Waiting className="mx-6 my-3 flex-1" />
                ) : tab === 'phrases' ? (
                  view.rows.length === 0 ? (
                    <None>
                      None of {counted(view.all, 'phrase')} passes these filters.{' '}
                      <Button
                        look="word"
                        onClick={() =>
                          setWish({ ...anyKeyword, sort: wish.sort, descending: wish.descending })
                        }
                      >
                        Take the filters off
                      </Button>
                    </None>
                  ) : (
                    <div className="flex min-h-0 flex-1 px-4 pb-2">
                      <PhraseTable
                        view={view}
                        columns={columns.filter(
                          (key) => !(left.has(key) || (key === 'why' && seeds.length === 0)),
                        )}
                        wish={wish}
                        onSort={(sort, descending) => setWish({ ...wish, sort, descending })}
                        lineAt={lineAt}
                        show={show}
                        selected={selected}
                        onSelect={setSelected}
                        listsOf={(phrase) => listNames.get(phraseKey(phrase)) ?? NONE}
                        onOpen={({ keyword }) => {
                          setOpened(opened === keyword.phrase ? null : keyword.phrase);
                          setCharted(false);
                        }}
                        opened={charted ? null : opened}
                      />
                    </div>
                  )
                ) : tab === 'clusters' ? (
                  <ClustersTab siteId={site.id} view={view} selected={selected} onSelect={setSelected} />
                ) : (
                  <FoundTab siteId={site.id} view={view} onSelect={setSelected} />
                )}
              </TabPanel>
            </TabSet>
          }
          side={
            (charted || detail) && !empty ? (
              <aside aria-label={charted ? 'Chart' : 'Figures'} className="min-h-0 flex-1 overflow-auto">
                {charted ? (
                  <VolumeChart points={points} selected={selected} onSelect={setSelected} />
                ) : (
                  detail && (
                    <KeywordDetailPanel
                      detail={detail}
                      onIntent={(row, intent) => attempt(setIntent(row, intent))}
                    />
                  )
                )}
              </aside>
            ) : null
          }
          sideName={charted ? 'the chart' : 'the figures'}
          sideWidth={330}
          below={760}
        />
      )}
    </main>
  );
}
