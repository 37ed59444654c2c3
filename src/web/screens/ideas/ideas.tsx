import type { DragEndEvent } from '@dnd-kit/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { IdeaDraft } from '../../../core/research/index.ts';
import { houseFields, regionOf } from '../../../core/site/index.ts';
import type { IdeaRow, IdeaStage, PostRow, SiteRow } from '../../data/database.ts';
import { addIdeas, beginIdea, changeIdea, ideasOf, orderIdeas, removeIdeas } from '../../data/ideas.ts';
import { postsOf } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { DragArea, DraggableRow } from '../../ui/draggable-row.tsx';
import { figureInWords, many } from '../../ui/figures.ts';
import { isEnter } from '../../ui/keys.ts';
import { TabPanel, TabRow, TabSet } from '../../ui/tabs.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import type { IdeaWish } from '../../workers/research.ts';
import { researchWorker } from '../../workers/research-client.ts';

const STAGES: { stage: IdeaStage; name: string; empty: string }[] = [
  {
    stage: 'new',
    name: 'New',
    empty:
      'Nothing new to decide on. Ask for ideas above; what you kept, parked or dropped is not offered again.',
  },
  {
    stage: 'kept',
    name: 'Kept',
    empty: 'Ideas that you keep stand here, in your order, until they become posts.',
  },
  { stage: 'parked', name: 'Parked', empty: 'Ideas for another time stand here.' },
  { stage: 'begun', name: 'Begun', empty: 'Ideas that became posts stand here.' },
  {
    stage: 'dropped',
    name: 'Dropped',
    empty: 'Dropped ideas stay here, so that they are not offered twice.',
  },
];

const ORIGINS: Record<IdeaRow['origin'], string> = {
  cluster: 'from phrases',
  title: 'beside a post',
  offer: 'from the offer',
  heading: 'from a heading',
  hand: 'by hand',
};
/** So many ideas come at once: as many as can be decided on in a minute. */
const AT_ONCE = 5;

const now = () => new Date().toISOString();

/** Ideas: what could be written, where it comes from, and what was decided about it. */
export function Ideas() {
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    return site && { site, ideas: await ideasOf(site.id), posts: await postsOf(site.id) };
  });
  if (!found) return <Waiting />;
  return <Backlog key={found.site.id} {...found} />;
}

function Backlog({ site, ideas, posts }: { site: SiteRow; ideas: IdeaRow[]; posts: PostRow[] }) {
  const [stage, setStage] = useState<IdeaStage>(
    ideas.some((idea) => idea.stage === 'new') || !ideas.some((idea) => idea.stage === 'kept')
      ? 'new'
      : 'kept',
  );
  const shown = ideas.filter((idea) => idea.stage === stage);
  const navigate = useNavigate();
  const drop = ({ active, over }: DragEndEvent) => {
    const [from, to] = [active.id, over?.id].map((id) => shown.findIndex((idea) => idea.id === id));
    if (from < 0 || to < 0 || from === to) return;
    const order = shown.map(({ id }) => id);
    order.splice(to, 0, ...order.splice(from, 1));
    attempt(orderIdeas(order));
  };
  const decide = async (idea: IdeaRow, next: IdeaStage, words: string) => {
    offerUndo(`${words}: ${idea.title}`, await changeIdea(idea.id, () => ({ stage: next })), 8000);
  };
  const begin = async (idea: IdeaRow) => {
    const id = await beginIdea(idea.id, houseFields(site.house), crypto.randomUUID(), now());
    if (id === null) return;
    navigate(`/posts/${id}/target`);
  };
  return (
    <main className="h-full overflow-auto">
      <header className="px-6 pt-5 pb-3">
        <h1 className="mb-3 font-serif text-[26px] font-semibold">Ideas</h1>
        <Makers site={site} posts={posts} onMade={() => setStage('new')} />
      </header>
      <TabSet value={stage} onChange={setStage}>
        <TabRow
          label="Stage"
          tabs={STAGES.map(({ stage: id, name }) => ({
            id,
            name,
            count: ideas.filter((idea) => idea.stage === id).length || null,
          }))}
          className="border-b px-6"
        />
        <TabPanel of={stage}>
          {shown.length === 0 ? (
            <p className="mx-auto max-w-md px-6 py-12 text-center text-soft">
              {STAGES.find((each) => each.stage === stage)?.empty}
            </p>
          ) : (
            <DragArea ids={shown.map(({ id }) => id)} onDrop={drop}>
              <ol
                aria-label={`${STAGES.find((each) => each.stage === stage)?.name} ideas`}
                className="max-w-5xl px-4 py-2"
              >
                {shown.map((idea) => (
                  <DraggableRow
                    key={idea.id}
                    id={idea.id}
                    name={idea.title}
                    style={{}}
                    className="flex items-start gap-2 border-b py-2.5"
                  >
                    <IdeaLine
                      idea={idea}
                      posts={posts}
                      onDecide={(next, words) => attempt(decide(idea, next, words))}
                      onBegin={() => attempt(begin(idea))}
                    />
                  </DraggableRow>
                ))}
              </ol>
            </DragArea>
          )}
        </TabPanel>
      </TabSet>
    </main>
  );
}

function IdeaLine({
  idea,
  posts,
  onDecide,
  onBegin,
}: {
  idea: IdeaRow;
  posts: readonly PostRow[];
  onDecide: (stage: IdeaStage, words: string) => void;
  onBegin: () => void;
}) {
  const [title, setTitle] = useState(idea.title);
  const [line, setLine] = useState(idea.line);
  const parent = posts.find(({ id }) => id === idea.from);
  const post = posts.find(({ id }) => id === idea.postId);
  return (
    <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)_auto] gap-x-6 max-[760px]:grid-cols-1">
      <div className="min-w-0">
        <textarea
          rows={1}
          aria-label="Working title"
          value={title}
          onChange={(event) => setTitle(event.target.value.replace(/\n/g, ' '))}
          onBlur={() =>
            title.trim() &&
            title !== idea.title &&
            attempt(changeIdea(idea.id, () => ({ title: title.trim() })))
          }
          className="field-sizing-content w-full resize-none rounded border border-transparent bg-transparent font-serif text-[17px] font-semibold hover:border-line"
        />
        <textarea
          rows={1}
          aria-label={`Line of description of ${idea.title}`}
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onBlur={() => line !== idea.line && attempt(changeIdea(idea.id, () => ({ line })))}
          placeholder="What it is about, in a line"
          className="field-sizing-content w-full resize-none rounded border border-transparent bg-transparent text-soft hover:border-line"
        />
        <p className="mt-0.5 text-[13px] text-soft">
          {idea.keyword && (
            <>
              <WordLink to={`/keywords?seed=${encodeURIComponent(idea.keyword)}`} quiet>
                {idea.keyword}
              </WordLink>
              {idea.phrases.length > 1 ? ` and ${many(idea.phrases.length - 1, 'phrase')} more` : ''} ·{' '}
            </>
          )}
          {idea.opportunity !== null && `opportunity ${figureInWords(idea.opportunity)} · `}
          {ORIGINS[idea.origin]}
          {parent && (
            <>
              {' '}
              of{' '}
              <WordLink to={`/posts/${parent.id}/write`} quiet>
                {parent.fields.title || 'Untitled'}
              </WordLink>
            </>
          )}
        </p>
      </div>
      <div className="flex items-start gap-2">
        {post && (
          <WordLink to={`/posts/${post.id}/target`} className="self-center">
            Open its post
          </WordLink>
        )}
        {idea.stage !== 'begun' && (
          <>
            {idea.stage !== 'kept' && <Button onClick={() => onDecide('kept', 'Kept')}>Keep</Button>}
            {idea.stage !== 'parked' && <Button onClick={() => onDecide('parked', 'Parked')}>Park</Button>}
            {idea.stage !== 'dropped' && <Button onClick={() => onDecide('dropped', 'Dropped')}>Drop</Button>}
            <Button look={idea.stage === 'kept' ? 'main' : 'plain'} onClick={onBegin}>
              Begin the post
            </Button>
          </>
        )}
      </div>
    </div>
  );
}

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
function Makers({ site, posts, onMade }: { site: SiteRow; posts: readonly PostRow[]; onMade: () => void }) {
  const [from, setFrom] = useState<From>('clusters');
  const [offer, setOffer] = useState(site.house.offer);
  const [postId, setPostId] = useState(posts[0]?.id ?? '');
  const [title, setTitle] = useState('');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const region = regionOf(site);
  const offerMade = async (drafts: readonly IdeaDraft[], stage: IdeaStage = 'new') => {
    const rows = await addIdeas(site.id, drafts, now(), stage);
    onMade();
    offerUndo(`${many(rows.length, 'idea')} added`, () => removeIdeas(rows.map(({ id }) => id)), 8000);
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
