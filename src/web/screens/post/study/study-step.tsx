import { useLiveQuery } from 'dexie-react-hooks';
import { FileDown, FilePlus2, RefreshCw } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { type BroughtPage, writeStudyFile } from '../../../../core/formats/index.ts';
import { regionOf } from '../../../../core/site/index.ts';
import { briefOfPost, changeBrief } from '../../../data/briefs.ts';
import type { StudyRow } from '../../../data/database.ts';
import { storageProblem } from '../../../data/storage.ts';
import { addStudy, changeChoices, changeStudy, goBy, removeStudy, studiesOf } from '../../../data/studies.ts';
import { MarketProblem } from '../../../services/market.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { download } from '../../../ui/download.ts';
import { many } from '../../../ui/figures.ts';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import { Editable } from '../editable.tsx';
import { usePost } from '../post-context.ts';
import { useStudyView } from '../study-view.ts';
import { useStudyRow } from '../use-study-row.ts';
import { BandsPanel } from './bands-panel.tsx';
import { BringPages } from './bring-pages.tsx';
import { ChangePanel } from './change-panel.tsx';
import { NoStudy } from './no-study.tsx';
import { OpenedPage } from './opened-page.tsx';
import { PagesTable } from './pages-table.tsx';
import { QuestionsTab } from './questions-tab.tsx';
import { bringPages, studyResults } from './start-study.ts';
import { StatementsTab } from './statements-tab.tsx';
import { TermMatrix } from './term-matrix.tsx';
import { TermPanel, TermsTab } from './terms-tab.tsx';
import { TopicsTab } from './topics-tab.tsx';
import { UnsaidTab } from './unsaid-tab.tsx';

const TABS = ['pages', 'terms', 'matrix', 'topics', 'questions', 'figures', 'unsaid'] as const;
type Tab = (typeof TABS)[number];
const TAB_NAMES: Record<Tab, string> = {
  pages: 'Pages',
  terms: 'Terms',
  matrix: 'Terms by page',
  topics: 'Topics',
  questions: 'Questions',
  figures: 'Figures',
  unsaid: 'What nobody says',
};

/** Study: the pages that answer the keyword, what they share, and what none of them says. */
export function StudyStep() {
  const { session, site } = usePost();
  const row = useStudyRow(session.siteId, session.id);
  const fields = useAppSelector((state) => state.openPost.fields);
  const others = useLiveQuery(() => studiesOf(session.siteId), [session.siteId]) ?? [];
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [bringing, setBringing] = useState(false);
  const wanted = {
    siteId: session.siteId,
    postId: session.id,
    query: fields.keyword.trim(),
    region: regionOf(site),
  };

  const run = async (before: StudyRow | null) => {
    setBusy(true);
    setProblem('');
    try {
      const query = before ? before.query : wanted.query;
      const found = await studyResults(
        { ...wanted, query, region: before?.region ?? wanted.region },
        before,
        new Date().toISOString(),
      );
      if (!found)
        setProblem(`No page is known that answers "${query}". Bring saved pages or their text instead.`);
    } catch (error) {
      setProblem(error instanceof MarketProblem ? error.message : storageProblem(error));
    } finally {
      setBusy(false);
    }
  };
  const bring = async (pages: BroughtPage[]) => {
    const read = await bringPages(wanted, row ?? null, pages, new Date().toISOString());
    const broken = pages.filter((page) => page.problem).length;
    if (read > 0)
      toast(`${many(read, 'page')} brought${broken ? `; ${many(broken, 'file')} could not be read` : ''}.`);
    return read;
  };
  if (row === undefined) return <Waiting className="m-6 h-60" />;
  const shareable = others.filter(
    ({ id, posts, facts }) => id !== row?.id && facts !== null && posts.length > 0,
  );
  return (
    <main className="flex h-full flex-col overflow-auto">
      {problem && (
        <p role="alert" className="px-6 pt-3 text-rust">
          {problem}
        </p>
      )}
      {bringing && (
        <div className="px-6 pt-4">
          <BringPages onBring={bring} onDone={() => setBringing(false)} />
          <Button look="word" className="mt-2" onClick={() => setBringing(false)}>
            Not now
          </Button>
        </div>
      )}
      {row ? (
        <Found
          row={row}
          busy={busy}
          onAgain={() => attempt(run(row))}
          onBring={() => setBringing(!bringing)}
          otherQuery={
            wanted.query && wanted.query.toLowerCase() !== row.query.toLowerCase() ? wanted.query : ''
          }
          onOther={() => attempt(run(null))}
        />
      ) : (
        <div className="px-6">
          <NoStudy
            keyword={wanted.query}
            others={shareable}
            busy={busy}
            onResults={() => attempt(run(null))}
            onBring={() => setBringing(true)}
            onShare={(id) => attempt(goBy(session.siteId, session.id, id))}
          />
        </div>
      )}
    </main>
  );
}

/** A study that is there. */
function Found({
  row,
  busy,
  onAgain,
  onBring,
  otherQuery,
  onOther,
}: {
  row: StudyRow;
  busy: boolean;
  onAgain: () => void;
  onBring: () => void;
  /** The keyword, where it is another by now. */
  otherQuery: string;
  onOther: () => void;
}) {
  const zone = useZone();
  const { session } = usePost();
  const { fields, words } = useAppSelector((state) => state.openPost);
  const { view, done, problem, stop, again } = useStudyView(row);
  const [tab, setTab] = useState<Tab>('pages');
  const [opened, setOpened] = useState('');
  const [term, setTerm] = useState('');
  const brief = useLiveQuery(() => briefOfPost(session.siteId, session.id), [session]);
  const keys = useMemo(() => view?.study.terms.map(({ key }) => key) ?? [], [view]);
  const stamp = JSON.stringify(row.pages.map(({ left }) => left));
  const length = fields.targetWords ?? Math.max(words, Math.round(view?.study.bands.words?.median ?? 0));

  const take = (addresses: readonly string[], taken: boolean) => {
    const set = (left: boolean) => (now: StudyRow) => ({
      pages: now.pages.map((page) => (addresses.includes(page.address) ? { ...page, left } : page)),
    });
    attempt(changeStudy(row.id, set(!taken)));
    if (!taken)
      offerUndo(
        `${many(addresses.length, 'page')} left out.`,
        async () => {
          await changeStudy(row.id, set(false));
        },
        8000,
      );
  };
  const remove = async () => {
    const back = await removeStudy(row.id);
    offerUndo('The study was taken out.', () => back(), 10_000);
  };
  const apart = async () => {
    const copy: StudyRow = { ...row, id: crypto.randomUUID(), revision: 1, posts: [session.id] };
    await addStudy(copy, []);
    toast('This post has a copy of the study for itself now.');
  };
  const file = () => {
    if (!row.facts) return;
    const { query, region, made, pages, facts } = row;
    download(
      `study-${query.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}.json`,
      writeStudyFile({
        query,
        region,
        made,
        pages: pages.map(({ address, publisher, rank, title, left, problem: broken }) => ({
          address,
          publisher,
          rank,
          title,
          taken: !left && !broken,
        })),
        facts,
      }),
      'application/json',
    );
  };
  const chosenTerm = view?.study.terms.find(({ key }) => key === term);
  const counts: Partial<Record<Tab, number>> = view
    ? {
        pages: view.study.taken.length,
        terms: view.study.terms.length,
        topics: view.study.topics.length,
        questions: view.study.questions.length,
        figures: view.study.statements.length,
        unsaid: view.study.unsaid.length,
      }
    : {};
  return (
    <>
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-4 pb-2">
        <h2 className="font-serif text-xl font-semibold">{row.query}</h2>
        <p className="text-[13px] text-soft">
          {row.region}, pages of {dayInWords(row.made, zone)}
          {row.posts.length > 1 ? `, shared by ${many(row.posts.length, 'post')}` : ''}
        </p>
        <div className="ml-auto flex flex-wrap gap-2">
          <Link
            to="../brief"
            relative="path"
            className="inline-flex min-h-8.5 items-center rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft"
          >
            Brief
          </Link>
          <Button onClick={onBring}>
            <FilePlus2 size={15} aria-hidden />
            Bring pages
          </Button>
          <Button disabled={busy} onClick={onAgain}>
            <RefreshCw size={15} aria-hidden />
            {busy ? 'Looking...' : 'Run again'}
          </Button>
          <Button disabled={row.facts === null} onClick={file}>
            <FileDown size={15} aria-hidden />
            Save as JSON
          </Button>
        </div>
      </header>
      {otherQuery && (
        <p className="px-6 pb-2 text-[13px] text-ochre">
          Your keyword is "{otherQuery}" by now; these pages answer "{row.query}".{' '}
          <Button look="word" disabled={busy} onClick={onOther}>
            Study the results for "{otherQuery}"
          </Button>
        </p>
      )}
      {problem && (
        <p role="alert" className="px-6 pb-2 text-rust">
          {problem}{' '}
          <Button look="word" onClick={again}>
            Go on reading
          </Button>
        </p>
      )}
      {done !== null && (
        <p role="status" className="flex items-center gap-3 px-6 pb-2">
          <progress
            value={done}
            max={row.pages.length}
            className="w-40 accent-marram"
            aria-label="Pages read"
          />
          Reading page {Math.min(done + 1, row.pages.length)} of {row.pages.length}
          <Button look="word" onClick={stop}>
            Stop
          </Button>
        </p>
      )}
      {!view ? (
        done === null && !problem ? null : (
          <div aria-busy={done !== null} className="mx-6 mb-6 min-h-60 flex-1 rounded-md bg-sand/40" />
        )
      ) : (
        <div className="flex min-h-0 flex-1 max-[760px]:flex-col">
          <TabSet value={tab} onChange={setTab} className="flex min-w-0 flex-1 flex-col">
            <TabRow
              label="What the pages share"
              tabs={TABS.map((id) => ({ id, name: TAB_NAMES[id], count: counts[id] }))}
              className="px-6 pt-1 pb-3"
            />
            <TabPanel of={tab} className="min-h-0 flex-1 overflow-auto px-6 pb-8">
              {tab === 'pages' && (
                <>
                  {row.earlier && <ChangePanel studyId={row.id} stamp={stamp} />}
                  <PagesTable lines={view.lines} opened={opened} onOpen={setOpened} onTake={take} />
                  <p className="mt-4 flex flex-wrap gap-x-5 gap-y-1 text-[13px]">
                    {row.posts.length > 1 && (
                      <Button look="word" onClick={() => attempt(apart())}>
                        A copy for this post alone
                      </Button>
                    )}
                    <Button look="word" onClick={() => attempt(remove())}>
                      Take the study out
                    </Button>
                  </p>
                </>
              )}
              {tab === 'terms' && (
                <TermsTab
                  terms={view.study.terms}
                  pages={view.study.taken.length}
                  choices={row.choices}
                  length={length}
                  chosen={term}
                  onChoose={setTerm}
                  onChoices={(change) => changeChoices(row.id, change)}
                />
              )}
              {tab === 'matrix' && <TermMatrix terms={view.study.terms} lines={view.lines} />}
              {tab === 'topics' && <TopicsTab topics={view.study.topics} />}
              {tab === 'questions' && (
                <Editable>
                  <QuestionsTab
                    questions={view.study.questions}
                    chosen={fields.questions}
                    onChoose={(text, chosen) =>
                      session.setFields({
                        questions: chosen
                          ? [...fields.questions, text]
                          : fields.questions.filter((each) => each !== text),
                      })
                    }
                  />
                </Editable>
              )}
              {tab === 'figures' && (
                <StatementsTab
                  statements={view.study.statements}
                  chosen={brief?.figures ?? []}
                  onChoose={(statement, chosen) =>
                    attempt(
                      changeBrief(session.siteId, session.id, ({ figures }) => ({
                        figures: chosen
                          ? [...figures, statement]
                          : figures.filter(
                              ({ address, text }) => address !== statement.address || text !== statement.text,
                            ),
                      })),
                    )
                  }
                />
              )}
              {tab === 'unsaid' && <UnsaidTab unsaid={view.study.unsaid} />}
            </TabPanel>
          </TabSet>
          {(tab === 'pages' || (tab === 'terms' && chosenTerm)) && (
            <aside
              aria-label={tab === 'terms' ? 'Term' : opened ? 'Page' : 'Bands'}
              className="w-[340px] shrink-0 overflow-auto border-l max-[760px]:w-full max-[760px]:border-t max-[760px]:border-l-0"
            >
              {tab === 'terms' && chosenTerm ? (
                <TermPanel studyId={row.id} term={chosenTerm} stamp={stamp} />
              ) : opened ? (
                <OpenedPage studyId={row.id} address={opened} keys={keys} onClose={() => setOpened('')} />
              ) : (
                <BandsPanel study={view.study} lines={view.lines} />
              )}
            </aside>
          )}
        </div>
      )}
    </>
  );
}
