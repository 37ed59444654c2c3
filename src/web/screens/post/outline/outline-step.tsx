import { Plus } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { commonTopics } from '../../../../core/writing/index.ts';
import { briefOfPost } from '../../../data/briefs.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { DragArea } from '../../../ui/draggable-row.tsx';
import { countInWords } from '../../../ui/figures.ts';
import { Panes } from '../../../ui/panes.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { useStudyRow } from '../study/use-study-row.ts';
import { useStudyView } from '../study/use-study-view.ts';
import { OutlineRow } from './outline-row.tsx';
import { OutlineSide, type Side } from './outline-side.tsx';
import { trayItems } from './tray.tsx';
import { useOutlineEditing } from './use-outline-editing.ts';
import { usePlan, usePlanWish } from './use-plan.ts';

/** Outline: the tree of headings, and beside it what can be pulled in, what is missing, and whole proposals. */
export function OutlineStep() {
  const { session } = usePost();
  const words = useAppSelector((state) => state.openPost.words);
  const study = useStudyRow(session.siteId, session.id);
  const brief = useLiveQuery(() => briefOfPost(session.siteId, session.id), [session]);
  const { view, done } = useStudyView(study ?? null);
  const must = brief?.topics ?? commonTopics(study?.facts ?? null);
  const { wish, stamp } = usePlanWish(study ?? null, must);
  const plan = usePlan(wish, stamp);
  const [side, setSide] = useState<Side>('gaps');
  const navigate = useNavigate();
  const list = useRef<HTMLOListElement>(null);
  const tray = useMemo(() => (view ? trayItems(view.study) : null), [view]);
  const editing = useOutlineEditing(list, tray);
  const { outline, otherOrder, inHand, set, change, drop, add, remove, send, reorder, readBack, moves } =
    editing;
  const covers = useMemo(() => {
    const by = new Map<string, string[]>();
    if (plan)
      for (const { by: id, text } of [...plan.coverage.topics, ...plan.coverage.questions])
        if (id !== null) by.set(id, [...(by.get(id) ?? []), text]);
    return by;
  }, [plan]);
  const headings = (
    <section aria-label="Headings" className="min-h-0 min-w-0 flex-1 overflow-auto px-6 py-5">
      <Editable>
        <div className="mb-4 flex flex-wrap items-center gap-2.5">
          <h2 className="mr-auto font-serif text-xl font-semibold">Headings, in order</h2>
          <Button onClick={() => navigate('../brief', { relative: 'path' })}>Brief</Button>
          <Button onClick={readBack}>Read headings from the draft</Button>
          <Button look="main" onClick={send} disabled={!outline.some((item) => item.text.trim())}>
            Put into the draft
          </Button>
          <Button onClick={() => navigate('../write', { relative: 'path' })}>Write</Button>
        </div>
        {otherOrder && (
          <p role="note" className="mb-3 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]">
            The sections of the draft stand in another order.{' '}
            <Button look="word" onClick={reorder}>
              Put them in this order
            </Button>
          </p>
        )}
        {outline.length === 0 ? (
          <div className="rounded-md border bg-sheet px-6 py-8 text-center">
            <p className="mb-1 font-semibold">No outline yet</p>
            <p className="mb-4 text-soft">
              Plan the headings before you write, take them from what is written, or let outlines be proposed.
            </p>
            <div className="flex justify-center gap-2">
              <Button look="main" onClick={() => add(null)}>
                <Plus size={16} aria-hidden />
                Add a heading
              </Button>
              <Button onClick={() => setSide('proposals')}>See proposals</Button>
            </div>
          </div>
        ) : (
          <>
            <ol ref={list} aria-label="Outline" className="rounded-md border bg-sheet">
              {outline.map((item, at) => (
                <OutlineRow
                  key={item.id}
                  item={item}
                  at={at}
                  words={plan?.budget.sections[item.id]}
                  covers={covers.get(item.id) ?? []}
                  onChange={(next) => set(outline.with(at, next))}
                  onKeyDown={(event) => editing.onKeyDown(event, at)}
                  onFocus={() => {
                    inHand.current = item.id;
                  }}
                  onMove={(move) => (move === 'remove' ? remove(at) : change(moves(at)[move]()))}
                />
              ))}
            </ol>
            <div className="mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
              <Button onClick={() => add(null)}>
                <Plus size={15} aria-hidden />
                Add a heading
              </Button>
              {plan && (
                <p role="status" className="text-[13px]">
                  {countInWords(wish.words)} words planned
                  {plan.budget.intro > 0 ? `, ${countInWords(plan.budget.intro)} of them to open with` : ''};{' '}
                  {countInWords(words)} written.
                </p>
              )}
              <p className="text-[13px] text-soft">
                Enter adds one below. Drag by the handle, to the side to nest; or Alt with the arrow keys.
              </p>
            </div>
          </>
        )}
      </Editable>
    </section>
  );
  return (
    <DragArea ids={outline.map(({ id }) => id)} onDrop={drop}>
      <main className="flex h-full min-h-0 flex-col">
        <Panes
          name="outline"
          main={headings}
          side={
            <OutlineSide
              editing={editing}
              side={side}
              setSide={setSide}
              plan={plan}
              wish={wish}
              stamp={stamp}
              tray={tray}
              unstudied={study === null}
              reading={done}
              pages={study?.pages.length ?? 0}
              onShow={(id) => list.current?.querySelector<HTMLElement>(`[data-item="${id}"]`)?.focus()}
            />
          }
          sideName="what stands beside the outline"
          sideWidth={380}
          least={300}
          below={900}
        />
      </main>
    </DragArea>
  );
}
