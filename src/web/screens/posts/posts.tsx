import { CalendarClock, Download, FileUp, Plus, Trash2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { STATUSES } from '../../../core/draft/index.ts';
import { attempt } from '../../state/attempt.ts';
import { useColumns } from '../../state/use-columns.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { droppedFiles } from '../../ui/dropped-files.ts';
import { Empty, None } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { ColumnChoice } from '../../ui/grid/column-choice.tsx';
import { DataGrid } from '../../ui/grid/data-grid.tsx';
import { SearchField } from '../../ui/search-field.tsx';
import { STATUS_NAMES } from '../../ui/status-names.ts';
import { WaitingRows } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { useZone } from '../../ui/zone.ts';
import { beginFrom, deletePosts, exportPosts, newPost } from './post-actions.ts';
import { CHOICES, nameOfLine, postColumns } from './post-columns.tsx';
import { type ListWish, type PostLine, type SortKey, shownLines } from './post-table.ts';
import { PostsHead } from './posts-head.tsx';
import { usePosts } from './use-posts.ts';

// A row of posts is scheduled now and then: its parts come when they are asked for.
const ScheduleDialog = lazy(() =>
  import('./schedule-dialog.tsx').then((module) => ({ default: module.ScheduleDialog })),
);

const ROW = 46;
const COLUMN_IDS = CHOICES.map(({ id }) => id);

/** The list of posts. */
export function Posts() {
  const { site, lines, trash } = usePosts();
  const zone = useZone();
  const navigate = useNavigate();
  const [wish, setWish] = useState<ListWish>({
    search: '',
    status: 'all',
    sort: 'changed',
    descending: true,
  });
  const [scheduling, setScheduling] = useState(false);
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const { hidden, shown: shownColumns, choose } = useColumns('posts', COLUMN_IDS);
  const shown = useMemo(() => shownLines(lines ?? [], wish), [lines, wish]);
  const chosen = shown.filter(({ row }) => selected.has(row.id)).map(({ row }) => row.id);

  const open = (id: string | null) => id !== null && navigate(`/posts/${id}/target`);
  const create = () => site && attempt(newPost(site).then(open));
  const fromTalk = () => site && attempt(newPost(site).then((id) => navigate(`/posts/${id}/talk`)));
  const guided = () => site && attempt(newPost(site).then((id) => navigate(`/posts/${id}/start`)));
  const { state: asked } = useLocation();
  const begun = useRef(false);
  useEffect(() => {
    // Asked for from the palette, wherever that was opened; Back leads past it.
    if (asked !== 'new post' || !site || begun.current) return;
    begun.current = true;
    const begin = async () => navigate(`/posts/${await newPost(site)}/target`, { replace: true });
    attempt(begin(), 'A post could not be begun');
  }, [asked, site, navigate]);
  const remove = (ids: readonly string[], name = '') =>
    attempt(deletePosts(ids, name).then(() => setSelected(new Set())));
  // biome-ignore lint/correctness/useExhaustiveDependencies: columns stay the same ones while the list stands.
  const columns = useMemo(
    () =>
      postColumns({
        zone,
        startFrom: ({ row }) => attempt(beginFrom(row.id).then(open)),
        remove: (line) => remove([line.row.id], nameOfLine(line)),
      }),
    [zone],
  );

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
              import('../../state/import/importer.ts').then(({ importFiles }) =>
                importFiles(site, files, 'leave'),
              ),
            );
            navigate('/import');
          }),
        );
      }}
    >
      <PostsHead>
        <p className="text-soft">
          {lines &&
            `${shown.length === lines.length ? '' : `${shown.length} of `}${counted(lines.length, 'post')}`}
        </p>
        {trash > 0 && (
          <WordLink quiet to="/posts/trash">
            Trash ({trash})
          </WordLink>
        )}
        <div className="ml-auto flex flex-wrap items-center gap-2">
          <SearchField
            name="Search posts"
            placeholder="Title, keyword or slug"
            value={wish.search}
            onChange={(search) => setWish({ ...wish, search })}
          />
          <Choice
            aria-label="Status"
            value={wish.status}
            onChange={(status) => setWish({ ...wish, status })}
            options={[
              { value: 'all', name: 'Every status' },
              ...STATUSES.map((value) => ({ value, name: STATUS_NAMES[value] })),
            ]}
          />
          <ColumnChoice columns={CHOICES} shown={shownColumns} onChange={choose} />
          <Button
            onClick={() =>
              site && attempt(exportPosts(site.id, chosen.length ? chosen : shown.map(({ row }) => row.id)))
            }
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
            <Button onClick={() => setScheduling(true)}>
              <CalendarClock size={15} aria-hidden />
              Schedule {chosen.length}
            </Button>
          )}
          {chosen.length > 0 && (
            <Button
              onClick={() => remove(chosen, nameOfLine(shown.find(({ row }) => row.id === chosen[0])!))}
            >
              <Trash2 size={15} aria-hidden />
              Delete {chosen.length}
            </Button>
          )}
          <Button onClick={() => navigate('/import')}>
            <FileUp size={15} aria-hidden />
            Import
          </Button>
          <Button onClick={guided}>Guided start</Button>
          <Button onClick={fromTalk}>From a talk</Button>
          <Button look="main" onClick={create}>
            <Plus size={16} aria-hidden />
            New post
          </Button>
        </div>
      </PostsHead>
      {scheduling && site && (
        <Suspense fallback={null}>
          <ScheduleDialog
            site={site}
            lines={shown.filter(({ row }) => selected.has(row.id))}
            onClose={(done) => {
              setScheduling(false);
              if (done) setSelected(new Set());
            }}
          />
        </Suspense>
      )}
      {lines === undefined ? (
        <WaitingRows />
      ) : lines.length === 0 ? (
        <Empty
          title="No posts yet"
          ways={
            <>
              <Button look="main" onClick={create}>
                Begin a post
              </Button>
              <Button onClick={() => navigate('/import')}>Import</Button>
            </>
          }
        >
          This is where your posts stand, with what each would gain next. Begin one with its keyword, or bring
          in what you have: drop files here, or import a folder, a feed or a zip.
        </Empty>
      ) : (
        <div className="flex min-h-0 flex-1 px-4 pb-4">
          <DataGrid<PostLine, string, (typeof columns)[number]['id']>
            name="Posts"
            columns={columns}
            hidden={hidden}
            count={shown.length}
            rowAt={(place) => shown[place]}
            nameOf={nameOfLine}
            rowHeight={ROW}
            minWidth={920}
            sort={{ by: wish.sort, descending: wish.descending }}
            // Only what a post can be sorted by has a heading to press.
            onSort={({ by, descending }) => setWish({ ...wish, sort: by as SortKey, descending })}
            selection={{ selected, onSelect: setSelected, keyAt: (place) => shown[place].row.id }}
            onOpen={({ row }) => navigate(`/posts/${row.id}/write`)}
            none={
              <None>
                No post matches.{' '}
                <Button look="word" onClick={() => setWish({ ...wish, search: '', status: 'all' })}>
                  Show all
                </Button>
              </None>
            }
          />
        </div>
      )}
    </main>
  );
}
