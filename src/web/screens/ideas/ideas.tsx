import type { DragEndEvent } from '@dnd-kit/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { OwnPhrases } from '../../../core/research/index.ts';
import { houseFields } from '../../../core/site/index.ts';
import { beginIdea, changeIdea, ideasOf, orderIdeas } from '../../data/ideas.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import type { IdeaRow, IdeaStage } from '../../data/research-rows.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { DragArea, DraggableRow } from '../../ui/draggable-row.tsx';
import { None } from '../../ui/empty.tsx';
import { TabPanel, TabRow, TabSet } from '../../ui/tabs.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { IdeaLine } from './idea-line.tsx';
import { IdeaMakers } from './idea-makers.tsx';

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
  const own = useMemo(
    () =>
      new OwnPhrases(
        posts.map(({ id, fields }) => ({
          id,
          title: fields.title,
          keyword: fields.keyword,
          supporting: fields.supporting,
          headings: [],
        })),
      ),
    [posts],
  );
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
        <IdeaMakers site={site} posts={posts} onMade={() => setStage('new')} />
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
            <None>{STAGES.find((each) => each.stage === stage)?.empty}</None>
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
                      held={idea.stage === 'begun' || !idea.keyword ? null : own.of(idea.keyword)}
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
