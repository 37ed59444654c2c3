import { useLiveQuery } from 'dexie-react-hooks';
import { ChartScatter, FileUp } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import {
  anyKeyword,
  bareKeyword,
  type Intent,
  type KeywordSort,
  type KeywordWish,
  phraseKey,
  writeKeywordTable,
} from '../../../core/research/index.ts';
import { dayIn, regionOf, type SitePage } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/database.ts';
import { keywordStamp } from '../../data/keyword-chunks.ts';
import { listsOf } from '../../data/lists.ts';
import { postsOf } from '../../data/posts.ts';
import { changeHouse, currentSite, pagesOf } from '../../data/sites.ts';
import { storageProblem } from '../../data/storage.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { copyText } from '../../ui/copy-text.ts';
import { download } from '../../ui/download.ts';
import { countInWords, many } from '../../ui/figures.ts';
import { TabPanel, TabRow, TabSet } from '../../ui/tabs.tsx';
import { useMedia } from '../../ui/use-media.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { useZone } from '../../ui/zone.ts';
import { researchWorker } from '../../workers/research-client.ts';
import type { DeskWish } from '../../workers/research-desk.ts';
import { BringFigures } from './bring-figures.tsx';
import { ClustersTab } from './clusters-tab.tsx';
import { FoundTab } from './found-tab.tsx';
import { KeywordDetailPanel, SeedOverview, useDetail } from './keyword-detail.tsx';
import { NothingKnown } from './nothing-known.tsx';
import { PhraseFilters, type SavedView } from './phrase-filters.tsx';
import { COLUMNS, type ColumnKey, PhraseTable } from './phrase-table.tsx';
import { QuestionsTab } from './questions-tab.tsx';
import { RoomNav } from './room-nav.tsx';
import { SearchBar } from './search-bar.tsx';
import { seedsOf } from './seeds.ts';
import { SelectionBar } from './selection-bar.tsx';
import { useDeskView, useLines, useToldOfSite } from './use-desk.ts';
import { useMarket } from './use-market.ts';
import { VolumeChart } from './volume-chart.tsx';

const TABS = ['phrases', 'questions', 'clusters', 'pages'] as const;
type Tab = (typeof TABS)[number];
const TAB_NAMES: Record<Tab, string> = {
  phrases: 'Phrases',
  questions: 'Questions',
  clusters: 'Clusters',
  pages: 'Pages found',
};
const START_COLUMNS: ColumnKey[] = ['volume', 'season', 'difficulty', 'intent', 'opportunity', 'lists'];
/** One and the same each time, so that nothing is computed anew for it. */
const NONE: readonly string[] = [];
const LEFT_OUT: ReadonlySet<ColumnKey> = new Set(['season', 'intent', 'lists', 'source']);
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
  const [columns, setColumns] = useState<ColumnKey[]>(START_COLUMNS);
  const [selected, setSelected] = useState<ReadonlySet<number>>(new Set());
  const [opened, setOpened] = useState<string | null>(null);
  const [charted, setCharted] = useState(false);
  const [points, setPoints] = useState<{ row: number; volume: number; difficulty: number }[]>([]);
  const [regions, setRegions] = useState<string[]>(['GB', 'US']);
  const { seeds, note } = useMemo(
    () => seedsOf(typed, site, posts ?? [], pages),
    [typed, site, posts, pages],
  );
  const search = useMarket(site.id, seeds, region);

  const listed = useMemo(() => lists.flatMap(({ phrases }) => phrases.map(phraseKey)), [lists]);
  const listNames = useMemo(() => {
    const names = new Map<string, string[]>();
    for (const { name, phrases } of lists)
      for (const phrase of phrases)
        names.set(phraseKey(phrase), [...(names.get(phraseKey(phrase)) ?? []), name]);
    return names;
  }, [lists]);
  const asked: DeskWish = { seeds, region, wish, listed: wish.onNoList ? listed : NONE };
  const told = useToldOfSite(site);
  const { view, problem } = useDeskView(site.id, asked, `${stamp} ${told}`);
  const { lineAt, show } = useLines(site.id, view);
  const seedDetail = useDetail(
    site.id,
    seeds.length === 1 ? seeds[0] : null,
    region,
    `${stamp} ${search.at} ${told}`,
  );
  const detail = useDetail(site.id, opened, region, `${stamp} ${told}`);

  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each import, which may bring a region
  useEffect(() => {
    attempt(
      researchWorker()
        .then((worker) => worker.counts(site.id))
        .then((counts) => setRegions([...new Set(['GB', 'US', region, ...Object.keys(counts)])].sort())),
      'The regions of your phrases could not be read',
    );
  }, [site.id, region, stamp]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another search has other rows.
  useEffect(() => setSelected(new Set()), [typed, region]);
  useEffect(() => {
    if (!charted || !view) return;
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.points(site.id, view.rows))
        .then((next) => !late && setPoints(next)),
      'The chart could not be drawn',
    );
    return () => {
      late = true;
    };
  }, [charted, view, site.id]);

  const go = (next: Record<string, string>) =>
    setParams((before) => ({ ...Object.fromEntries(before), ...next }));
  const sortBy = (sort: KeywordSort) =>
    setWish({
      ...wish,
      sort,
      descending: wish.sort === sort ? !wish.descending : sort !== 'phrase' && sort !== 'intent',
    });
  const [questions, setQuestions] = useState<ReadonlySet<string>>(new Set());
  /** In the order of the table; what a filter hides is selected all the same, and comes last. */
  const rowsChosen = () => {
    const shown = view ? [...view.rows].filter((row) => selected.has(row)) : [];
    return [...new Set([...shown, ...selected])];
  };
  const phrases = async () =>
    tab === 'questions'
      ? [...questions]
      : (await (await researchWorker()).lines(site.id, rowsChosen())).map(({ keyword }) => keyword.phrase);
  const csv = async () => {
    if (tab !== 'questions') return (await researchWorker()).csv(site.id, Uint32Array.from(rowsChosen()));
    const source = { name: 'Questions', date: dayIn(zone, new Date()) };
    return writeKeywordTable(
      search.questions
        .filter(({ text }) => questions.has(text))
        .map(({ text, volume }) => ({ ...bareKeyword(text, region, source), volume })),
    );
  };
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
  const left: ReadonlySet<ColumnKey> =
    useMedia('(max-width: 1150px)') && (charted || detail) ? LEFT_OUT : NOTHING;
  return (
    <main className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Keywords</h1>
        <RoomNav />
        <Button className="ml-auto" onClick={() => go({ show: 'figures' })}>
          <FileUp size={15} aria-hidden />
          Bring figures
        </Button>
      </header>
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
        ) : (
          note
        )}
      </p>
      {bringing ? (
        <BringFigures siteId={site.id} region={region} onDone={() => go({ show: 'phrases' })} />
      ) : (
        <div className="flex min-h-0 flex-1 max-[760px]:flex-col max-[760px]:overflow-auto">
          <TabSet value={tab} onChange={(show) => go({ show })} className="flex min-w-0 flex-1 flex-col">
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
                  phrases={phrases}
                  onCopy={() => attempt(csv().then(copyCsv))}
                  onDownload={() => attempt(csv().then((text) => download('keywords.csv', text, 'text/csv')))}
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
                views={viewsOf(site)}
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
                  <p className="px-6 py-10 text-center text-soft">
                    None of {many(view.all, 'phrase')} passes these filters.{' '}
                    <Button
                      look="word"
                      onClick={() => setWish({ ...anyKeyword, sort: wish.sort, descending: wish.descending })}
                    >
                      Take the filters off
                    </Button>
                  </p>
                ) : (
                  <div className="flex min-h-0 flex-1 px-4 pb-2">
                    <PhraseTable
                      view={view}
                      columns={columns.filter(
                        (key) => !(left.has(key) || (key === 'why' && seeds.length === 0)),
                      )}
                      wish={wish}
                      onSort={sortBy}
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
          {(charted || detail) && !empty && (
            <aside
              aria-label={charted ? 'Chart' : 'Figures'}
              className="w-[330px] shrink-0 overflow-auto border-l max-[760px]:w-full max-[760px]:border-t max-[760px]:border-l-0"
            >
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
          )}
        </div>
      )}
    </main>
  );
}

const copyCsv = (text: string) =>
  copyText(
    text,
    `${many(text.trim().split('\n').length - 1, 'row')} copied as CSV.`,
    'keywords.csv',
    'text/csv',
  );

const viewsOf = (site: SiteRow): SavedView[] =>
  (site.house.keywordViews ?? []).map((view) => ({
    ...view,
    columns: COLUMNS.flatMap(({ key }) => (view.columns.includes(key) ? [key] : [])),
  }));
