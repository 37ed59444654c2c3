import { Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { emptyDraft } from '../../../core/draft/index.ts';
import { type Holder, overlapsOf, readPhraseList, type SameAsking } from '../../../core/research/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { changeList, holderOfList, removeList, withPhrases } from '../../data/lists.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import { addPost } from '../../data/posts.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { AddForm } from '../../ui/add-form.tsx';
import { Button } from '../../ui/button.tsx';
import { counted, countInWords, figureInWords } from '../../ui/figures.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { isEnter } from '../../ui/keys.ts';
import { overlapInWords } from '../../ui/overlap-words.ts';
import { WordLink } from '../../ui/word-link.tsx';
import { type Figures, figureKey, volumeOf } from './list-figures.ts';
import { ListOut } from './list-out.tsx';

const now = () => new Date().toISOString();

/** One list: its phrases, its primary keyword, its post, and what others hold of it. */
export function ListInHand({
  site,
  list,
  posts,
  holders,
  asking,
  figures,
  onGone,
}: {
  site: SiteRow;
  list: ListRow;
  posts: readonly PostRow[];
  holders: readonly Holder[];
  asking: SameAsking;
  figures: Figures;
  onGone: () => void;
}) {
  const navigate = useNavigate();
  const [name, setName] = useState(list.name);
  const [notes, setNotes] = useState(list.notes);
  const post = posts.find(({ id }) => id === list.postId);
  const own = holderOfList(list);
  // A list and the post that was begun from it hold the same phrases on purpose.
  const overlaps = overlapsOf(
    own,
    holders.filter(({ id }) => id !== `post ${list.postId}`),
    asking,
  );
  const put = (change: Partial<ListRow> | ((known: ListRow) => Partial<ListRow>)) =>
    attempt(changeList(list.id, typeof change === 'function' ? change : () => change));
  const undoable = async (words: string, change: (known: ListRow) => Partial<ListRow>) =>
    offerUndo(words, await changeList(list.id, change), 10_000);
  const held = new Map<string, string[]>();
  for (const { holder, shared } of overlaps)
    for (const { phrase } of shared) held.set(phrase, [...(held.get(phrase) ?? []), holder.name]);
  const remove = async () => {
    const back = await removeList(list.id);
    onGone();
    offerUndo(`"${list.name}" deleted`, back, 10_000);
  };
  const begin = async () => {
    const fields = {
      ...houseFields(site.house),
      keyword: list.primary,
      supporting: list.phrases.filter((phrase) => phrase !== list.primary),
    };
    const id = await addPost(site.id, crypto.randomUUID(), now(), { fields, draft: emptyDraft() });
    await changeList(list.id, () => ({ postId: id }));
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
            onKeyDown={(event) => isEnter(event) && event.currentTarget.blur()}
            className="w-full rounded-md border border-transparent bg-transparent px-1 font-serif text-xl font-semibold hover:border-line"
          />
        </label>
        {post ? (
          <WordLink to={`/posts/${post.id}/target`}>Its post: {post.fields.title || 'Untitled'}</WordLink>
        ) : (
          <Button look="main" onClick={() => attempt(begin())} disabled={list.phrases.length === 0}>
            Start a post from this list
          </Button>
        )}
        <ListOut site={site} list={list} posts={posts} />
        <Button onClick={() => attempt(remove())} aria-label="Delete this list">
          <Trash2 size={15} aria-hidden />
        </Button>
      </div>
      <p className="mb-3 text-soft">
        {counted(list.phrases.length, 'phrase')} · {countInWords(volumeOf(list, figures))} searches a month ·{' '}
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
                      <IconButton
                        name={`Take ${phrase} off the list`}
                        icon={X}
                        size={14}
                        look="grave"
                        onClick={() => {
                          attempt(
                            undoable(`"${phrase}" is off the list`, ({ phrases, primary }) => {
                              const rest = phrases.filter((other) => other !== phrase);
                              return {
                                phrases: rest,
                                primary: phrase === primary ? (rest[0] ?? '') : primary,
                              };
                            }),
                          );
                        }}
                      />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <AddForm
            label="Add phrases"
            placeholder="Add phrases, parted by commas, or paste a column"
            phrases
            className="mt-3"
            onAdd={(text) =>
              put(({ phrases: known, primary }) => {
                const phrases = withPhrases(known, readPhraseList(text));
                return { phrases, primary: primary || (phrases[0] ?? '') };
              })
            }
          />
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
            {overlaps.map((overlap) => {
              const { holder, shared, degree } = overlap;
              return (
                <li key={holder.id} className="border-t py-2">
                  <p>
                    <span className="font-semibold">{holder.name}</span>{' '}
                    <span className="text-soft">{holder.id.startsWith('post') ? 'post' : 'list'}</span>
                  </p>
                  <p className={degree === 'clash' || degree === 'mentioned' ? 'text-ochre' : 'text-soft'}>
                    {overlapInWords(overlap)}
                    {degree === 'mentioned' && ', worth a look'}
                  </p>
                  {shared.length === 0 ? (
                    <p className="text-soft">Its primary keyword: {holder.primary}</p>
                  ) : (
                    <details>
                      <summary className="cursor-pointer text-marram">
                        {counted(shared.length, 'shared phrase')}
                      </summary>
                      <ul className="mt-1 text-soft">
                        {shared.map(({ phrase, other, how }) => (
                          <li key={phrase}>
                            {phrase}
                            {how === 'exact' ? '' : `, there as "${other}"`}
                          </li>
                        ))}
                      </ul>
                    </details>
                  )}
                </li>
              );
            })}
          </ul>
          <p className="mt-2 text-[13px] text-soft">
            Some overlap is natural, about 5 %. From 10 % on it is mentioned; from 50 %, or where two primary
            keywords mean the same or find the same pages, it is a clash.
          </p>
        </section>
      </div>
    </div>
  );
}
