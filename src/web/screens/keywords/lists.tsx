import { ArrowDown, ArrowUp, Plus } from 'lucide-react';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { type Overlap, overlapsOf } from '../../../core/research/index.ts';
import { regionOf } from '../../../core/site/index.ts';
import { addToList, holderOfList, holderOfPost, listsOf, moveList } from '../../data/lists.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { useAsking } from '../../state/use-asking.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { Empty } from '../../ui/empty.tsx';
import { counted, countInWords } from '../../ui/figures.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { useFigures, volumeOf } from './list-figures.ts';
import { ListInHand } from './list-in-hand.tsx';
import { OverlapMatrix } from './overlap-matrix.tsx';
import { RoomHeader } from './room-header.tsx';

const now = () => new Date().toISOString();

/** Lists: the phrases of one post each, and where two of them would compete. */
export function Lists() {
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    return site && { site, lists: await listsOf(site.id), posts: await postsOf(site.id) };
  });
  if (!found) return <Waiting />;
  return <ListDesk key={found.site.id} {...found} />;
}

function ListDesk({ site, lists, posts }: { site: SiteRow; lists: ListRow[]; posts: PostRow[] }) {
  const [params, setParams] = useSearchParams();
  const list = lists.find(({ id }) => id === params.get('list')) ?? lists[0];
  const showsMatrix = params.get('show') === 'overlap';
  const figures = useFigures(site.id, lists);
  const holders = useMemo(
    () => [...lists.map(holderOfList), ...posts.flatMap((post) => holderOfPost(post) ?? [])],
    [lists, posts],
  );
  const asking = useAsking(site.id, list?.region || regionOf(site), holders);
  const gravestOf = useMemo(() => {
    const gravest = new Map<string, Overlap>();
    for (const each of lists) {
      // A list and the post that was begun from it hold the same phrases on purpose.
      const others = holders.filter(({ id }) => id !== `post ${each.postId}`);
      const found = overlapsOf(holderOfList(each), others, asking).find(
        ({ degree }) => degree === 'clash' || degree === 'mentioned',
      );
      if (found) gravest.set(each.id, found);
    }
    return gravest;
  }, [lists, holders, asking]);
  const create = async () => {
    const { list: made } = await addToList(
      site.id,
      { name: `List ${lists.length + 1}`, region: regionOf(site) },
      [],
      now(),
    );
    setParams({ list: made.id });
  };
  return (
    <main className="flex h-full flex-col">
      <RoomHeader>
        {lists.length > 1 && (
          <Button
            onClick={() => setParams(showsMatrix ? {} : { show: 'overlap' })}
            aria-pressed={showsMatrix}
          >
            {showsMatrix ? 'Back to the lists' : 'All overlaps'}
          </Button>
        )}
        <Button look="main" onClick={() => attempt(create())}>
          <Plus size={16} aria-hidden />
          New list
        </Button>
      </RoomHeader>
      {lists.length === 0 ? (
        <Empty
          title="No lists yet"
          ways={
            <>
              <Button look="main" onClick={() => attempt(create())}>
                Begin a list
              </Button>
              <WordLink to="/keywords" className="self-center">
                Find phrases
              </WordLink>
            </>
          }
        >
          A list holds the phrases of one post: one primary keyword, the rest supporting. Select phrases under
          Phrases and press "Add to list", or begin an empty one and paste into it.
        </Empty>
      ) : showsMatrix ? (
        <OverlapMatrix holders={holders} lists={lists} asking={asking} />
      ) : (
        <div className="flex min-h-0 flex-1 max-[900px]:flex-col">
          <nav
            aria-label="Lists"
            className="w-[250px] shrink-0 overflow-auto border-r px-3 py-3 max-[900px]:w-full max-[900px]:border-r-0 max-[900px]:border-b"
          >
            <ul>
              {lists.map((each, at) => {
                const gravest = gravestOf.get(each.id);
                return (
                  <li
                    key={each.id}
                    className={`group mb-1 flex items-start gap-1 rounded-md border px-2 py-1.5 ${each.id === list.id ? 'bg-sheet' : 'border-transparent'}`}
                  >
                    <button
                      type="button"
                      aria-current={each.id === list.id}
                      onClick={() => setParams({ list: each.id })}
                      className="min-w-0 flex-1 text-left"
                    >
                      <span className={`block truncate ${each.id === list.id ? 'font-semibold' : ''}`}>
                        {each.name}
                      </span>
                      <span className="block text-[13px] text-soft">
                        {counted(each.phrases.length, 'phrase')}, {countInWords(volumeOf(each, figures))}{' '}
                        searches
                      </span>
                      {gravest && (
                        <span className="block truncate text-[13px] text-ochre">
                          {gravest.degree === 'clash' ? 'Clashes with' : 'Overlaps'} {gravest.holder.name}
                        </span>
                      )}
                    </button>
                    <span className="flex flex-col opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
                      <IconButton
                        name={`Move ${each.name} up`}
                        icon={ArrowUp}
                        size={13}
                        className="p-0!"
                        disabled={at === 0}
                        onClick={() => attempt(moveList(site.id, each.id, -1))}
                      />
                      <IconButton
                        name={`Move ${each.name} down`}
                        icon={ArrowDown}
                        size={13}
                        className="p-0!"
                        disabled={at === lists.length - 1}
                        onClick={() => attempt(moveList(site.id, each.id, 1))}
                      />
                    </span>
                  </li>
                );
              })}
            </ul>
          </nav>
          <ListInHand
            key={list.id}
            site={site}
            list={list}
            posts={posts}
            holders={holders}
            asking={asking}
            figures={figures}
            onGone={() => setParams({})}
          />
        </div>
      )}
    </main>
  );
}
