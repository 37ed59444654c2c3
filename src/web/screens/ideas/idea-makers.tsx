import { useState } from 'react';
import type { IdeaDraft } from '../../../core/research/index.ts';
import { regionOf } from '../../../core/site/index.ts';
import { addIdeas, removeIdeas } from '../../data/ideas.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import type { IdeaStage } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { counted } from '../../ui/figures.ts';
import { isEnter } from '../../ui/keys.ts';
import type { IdeaWish } from '../../workers/research.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** So many ideas come at once: as many as can be decided on in a minute. */
const AT_ONCE = 5;

type From = IdeaWish['from'] | 'hand';

const SOURCES: { from: From; name: string; note: string }[] = [
  { from: 'clusters', name: 'From phrases', note: 'Groups of phrases that no post of yours covers yet.' },
  {
    from: 'titles',
    name: 'Beside your posts',
    note: 'What people ask beside the keywords that you have written for.',
  },
  {
    from: 'offer',
    name: 'From your offer',
    note: 'Groups of phrases that what you sell can honestly answer.',
  },
  { from: 'headings', name: 'From a post', note: 'Headings of a post that could each stand alone.' },
  { from: 'hand', name: 'By hand', note: 'An idea of your own.' },
];

/** Where ideas are made: each source says how it finds them. */
export function IdeaMakers({
  site,
  posts,
  onMade,
}: {
  site: SiteRow;
  posts: readonly PostRow[];
  onMade: () => void;
}) {
  const [from, setFrom] = useState<From>('clusters');
  const [offer, setOffer] = useState(site.house.offer);
  const [postId, setPostId] = useState(posts[0]?.id ?? '');
  const [title, setTitle] = useState('');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const region = regionOf(site);
  const offerMade = async (drafts: readonly IdeaDraft[], stage: IdeaStage = 'new') => {
    const rows = await addIdeas(site.id, drafts, new Date().toISOString(), stage);
    onMade();
    offerUndo(`${counted(rows.length, 'idea')} added`, () => removeIdeas(rows.map(({ id }) => id)), 8000);
  };
  const make = async () => {
    setSaid('');
    if (from === 'hand') {
      if (!title.trim()) return;
      await offerMade([
        {
          origin: 'hand',
          title: title.trim(),
          line: '',
          keyword: '',
          phrases: [],
          opportunity: null,
          from: '',
        },
      ]);
      setTitle('');
      return;
    }
    setBusy(true);
    try {
      const wish: IdeaWish =
        from === 'offer'
          ? { from, region, offer }
          : from === 'headings'
            ? { from, region, postId }
            : { from, region };
      const drafts = await (await researchWorker()).ideas(site.id, wish, AT_ONCE);
      if (drafts.length > 0) await offerMade(drafts);
      else
        setSaid(
          from === 'headings'
            ? 'No heading of this post that is not offered already could stand alone: each needs a section of 40 words about something of its own.'
            : 'Nothing more is found. Ideas come from phrases: search for a seed under Keywords, or bring figures, and ask again.',
        );
    } finally {
      setBusy(false);
    }
  };
  return (
    <div>
      <div role="group" aria-label="Where ideas come from" className="mb-2 flex flex-wrap gap-2">
        {SOURCES.map((source) => (
          <Button
            key={source.from}
            aria-pressed={from === source.from}
            onClick={() => setFrom(source.from)}
            className={from === source.from ? 'border-marram! font-semibold text-marram' : ''}
          >
            {source.name}
          </Button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        {from === 'offer' && (
          <label className="min-w-72 flex-1">
            <span className="mb-1 block text-[13px] text-soft">What you offer, in your own words</span>
            <textarea
              value={offer}
              rows={2}
              onChange={(event) => setOffer(event.target.value)}
              className="w-full rounded-md border px-2.5 py-1.5"
            />
          </label>
        )}
        {from === 'headings' && (
          <label>
            <span className="mb-1 block text-[13px] text-soft">Whose headings</span>
            <Choice
              aria-label="Whose headings"
              value={postId}
              onChange={setPostId}
              className="max-w-md px-2 py-1.5"
              options={posts.map(({ id, fields }) => ({ value: id, name: fields.title || 'Untitled' }))}
            />
          </label>
        )}
        {from === 'hand' && (
          <label className="min-w-72 flex-1">
            <span className="mb-1 block text-[13px] text-soft">Working title</span>
            <input
              value={title}
              onChange={(event) => setTitle(event.target.value)}
              onKeyDown={(event) => isEnter(event) && attempt(make())}
              className="w-full rounded-md border px-2.5 py-1.5"
            />
          </label>
        )}
        <Button
          look="main"
          onClick={() => attempt(make(), 'Ideas could not be looked for')}
          disabled={busy || (from === 'hand' && !title.trim()) || (from === 'offer' && !offer.trim())}
        >
          {from === 'hand' ? 'Add the idea' : busy ? 'Looking...' : 'Give me five'}
        </Button>
        <p className="text-soft">{SOURCES.find((source) => source.from === from)?.note}</p>
      </div>
      <p role="status" className="mt-1 text-[13px] text-ochre">
        {said}
      </p>
    </div>
  );
}
