import { useLiveQuery } from 'dexie-react-hooks';
import { ArrowDown, ArrowUp, Plus, Trash2, X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { emptyDraft } from '../../../core/draft/index.ts';
import {
  type Holder,
  overlapOf,
  overlapsOf,
  phraseKey,
  readPhraseList,
} from '../../../core/research/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import type { ListRow, PostRow, SiteRow } from '../../data/database.ts';
import {
  addToList,
  holderOfList,
  holderOfPost,
  listsOf,
  putLists,
  removeList,
  withPhrases,
} from '../../data/lists.ts';
import { addPost, postsOf } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { Button } from '../../ui/button.tsx';
import { countInWords, figureInWords, many } from '../../ui/figures.ts';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { researchWorker } from '../../workers/research-client.ts';
import type { KeywordLine } from '../../workers/research-desk.ts';
import { RoomNav } from './room-nav.tsx';

const now = () => new Date().toISOString();

/** Lists: the phrases of one post each, and where two of them would compete. */
export function Lists() {
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    return site && { site, lists: await listsOf(site.id), posts: await postsOf(site.id) };
  });
  if (!found) return <div aria-busy="true" className="m-6 h-40 rounded-md bg-sand/40" />;
  return <ListDesk {...found} />;
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
  const create = async () => {
    const region = /^[A-Z]{2}$/.test(site.region) ? site.region : 'GB';
    const { list: made } = await addToList(site.id, { name: `List ${lists.length + 1}`, region }, [], now());
    setParams({ list: made.id });
  };
  const move = async (from: number, by: 1 | -1) => {
    const order = [...lists];
    const [moved] = order.splice(from, 1);
    order.splice(from + by, 0, moved);
    await putLists(order.map((each, at) => ({ ...each, rank: at + 1 })));
  };
  return (
    <main className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Keywords</h1>
        <RoomNav />
        <div className="ml-auto flex gap-2">
          {lists.length > 1 && (
            <Button
              onClick={() => setParams(showsMatrix ? {} : { show: 'overlap' })}
              aria-pressed={showsMatrix}
            >
              {showsMatrix ? 'Back to the lists' : 'All overlaps'}
            </Button>
          )}
          <Button look="main" onClick={() => void create()}>
            <Plus size={16} aria-hidden />
            New list
          </Button>
        </div>
      </header>
      {lists.length === 0 ? (
        <div className="mx-auto mt-16 max-w-md text-center">
          <h2 className="mb-2 font-serif text-xl font-semibold">No lists yet</h2>
          <p className="mb-4 text-soft">
            A list holds the phrases of one post: one primary keyword, the rest supporting. Select phrases
            under Phrases and press "Add to list", or begin an empty one and paste into it.
          </p>
          <div className="flex justify-center gap-3">
            <Button look="main" onClick={() => void create()}>
              Begin a list
            </Button>
            <Link
              to="/keywords"
              className="self-center font-semibold text-marram underline underline-offset-4"
            >
              Find phrases
            </Link>
          </div>
        </div>
      ) : showsMatrix ? (
        <Matrix holders={holders} lists={lists} />
      ) : (
        <div className="flex min-h-0 flex-1 max-[900px]:flex-col">
          <nav
            aria-label="Lists"
            className="w-[250px] shrink-0 overflow-auto border-r px-3 py-3 max-[900px]:w-full max-[900px]:border-r-0 max-[900px]:border-b"
          >
            <ul>
              {lists.map((each, at) => {
                const gravest = overlapsOf(
                  holderOfList(each),
                  holders.filter(({ id }) => id !== `post ${each.postId}`),
                ).find(({ degree }) => degree === 'clash' || degree === 'mentioned');
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
                        {many(each.phrases.length, 'phrase')}, {countInWords(volumeOf(each, figures))}{' '}
                        searches
                      </span>
                      {gravest && (
                        <span className="block truncate text-[13px] text-ochre">
                          {gravest.degree === 'clash' ? 'Clashes with' : 'Overlaps'} {gravest.holder.name}
                        </span>
                      )}
                    </button>
                    <span className="flex flex-col opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
                      <button
                        type="button"
                        aria-label={`Move ${each.name} up`}
                        disabled={at === 0}
                        onClick={() => void move(at, -1)}
                        className="text-soft hover:text-ink disabled:invisible"
                      >
                        <ArrowUp size={13} aria-hidden />
                      </button>
                      <button
                        type="button"
                        aria-label={`Move ${each.name} down`}
                        disabled={at === lists.length - 1}
                        onClick={() => void move(at, 1)}
                        className="text-soft hover:text-ink disabled:invisible"
                      >
                        <ArrowDown size={13} aria-hidden />
                      </button>
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
            figures={figures}
            onGone={() => setParams({})}
          />
        </div>
      )}
    </main>
  );
}

type Figures = ReadonlyMap<string, KeywordLine>;

const figureKey = (region: string, phrase: string) => `${region}\n${phraseKey(phrase)}`;
const volumeOf = (list: ListRow, figures: Figures) =>
  list.phrases.reduce(
    (sum, phrase) => sum + (figures.get(figureKey(list.region, phrase))?.keyword.volume ?? 0),
    0,
  );

/** What is known of the phrases on lists. */
function useFigures(siteId: string, lists: readonly ListRow[]): Figures {
  const [figures, setFigures] = useState<Figures>(new Map());
  useEffect(() => {
    let late = false;
    void researchWorker().then(async (worker) => {
      const known = new Map<string, KeywordLine>();
      for (const { region, phrases } of lists)
        for (const [at, line] of (await worker.figures(siteId, region, phrases)).entries())
          if (line) known.set(figureKey(region, phrases[at]), line);
      if (!late) setFigures(known);
    });
    return () => {
      late = true;
    };
  }, [siteId, lists]);
  return figures;
}

function ListInHand({
  site,
  list,
  posts,
  holders,
  figures,
  onGone,
}: {
  site: SiteRow;
  list: ListRow;
  posts: readonly PostRow[];
  holders: readonly Holder[];
  figures: Figures;
  onGone: () => void;
}) {
  const navigate = useNavigate();
  const [name, setName] = useState(list.name);
  const [notes, setNotes] = useState(list.notes);
  const [adding, setAdding] = useState('');
  const post = posts.find(({ id }) => id === list.postId);
  const own = holderOfList(list);
  // A list and the post that was begun from it hold the same phrases on purpose.
  const overlaps = overlapsOf(
    own,
    holders.filter(({ id }) => id !== `post ${list.postId}`),
  );
  const put = (patch: Partial<ListRow>) => void putLists([{ ...list, ...patch, changed: now() }]);
  const undoable = (words: string, patch: Partial<ListRow>) => {
    put(patch);
    toast(words, { duration: 10_000, action: { label: 'Undo', onClick: () => void putLists([list]) } });
  };
  const held = new Map<string, string[]>();
  for (const { holder, shared } of overlaps)
    for (const { phrase } of shared) held.set(phrase, [...(held.get(phrase) ?? []), holder.name]);
  const remove = async () => {
    await removeList(list.id);
    onGone();
    toast(`"${list.name}" deleted`, {
      duration: 10_000,
      action: { label: 'Undo', onClick: () => void putLists([list]) },
    });
  };
  const begin = async () => {
    const fields = {
      ...houseFields(site.house),
      keyword: list.primary,
      supporting: list.phrases.filter((phrase) => phrase !== list.primary),
    };
    const id = await addPost(site.id, crypto.randomUUID(), now(), { fields, draft: emptyDraft() });
    await putLists([{ ...list, postId: id, changed: now() }]);
    navigate(`/posts/${id}/target`);
  };
  return (
    <div className="min-h-0 min-w-0 flex-1 overflow-auto px-6 py-4">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <label className="min-w-52 flex-1">
          <span className="sr-only">Name of the list</span>
          <input
            value={name}
            onChange={(event) => setName(event.target.value)}
            onBlur={() => name.trim() && name !== list.name && put({ name: name.trim() })}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            className="w-full rounded-md border border-transparent bg-transparent px-1 font-serif text-xl font-semibold hover:border-line"
          />
        </label>
        {post ? (
          <Link
            to={`/posts/${post.id}/target`}
            className="font-semibold text-marram underline underline-offset-4"
          >
            Its post: {post.fields.title || 'Untitled'}
          </Link>
        ) : (
          <Button look="main" onClick={() => void begin()} disabled={list.phrases.length === 0}>
            Start a post from this list
          </Button>
        )}
        <Button onClick={() => void remove()} aria-label="Delete this list">
          <Trash2 size={15} aria-hidden />
        </Button>
      </div>
      <p className="mb-3 text-soft">
        {many(list.phrases.length, 'phrase')} · {countInWords(volumeOf(list, figures))} searches a month ·{' '}
        {list.region}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)_290px] gap-8 max-[1150px]:grid-cols-1">
        <div>
          <table className="w-full table-fixed text-[13px]" aria-label="Phrases of the list">
            <thead className="text-left text-soft">
              <tr>
                <th className="w-14 py-1 font-normal">Primary</th>
                <th className="font-normal">Phrase</th>
                <th className="w-16 text-right font-normal">Volume</th>
                <th className="w-20 text-right font-normal max-[760px]:hidden">Difficulty</th>
                <th className="w-30 pl-4 font-normal max-[760px]:hidden">Intent</th>
                <th className="w-8">
                  <span className="sr-only">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {list.phrases.map((phrase) => {
                const line = figures.get(figureKey(list.region, phrase));
                return (
                  <tr key={phrase} className="border-t">
                    <td className="py-1.5">
                      <input
                        type="radio"
                        name={`primary-${list.id}`}
                        aria-label={`${phrase} is the primary keyword`}
                        checked={phrase === list.primary}
                        onChange={() => put({ primary: phrase })}
                        className="accent-marram"
                      />
                    </td>
                    <td className="py-1.5 pr-3 break-words">
                      <span className={phrase === list.primary ? 'font-semibold' : ''}>{phrase}</span>
                      {held.has(phrase) && (
                        <span className="block text-ochre">held too by {held.get(phrase)?.join(', ')}</span>
                      )}
                    </td>
                    <td className="text-right tabular-nums">{countInWords(line?.keyword.volume ?? null)}</td>
                    <td className="text-right tabular-nums max-[760px]:hidden">
                      {figureInWords(line?.difficulty ?? null)}
                    </td>
                    <td className="pl-4 max-[760px]:hidden">{line ? INTENT_NAMES[line.intent] : '–'}</td>
                    <td>
                      <button
                        type="button"
                        aria-label={`Take ${phrase} off the list`}
                        onClick={() => {
                          const rest = list.phrases.filter((other) => other !== phrase);
                          undoable(`"${phrase}" is off the list`, {
                            phrases: rest,
                            primary: phrase === list.primary ? (rest[0] ?? '') : list.primary,
                          });
                        }}
                        className="text-soft hover:text-rust"
                      >
                        <X size={14} aria-hidden />
                      </button>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <form
            className="mt-3 flex gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              const phrases = withPhrases(list.phrases, readPhraseList(adding));
              setAdding('');
              put({ phrases, primary: list.primary || (phrases[0] ?? '') });
            }}
          >
            <label className="flex-1">
              <span className="sr-only">Add phrases</span>
              <input
                value={adding}
                onChange={(event) => setAdding(event.target.value)}
                placeholder="Add phrases, parted by commas"
                className="w-full rounded-md border px-2.5 py-1.5"
              />
            </label>
            <Button type="submit" disabled={!adding.trim()}>
              Add
            </Button>
          </form>
          <label className="mt-5 block">
            <span className="mb-1 block font-semibold">Notes</span>
            <textarea
              value={notes}
              rows={2}
              onChange={(event) => setNotes(event.target.value)}
              onBlur={() => notes !== list.notes && put({ notes })}
              className="field-sizing-content w-full rounded-md border px-2.5 py-1.5"
            />
          </label>
        </div>
        <section aria-label="Overlap">
          <h2 className="mb-1 font-semibold">Overlap</h2>
          {overlaps.length === 0 && (
            <p className="text-soft">No other list or post holds any of these phrases.</p>
          )}
          <ul className="text-[13px]">
            {overlaps.map(({ holder, share, shared, samePrimary, degree }) => (
              <li key={holder.id} className="border-t py-2">
                <p>
                  <span className="font-semibold">{holder.name}</span>{' '}
                  <span className="text-soft">{holder.id.startsWith('post') ? 'post' : 'list'}</span>
                </p>
                <p className={degree === 'clash' || degree === 'mentioned' ? 'text-ochre' : 'text-soft'}>
                  {Math.round(share * 100)} %,{' '}
                  {degree === 'clash'
                    ? samePrimary
                      ? 'a clash: the primary keyword is the same'
                      : 'a clash: half of it or more'
                    : degree === 'mentioned'
                      ? 'worth a look'
                      : 'natural'}
                </p>
                <details>
                  <summary className="cursor-pointer text-marram">
                    {many(shared.length, 'shared phrase')}
                  </summary>
                  <ul className="mt-1 text-soft">
                    {shared.map(({ phrase, other, how }) => (
                      <li key={phrase}>
                        {phrase}
                        {how === 'stems' ? `, there as "${other}"` : ''}
                      </li>
                    ))}
                  </ul>
                </details>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-[13px] text-soft">
            Some overlap is natural, about 5 %. From 10 % on it is mentioned; from 50 %, or with one primary
            keyword for two, it is a clash.
          </p>
        </section>
      </div>
    </div>
  );
}

/** So many holders stand in the matrix at most: more could not be read. */
const MOST = 40;

/** Every list and post against every other. */
function Matrix({ holders, lists }: { holders: readonly Holder[]; lists: readonly ListRow[] }) {
  const { shown, isPair } = useMemo(() => {
    // A list and the post that was begun from it hold the same phrases on purpose.
    const posts = new Map(lists.map(({ id, postId }) => [`list ${id}`, `post ${postId}`]));
    const paired = (a: string, b: string) => posts.get(a) === b || posts.get(b) === a;
    const weight = (own: Holder) =>
      overlapsOf(
        own,
        holders.filter(({ id }) => !paired(own.id, id)),
      ).reduce((sum, { share }) => sum + share, 0);
    return {
      isPair: paired,
      shown: holders
        .map((holder) => ({ holder, weight: weight(holder) }))
        .filter(({ weight: total }) => total > 0)
        .sort((a, b) => b.weight - a.weight)
        .slice(0, MOST)
        .map(({ holder }) => holder),
    };
  }, [holders, lists]);
  if (shown.length === 0)
    return <p className="px-6 py-10 text-center text-soft">No two lists or posts share a phrase.</p>;
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <p className="mb-3 text-soft">
        Phrases shared, in per cent of the smaller of the two. From 50 % on, or with one primary keyword for
        both, two compete.
      </p>
      <table aria-label="Overlap of lists and posts" className="text-[12px]">
        <thead>
          <tr>
            <td />
            {shown.map(({ id }, at) => (
              <th key={id} className="w-9 text-center font-normal text-soft">
                {at + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row, at) => (
            <tr key={row.id}>
              <th className="max-w-72 truncate pr-3 text-left font-normal">
                <span className="text-soft">{at + 1}</span> {row.name}{' '}
                <span className="text-soft">{row.id.startsWith('post') ? 'post' : 'list'}</span>
              </th>
              {shown.map((column, other) => {
                if (other === at || isPair(row.id, column.id))
                  return <td key={column.id} className="h-8 w-9 bg-sand/30" />;
                const { share, degree, samePrimary } = overlapOf(row, column);
                return (
                  <td
                    key={column.id}
                    title={`${row.name} and ${column.name}${samePrimary ? ': one primary keyword' : ''}`}
                    className={`h-8 w-9 border text-center tabular-nums ${degree === 'clash' ? 'border-2 border-ochre font-semibold text-ochre' : degree === 'mentioned' ? 'text-ochre' : 'text-soft'}`}
                  >
                    {share > 0 ? Math.round(share * 100) : ''}
                    {samePrimary && share === 0 ? '1' : ''}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
