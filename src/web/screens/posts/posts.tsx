import { useVirtualizer } from '@tanstack/react-virtual';
import { useLiveQuery } from 'dexie-react-hooks';
import { Download, FileUp, Plus, Search, Trash2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { emptyDraft, STATUSES } from '../../../core/draft/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { addPost, postsOfInSlices, setDeleted } from '../../data/posts.ts';
import { scoresOf } from '../../data/scores.ts';
import { currentSite } from '../../data/sites.ts';
import { staleScores } from '../../data/stale-scores.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Check } from '../../ui/check-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { dayInWords } from '../../ui/day.ts';
import { download } from '../../ui/download.ts';
import { droppedFiles } from '../../ui/dropped-files.ts';
import { ToWin } from '../../ui/earned.tsx';
import { Empty } from '../../ui/empty.tsx';
import { Ridge } from '../../ui/ridge.tsx';
import { STATUS_NAMES } from '../../ui/status-names.ts';
import { useZone } from '../../ui/zone.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';
import { type ListWish, type PostLine, type SortKey, shownLines } from './post-table.ts';
import { RowActions } from './row-actions.tsx';

const COLUMNS: { key: SortKey; name: string }[] = [
  { key: 'title', name: 'Post' },
  { key: 'status', name: 'Status' },
  { key: 'keyword', name: 'Keyword' },
  { key: 'words', name: 'Words' },
  { key: 'score', name: 'Score' },
];
const GRID =
  'grid grid-cols-[34px_minmax(180px,2.5fr)_76px_minmax(110px,1.2fr)_52px_172px_minmax(150px,1.9fr)_102px] items-center gap-x-3 px-2 max-[760px]:grid-cols-[24px_1fr_auto]';
/** Columns that a phone leaves out. */
const WIDE = 'max-[760px]:hidden';
const ROW = 46;
/** Milliseconds from the list to the refreshing of its scores. */
const SCORES_AFTER = 250;
/** Posts up to which the page itself looks whether scores are out of date. */
const FEW = 200;

/** The list of posts. */
export function Posts() {
  const site = useLiveQuery(currentSite);
  const siteId = site?.id;
  const rows = useLiveQuery(async () => (siteId ? postsOfInSlices(siteId) : undefined), [siteId]);
  // Scores come in many steps while they are worked out; posts need not be read again for each.
  const scores = useLiveQuery(async () => (siteId ? scoresOf(siteId) : undefined), [siteId]);
  const lines = useMemo(
    () => rows && scores && rows.map((row): PostLine => ({ row, score: scores.get(row.id) })),
    [rows, scores],
  );
  const [wish, setWish] = useState<ListWish>({
    search: '',
    status: 'all',
    sort: 'changed',
    descending: true,
  });
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const navigate = useNavigate();
  const revisions = useMemo(() => rows?.map(({ id, revision }) => `${id}${revision}`).join(), [rows]);
  const count = rows?.length ?? 0;

  useEffect(() => {
    if (!site || revisions === undefined) return;
    // The list stands first; the worker that brings its scores up to date comes after it.
    const timer = setTimeout(async () => {
      // A small site is looked through here, so that no worker has to start for nothing.
      if (count > FEW || (await staleScores(site.id))?.stale.length)
        await (await jobsWorker()).refreshScores(site.id);
    }, SCORES_AFTER);
    return () => clearTimeout(timer);
  }, [site, revisions, count]);

  const shown = useMemo(() => shownLines(lines ?? [], wish), [lines, wish]);
  const chosen = shown.filter(({ row }) => selected.has(row.id)).map(({ row }) => row.id);

  const create = async () => {
    if (!site) return;
    const id = await addPost(site.id, crypto.randomUUID(), new Date().toISOString(), {
      fields: houseFields(site.house),
      draft: emptyDraft(),
    });
    navigate(`/posts/${id}/target`);
  };
  const begin = async (originId: string) => {
    const { startFrom } = await import('../../data/start-from.ts');
    const id = await startFrom(originId, crypto.randomUUID(), new Date().toISOString());
    if (id === null) return;
    toast('A new post with the old text: title, keyword, listing, dates and featured picture are empty.');
    navigate(`/posts/${id}/target`);
  };
  const remove = async (ids: readonly string[]) => {
    const names =
      ids.length === 1
        ? `"${lines?.find(({ row }) => row.id === ids[0])?.row.fields.title || 'Untitled'}"`
        : `${ids.length} posts`;
    await setDeleted(ids, new Date().toISOString());
    setSelected(new Set());
    offerUndo(`${names} deleted`, () => setDeleted(ids, ''), 10_000);
  };
  const exportPosts = async (ids: readonly string[]) => {
    if (!site) return;
    const task = jobsWorker().then((jobs) => jobs.exportZip(site.id, [...ids]));
    toast.promise(task, {
      loading: 'Packing the posts...',
      success: `${ids.length} ${ids.length === 1 ? 'post' : 'posts'} packed`,
      error: 'The posts could not be packed. Try a smaller selection.',
    });
    download('posts.zip', await task);
  };

  return (
    <main
      className="flex h-full flex-col"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        attempt(
          droppedFiles(event.dataTransfer).then((files) => {
            if (!site || files.length === 0) return;
            // Reading files is no part of the first page.
            attempt(
              import('../../state/importer.ts').then(({ importFiles }) => importFiles(site, files, 'leave')),
            );
            navigate('/import');
          }),
        );
      }}
    >
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Posts</h1>
        <p className="text-soft">
          {lines
            ? `${shown.length === lines.length ? lines.length : `${shown.length} of ${lines.length}`} ${lines.length === 1 ? 'post' : 'posts'}`
            : ''}
        </p>
        <div className="ml-auto flex flex-wrap items-center gap-2">
          <label className="flex items-center gap-1.5 rounded-md border bg-sheet px-2">
            <Search size={15} className="text-soft" aria-hidden />
            <span className="sr-only">Search posts</span>
            <input
              type="search"
              placeholder="Title, keyword or slug"
              value={wish.search}
              onChange={(event) => setWish({ ...wish, search: event.target.value })}
              className="w-44 bg-transparent py-1.5 outline-none"
            />
          </label>
          <label>
            <span className="sr-only">Status</span>
            <Choice
              value={wish.status}
              onChange={(status) => setWish({ ...wish, status })}
              options={[
                { value: 'all', name: 'Every status' },
                ...STATUSES.map((value) => ({ value, name: STATUS_NAMES[value] })),
              ]}
            />
          </label>
          <Button
            onClick={() => attempt(exportPosts(chosen.length ? chosen : shown.map(({ row }) => row.id)))}
            disabled={shown.length === 0}
          >
            <Download size={15} aria-hidden />
            {chosen.length
              ? `Export ${chosen.length}`
              : shown.length < (lines?.length ?? 0)
                ? `Export ${shown.length} shown`
                : 'Export all'}
          </Button>
          {chosen.length > 0 && (
            <Button onClick={() => attempt(remove(chosen))}>
              <Trash2 size={15} aria-hidden />
              Delete {chosen.length}
            </Button>
          )}
          <Button onClick={() => navigate('/import')}>
            <FileUp size={15} aria-hidden />
            Import
          </Button>
          <Button look="main" onClick={() => attempt(create())}>
            <Plus size={16} aria-hidden />
            New post
          </Button>
        </div>
      </header>
      {lines === undefined ? (
        <div aria-busy="true" className="mx-6 flex-1 space-y-2 py-4">
          {['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((key) => (
            <div key={key} className="h-9 rounded-md bg-sand/40" />
          ))}
        </div>
      ) : lines.length === 0 ? (
        <NoPosts onNew={() => attempt(create())} onImport={() => navigate('/import')} />
      ) : (
        <Table
          shown={shown}
          wish={wish}
          setWish={setWish}
          selected={selected}
          setSelected={setSelected}
          remove={(id) => attempt(remove([id]))}
          startFrom={(id) => attempt(begin(id))}
        />
      )}
    </main>
  );
}

function NoPosts({ onNew, onImport }: { onNew: () => void; onImport: () => void }) {
  return (
    <Empty
      title="No posts yet"
      ways={
        <>
          <Button look="main" onClick={onNew}>
            Begin a post
          </Button>
          <Button onClick={onImport}>Import</Button>
        </>
      }
    >
      This is where your posts stand, with what each would gain next. Begin one with its keyword, or bring in
      what you have: drop files here, or import a folder, a feed or a zip.
    </Empty>
  );
}

interface TableProps {
  shown: PostLine[];
  wish: ListWish;
  setWish: (wish: ListWish) => void;
  selected: ReadonlySet<string>;
  setSelected: (selected: ReadonlySet<string>) => void;
  remove: (id: string) => void;
  startFrom: (id: string) => void;
}

function Table({ shown, wish, setWish, selected, setSelected, remove, startFrom }: TableProps) {
  const zone = useZone();
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 5,
  });
  const sortBy = (key: SortKey) =>
    setWish({
      ...wish,
      sort: key,
      descending:
        wish.sort === key ? !wish.descending : key === 'changed' || key === 'score' || key === 'words',
    });
  const all = shown.length > 0 && shown.every(({ row }) => selected.has(row.id));
  const toggle = (id: string) => {
    const next = new Set(selected);
    if (!next.delete(id)) next.add(id);
    setSelected(next);
  };
  const heading = (key: SortKey, name: string) => (
    <div
      key={key}
      className={key === 'title' || key === 'score' ? '' : WIDE}
      role="columnheader"
      aria-sort={wish.sort === key ? (wish.descending ? 'descending' : 'ascending') : 'none'}
    >
      <button
        type="button"
        onClick={() => sortBy(key)}
        className={`text-left hover:text-ink ${wish.sort === key ? 'font-semibold text-ink' : ''}`}
      >
        {name}
        {wish.sort === key ? (wish.descending ? ' ↓' : ' ↑') : ''}
      </button>
    </div>
  );
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-auto px-4 pb-4">
      <div
        role="table"
        aria-label="Posts"
        aria-rowcount={shown.length + 1}
        className="min-w-[920px] text-[13px] max-[760px]:min-w-0"
      >
        <div role="rowgroup" className="sticky top-0 z-10 bg-paper">
          <div role="row" className={`${GRID} border-b py-2 text-soft`}>
            <div role="columnheader">
              <Check
                name="Select all shown"
                checked={all}
                onChange={() => setSelected(new Set(all ? [] : shown.map(({ row }) => row.id)))}
              />
            </div>
            {COLUMNS.map(({ key, name }) => heading(key, name))}
            <div role="columnheader" className={WIDE}>
              First to mend
            </div>
            {heading('changed', 'Changed')}
          </div>
        </div>
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const { row, score } = shown[index];
            const { title, status, keyword } = row.fields;
            const name = title || 'Untitled';
            return (
              <div
                // Rows are filled anew when the order changes: taking them out and in would cost far more.
                key={index}
                role="row"
                aria-rowindex={index + 2}
                className={`${GRID} group absolute inset-x-0 border-b hover:bg-sheet`}
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                <div role="cell">
                  <Check
                    name={`Select ${name}`}
                    checked={selected.has(row.id)}
                    onChange={() => toggle(row.id)}
                  />
                </div>
                <div role="cell" className="min-w-0">
                  <Link
                    to={`/posts/${row.id}/write`}
                    className="block truncate text-[14px] font-semibold hover:text-sea hover:underline"
                    title={name}
                  >
                    {name}
                  </Link>
                </div>
                <div role="cell" className={`text-soft ${WIDE}`}>
                  {STATUS_NAMES[status]}
                </div>
                <div role="cell" className={`truncate ${WIDE}`} title={keyword}>
                  {keyword || '–'}
                </div>
                <div role="cell" className={WIDE}>
                  {score ? score.words.toLocaleString('en') : ''}
                </div>
                <div role="cell" className="flex items-center gap-3">
                  <span className="w-6 font-semibold">
                    {score ? (score.words === 0 && !title ? '–' : Math.round(score.score)) : ''}
                  </span>
                  {score ? (
                    <Ridge groups={score.groups} width={132} height={24} />
                  ) : (
                    <span className="h-4 w-32 rounded bg-sand/40" />
                  )}
                </div>
                <div role="cell" className={`flex min-w-0 items-baseline gap-2 ${WIDE}`}>
                  {score?.first ? (
                    <>
                      <ToWin points={score.first.gain} />
                      <span className="truncate text-soft" title={score.first.advice}>
                        {score.first.advice}
                      </span>
                    </>
                  ) : (
                    <span className="text-soft">{score ? 'Nothing left to win' : ''}</span>
                  )}
                </div>
                <div
                  role="cell"
                  className={`flex items-center justify-between whitespace-nowrap text-soft ${WIDE}`}
                >
                  {dayInWords(row.changed, zone)}
                  <RowActions name={name} startFrom={() => startFrom(row.id)} remove={() => remove(row.id)} />
                </div>
              </div>
            );
          })}
        </div>
        {shown.length === 0 && (
          <p className="px-2 py-8 text-center text-soft">
            No post matches.{' '}
            <Button look="word" onClick={() => setWish({ ...wish, search: '', status: 'all' })}>
              Show all
            </Button>
          </p>
        )}
      </div>
    </div>
  );
}
