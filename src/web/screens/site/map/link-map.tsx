import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { currentSite } from '../../../data/sites.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Choice } from '../../../ui/choice.tsx';
import { Empty } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { Panes } from '../../../ui/panes.tsx';
import { SearchField } from '../../../ui/search-field.tsx';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import type { SiteMapView } from '../../../workers/site-map.ts';
import { SiteTabs } from '../site-tabs.tsx';
import { useLongLook } from '../use-long-look.ts';
import { FaultList } from './fault-list.tsx';
import { HelpfulList } from './helpful-list.tsx';
import { MapCanvas } from './map-canvas.tsx';
import { type ColourBy, mapColours } from './map-colours.ts';
import { PageInHand } from './page-in-hand.tsx';
import { PageTable } from './page-table.tsx';
import { useSiteMap } from './use-site-map.ts';

/** Which pages the table and the map show. */
const WHICH = ['all', 'orphans', 'deadEnds', 'hubs', 'poorlyNamed'] as const;
type Which = (typeof WHICH)[number];
const WHICH_NAMES: Record<Which, string> = {
  all: 'All pages',
  orphans: 'Posts that nothing links to',
  deadEnds: 'Posts that lead nowhere',
  hubs: 'Pages that hold the site together',
  poorlyNamed: 'Linked to by words that do not name them',
};
type Side = 'pages' | 'help' | 'faults';

/** The link map: the pages of the site with the links in their texts, drawn and as a table; what would help, and what is wrong. */
export function LinkMap() {
  const site = useLiveQuery(currentSite);
  return site ? <SiteLinkMap key={site.id} siteId={site.id} /> : <Waiting />;
}

function SiteLinkMap({ siteId }: { siteId: string }) {
  const view = useSiteMap(siteId);
  const helpful = useLongLook(
    (worker, job, tell) => worker.helpful(siteId, job, tell),
    'The links that help could not be found',
  );
  const faults = useLongLook(
    (worker, job, tell) => worker.faults(siteId, job, tell),
    'The links could not be looked through',
  );
  const [side, setSide] = useState<Side>('pages');
  const [which, setWhich] = useState<Which>('all');
  const [search, setSearch] = useState('');
  const [by, setBy] = useState<ColourBy>('group');
  // By path: another drawing may have other pages.
  const [path, setPath] = useState<string | null>(null);
  const navigate = useNavigate();
  const chosen = useMemo(() => {
    const found = view?.pages.findIndex((page) => page.path === path) ?? -1;
    return found === -1 ? null : found;
  }, [view, path]);
  const choose = useCallback(
    (page: number | null) => setPath(page === null ? null : (view?.pages[page]?.path ?? null)),
    [view],
  );
  const shown = useMemo(() => (view ? shownPages(view, which, search) : []), [view, which, search]);
  const colours = useMemo(
    () => (view ? mapColours(view.pages, view.groups, by) : { tokens: [], keys: [] }),
    [view, by],
  );
  const scene = useMemo(
    () =>
      view && {
        view,
        tokens: colours.tokens,
        chosen,
        sought: shown.length === view.pages.length ? null : new Set(shown.map(({ index }) => index)),
      },
    [view, colours, chosen, shown],
  );
  if (!view || !scene) return <Waiting name="Drawing the map" />;
  const header = (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 px-6 pt-5 pb-3">
      <h1 className="font-serif text-[26px] font-semibold">Site</h1>
      <SiteTabs />
      <p className="text-soft">
        {counted(view.pages.length, 'page')}, {counted(view.links.length, 'link')}
        {view.pieces > 1 ? ` in ${view.pieces} pieces that no link joins` : ''}
      </p>
    </header>
  );
  if (view.links.length === 0)
    return (
      <main className="flex h-full flex-col">
        {header}
        <Empty
          title="No post links to another yet"
          ways={
            <Link
              to="/posts"
              className="rounded-md bg-marram px-3 py-1.5 font-semibold text-paper hover:opacity-90"
            >
              Go to the posts
            </Link>
          }
        >
          The map is drawn from the links in your posts’ texts. While you write, the lens Links offers pages
          that your words speak of.
        </Empty>
      </main>
    );
  const open = (page: number) => {
    const { postId } = view.pages[page];
    if (postId !== null) navigate(`/posts/${postId}/write`);
  };
  const drawn = (
    <section aria-label="Map" className="flex min-h-0 min-w-0 flex-1 flex-col border-t">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 py-2 text-[13px]">
        <label className="flex items-center gap-2">
          Coloured by
          <Choice
            value={by}
            onChange={setBy}
            options={[
              { value: 'group', name: 'groups that link among themselves' },
              { value: 'category', name: 'category' },
              { value: 'score', name: 'score' },
            ]}
          />
        </label>
      </div>
      <MapCanvas
        scene={scene}
        summary={`Link map of ${counted(view.pages.length, 'page')} with ${counted(view.links.length, 'link')}. Arrow keys walk from page to page, Enter opens, plus and minus draw it larger and smaller. The table beside it says the same.`}
        onChoose={choose}
        onOpen={open}
      />
      <ul
        aria-label="Key to the map"
        className="flex flex-wrap gap-x-4 gap-y-1 border-t px-6 py-2 text-[12px] text-soft"
      >
        {colours.keys.map(({ name, token, count }) => (
          <li key={name} className="flex max-w-64 items-center gap-1.5">
            <span
              aria-hidden
              className="size-2.5 shrink-0 rounded-full"
              style={{ background: `var(--c-${token})` }}
            />
            <span className="truncate" title={name}>
              {name}
            </span>{' '}
            {count}
          </li>
        ))}
        <li>A ring is a page that is no post here; the larger, the more weight.</li>
      </ul>
    </section>
  );
  const beside = (
    <section aria-label="Beside the map" className="flex min-h-0 flex-1 flex-col border-t">
      <TabSet value={side} onChange={setSide} className="flex min-h-0 flex-1 flex-col">
        <TabRow
          label="Beside the map"
          className="px-4 py-2.5"
          tabs={[
            { id: 'pages', name: 'Pages' },
            { id: 'help', name: 'Links that help', count: helpful.answer?.length },
            { id: 'faults', name: 'Faults', count: faults.answer?.length },
          ]}
        />
        <TabPanel of="pages" className="flex min-h-0 flex-1 flex-col data-[state=inactive]:hidden">
          {chosen !== null && <PageInHand view={view} page={chosen} onChoose={choose} />}
          <div className="flex flex-wrap items-center gap-2 px-4 py-2 text-[13px]">
            <SearchField
              name="Search the map"
              placeholder="Title or address"
              value={search}
              onChange={setSearch}
            />
            <Choice
              aria-label="Which pages"
              value={which}
              onChange={setWhich}
              className="min-w-0 flex-1 px-2 py-1.5"
              options={WHICH.map((value) => ({
                value,
                name: `${WHICH_NAMES[value]}, ${(value === 'all' ? view.pages : view[value]).length.toLocaleString('en')}`,
              }))}
            />
          </div>
          <div className="flex min-h-0 flex-1 px-2 pb-3 text-[13px]">
            <PageTable pages={shown} chosen={chosen} onChoose={choose} />
          </div>
        </TabPanel>
        <TabPanel of="help" className="min-h-0 flex-1 overflow-auto px-4 pb-6">
          <HelpfulList look={helpful} onChoose={setPath} />
        </TabPanel>
        <TabPanel of="faults" className="min-h-0 flex-1 overflow-auto px-4 pb-6">
          <FaultList look={faults} />
        </TabPanel>
      </TabSet>
    </section>
  );
  return (
    <main className="flex h-full flex-col">
      {header}
      <Panes
        name="link-map"
        main={drawn}
        side={beside}
        sideName="the table"
        sideWidth={470}
        least={340}
        mainLeast={380}
        below={860}
      />
    </main>
  );
}

/** The pages that are looked for. */
function shownPages(view: SiteMapView, which: Which, search: string) {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const among = which === 'all' ? null : new Set(view[which]);
  return view.pages
    .map((page, index) => ({ ...page, index }))
    .filter(
      ({ index, title, path }) =>
        (among === null || among.has(index)) &&
        words.every((word) => `${title} ${path}`.toLowerCase().includes(word)),
    );
}
