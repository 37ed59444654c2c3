import { useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { overlapsOf } from '../../../../core/research/index.ts';
import { regionOf } from '../../../../core/site/index.ts';
import { changeList, holderOfList, holderOfPost, listsOf, withPhrases } from '../../../data/lists.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { postsOf } from '../../../data/posts.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useAsking } from '../../../state/use-asking.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { counted } from '../../../ui/figures.ts';
import { overlapInWords } from '../../../ui/overlap-words.ts';
import { WordLink } from '../../../ui/word-link.tsx';

/** Takes a target from a list, and says which other posts and lists hold the same phrases. */
export function TargetLists({ site, session }: { session: PostSession; site: SiteRow }) {
  const { id: postId } = session;
  const { keyword, supporting } = useAppSelector((state) => state.openPost.fields);
  const found = useLiveQuery(
    async () => ({ lists: await listsOf(site.id), posts: await postsOf(site.id) }),
    [site.id],
  );
  const { state: led } = useLocation();
  const [chosen, setChosen] = useState<string>(led?.list ?? '');
  // The list just taken, until the database tells that it is the post's own.
  const [justTaken, setJustTaken] = useState('');
  // Made once for what lies in the database, not for every key.
  const others = useMemo(
    () =>
      found
        ? [
            // The post's own list holds the same phrases on purpose.
            ...found.lists
              .filter(({ id, postId: holder }) => holder !== postId && (holder || id !== justTaken))
              .map(holderOfList),
            ...found.posts.filter(({ id }) => id !== postId).flatMap((post) => holderOfPost(post) ?? []),
          ]
        : [],
    [found, postId, justTaken],
  );
  const own = useMemo(
    () => ({
      id: `post ${postId}`,
      name: '',
      primary: keyword,
      phrases: [keyword, ...supporting].filter((phrase) => phrase.trim()),
    }),
    [postId, keyword, supporting],
  );
  const asking = useAsking(site.id, regionOf(site), others, keyword.trim());
  if (!found) return null;
  const { lists } = found;
  const grave = overlapsOf(own, others, asking).filter(
    ({ degree }) => degree === 'clash' || degree === 'mentioned',
  );
  const take = async () => {
    const list = lists.find(({ id }) => id === chosen);
    if (!list) return;
    const primary = keyword || list.primary;
    setJustTaken(list.id);
    const freeList = await changeList(list.id, (row) => ({ postId: row.postId || postId }));
    const takeBack = session.change({
      fields: {
        keyword: primary,
        supporting: withPhrases(supporting, list.phrases).filter((phrase) => phrase !== primary),
      },
    });
    setChosen('');
    offerUndo(`${counted(list.phrases.length, 'phrase')} taken from "${list.name}"`, async () => {
      const stays = await takeBack();
      const stillHeld = await freeList();
      setJustTaken('');
      return stillHeld || stays;
    });
  };
  return (
    <div className="space-y-3">
      {lists.length > 0 && (
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            attempt(take());
          }}
        >
          <label className="min-w-0 flex-1">
            <span className="mb-1 block font-semibold">From a list</span>
            <Choice
              value={chosen}
              onChange={setChosen}
              className="w-full px-2.5 py-1.5"
              options={[
                { value: '', name: 'Choose a keyword list' },
                ...lists.map(({ id, name, phrases, postId: taken }) => ({
                  value: id,
                  name: `${name}, ${counted(phrases.length, 'phrase')}${taken === postId ? ', of this post' : taken ? ', of another post' : ''}`,
                })),
              ]}
            />
          </label>
          <Button type="submit" disabled={!chosen}>
            Take its phrases
          </Button>
        </form>
      )}
      {grave.length > 0 && (
        <section aria-label="Overlap with others">
          <h3 className="font-semibold">Held by others too</h3>
          <ul className="text-[13px]">
            {grave.slice(0, 6).map((overlap) => {
              const { holder, shared } = overlap;
              return (
                <li key={holder.id} className="border-t py-1.5">
                  <WordLink
                    to={
                      holder.id.startsWith('post ')
                        ? `/posts/${holder.id.slice(5)}/target`
                        : `/keywords/lists?list=${holder.id.slice(5)}`
                    }
                  >
                    {holder.name}
                  </WordLink>{' '}
                  <span className="text-soft">{holder.id.startsWith('post ') ? 'post' : 'list'}</span>{' '}
                  <span className="text-ochre">{overlapInWords(overlap)}</span>
                  <span className="block text-soft">
                    {shared
                      .map(({ phrase, other, how }) =>
                        how === 'meaning' ? `${phrase} (there "${other}")` : phrase,
                      )
                      .join(', ') || `its primary keyword is "${holder.primary}"`}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      )}
    </div>
  );
}
