import type { DragEndEvent } from '@dnd-kit/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { Plus } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import {
  addItem,
  branchLength,
  isOrderedOtherwise,
  moveItem,
  nestItem,
  newItem,
  type Outline,
  type OutlineItem,
  outlineFromDraft,
  type Planned,
  placeItem,
  removeItem,
  reorderDraft,
  sendOutline,
} from '../../../../core/outline/index.ts';
import { commonTopics } from '../../../../core/writing/index.ts';
import { briefOfPost } from '../../../data/briefs.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { DragArea } from '../../../ui/draggable-row.tsx';
import { countInWords, many } from '../../../ui/figures.ts';
import { isEnter } from '../../../ui/keys.ts';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { studyWorker } from '../../../workers/study-client.ts';
import { Editable } from '../editable.tsx';
import { usePost } from '../post-context.ts';
import { useStudyView } from '../study-view.ts';
import { useStudyRow } from '../use-study-row.ts';
import { ChecksPanel } from './checks-panel.tsx';
import { GapsPanel } from './gaps-panel.tsx';
import { INDENT, OutlineRow, type RowMove } from './outline-row.tsx';
import { ProposalsPanel } from './proposals-panel.tsx';
import { Tray, type TrayItem, trayItems } from './tray.tsx';
import { usePlan, usePlanWish } from './use-plan.ts';

const nextId = () => crypto.randomUUID();
const SIDES = ['gaps', 'tray', 'proposals', 'checks'] as const;
type Side = (typeof SIDES)[number];

/** Outline: the tree of headings, and beside it what can be pulled in, what is missing, and whole proposals. */
export function OutlineStep() {
  const { session } = usePost();
  const { outline, words, savedAt } = useAppSelector((state) => state.openPost);
  const study = useStudyRow(session.siteId, session.id);
  const brief = useLiveQuery(() => briefOfPost(session.siteId, session.id), [session]);
  const { view } = useStudyView(study ?? null);
  const must = brief?.topics ?? commonTopics(study?.facts ?? null);
  const { wish, stamp } = usePlanWish(study ?? null, must);
  const plan = usePlan(wish, stamp);
  const [side, setSide] = useState<Side>('gaps');
  const inHand = useRef<string | null>(null);
  const navigate = useNavigate();
  const list = useRef<HTMLOListElement>(null);
  const focusNext = useRef<string | null>(null);

  useEffect(() => {
    // A busy machine runs this once more before the new heading stands there; the wish waits for it.
    const field =
      focusNext.current && list.current?.querySelector<HTMLElement>(`[data-item="${focusNext.current}"]`);
    if (!field) return;
    field.focus();
    focusNext.current = null;
  });

  const set = (next: Outline) => session.changeOutline(outline, next);
  /** Sets another outline, with the way back; what was changed while it was being worked out stays. */
  const setUndoable = (next: Outline, said: string, from: Outline = outline) =>
    offerUndo(said, session.changeOutline(from, next));
  /** Changes the order and keeps the focus where it was. */
  const change = (next: Outline, focus?: string) => {
    focusNext.current = focus ?? null;
    set(next);
  };
  /** Puts items of the tray in: below the heading in hand, or at the end. */
  const place = (items: readonly TrayItem[], after?: string) => {
    const from = after ?? inHand.current;
    let at = outline.findIndex(({ id }) => id === from);
    let next: Outline = outline;
    const level = at < 0 ? 2 : outline[at].level;
    for (const { text, note } of items) {
      const made: OutlineItem = { ...newItem(nextId, text), note, level };
      const to = at < 0 ? next.length : at + branchLength(next, at);
      next = next.toSpliced(to, 0, made);
      at = at < 0 ? -1 : to;
    }
    setUndoable(next, `${many(items.length, 'item')} placed.`);
  };
  const tray = useMemo(() => (view ? trayItems(view.study) : null), [view]);
  const drop = ({ active, over, delta }: DragEndEvent) => {
    if (!over || active.id === over.id) {
      if (!over || String(active.id).startsWith('tray ')) return;
    }
    const dragged = Object.values(tray ?? {})
      .flat()
      .find(({ id }) => id === active.id);
    if (dragged) {
      place([dragged], String(over.id));
      return;
    }
    const next = placeItem(outline, String(active.id), String(over.id), Math.round(delta.x / INDENT));
    if (JSON.stringify(next) !== JSON.stringify(outline)) setUndoable(next, 'Moved.');
  };
  const add = (after: number | null) => {
    const item = newItem(nextId);
    change(addItem(outline, after, item), item.id);
  };
  const remove = (at: number) => {
    focusNext.current = outline[at - 1]?.id ?? outline[at + 1]?.id ?? null;
    const takeBack = set(removeItem(outline, at));
    if (outline[at].text || outline[at].note)
      offerUndo(`"${outline[at].text || 'Heading'}" taken out`, takeBack);
  };
  const send = () => {
    const { draft, added, renamed } = sendOutline(session.body, outline);
    if (added + renamed === 0) {
      toast('The draft already has these headings.');
      return;
    }
    const takeBack = session.change({ draft });
    const said = [added ? `${many(added, 'heading')} added` : '', renamed ? `${renamed} changed` : '']
      .filter(Boolean)
      .join(', ');
    offerUndo(`${said}. Your text was not touched.`, takeBack);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each save, as the draft may have changed
  const otherOrder = useMemo(() => isOrderedOtherwise(session.body, outline), [session, outline, savedAt]);
  const reorder = () => {
    attempt(session.keepVersion('paste'));
    offerUndo(
      'The sections of the draft stand in the order of the outline. No word was changed.',
      session.change({ draft: reorderDraft(session.body, outline) }),
    );
  };
  const readBack = () => {
    const next = outlineFromDraft(session.body, outline);
    if (next.length === 0) {
      toast('The draft has no headings yet.');
      return;
    }
    setUndoable(next, `${many(next.length, 'heading')} in the outline now.`);
  };
  const moves = (at: number): Record<Exclude<RowMove, 'remove'>, () => Outline> => ({
    up: () => moveItem(outline, at, -1),
    down: () => moveItem(outline, at, 1),
    lift: () => nestItem(outline, at, -1),
    nest: () => nestItem(outline, at, 1),
  });
  const onKeyDown = (event: React.KeyboardEvent, at: number) => {
    const { id } = outline[at];
    const keys: Record<string, Exclude<RowMove, 'remove'>> = {
      ArrowUp: 'up',
      ArrowDown: 'down',
      ArrowRight: 'nest',
      ArrowLeft: 'lift',
    };
    if (event.altKey && keys[event.key]) {
      event.preventDefault();
      change(moves(at)[keys[event.key]](), id);
    } else if (isEnter(event)) {
      event.preventDefault();
      add(at);
    } else if (event.key === 'Backspace' && outline[at].text === '' && outline[at].note === '') {
      event.preventDefault();
      remove(at);
    }
  };
  const covers = useMemo(() => {
    const by = new Map<string, string[]>();
    if (plan)
      for (const { by: id, text } of [...plan.coverage.topics, ...plan.coverage.questions])
        if (id !== null) by.set(id, [...(by.get(id) ?? []), text]);
    return by;
  }, [plan]);
  /** Lets the worker make another outline of this one; what is written meanwhile stays. */
  const worked = async (
    work: (desk: Awaited<ReturnType<typeof studyWorker>>, from: OutlineItem[]) => Promise<OutlineItem[]>,
    said: (fresh: number) => string,
  ) => {
    const from = outline;
    const next = await work(await studyWorker(), from);
    setUndoable(next, said(next.length - from.length), from);
  };
  const combine = (items: Planned[]) =>
    worked(
      (desk, from) => desk.combine(from, items),
      (fresh) =>
        fresh === 0
          ? 'Everything of it is in the outline already.'
          : `${many(fresh, 'heading')} added${fresh < items.length ? `; ${items.length - fresh} were there already` : ''}.`,
    );
  const names: Record<Side, { name: string; count?: number }> = {
    gaps: { name: 'Gaps', count: plan?.gaps.length },
    tray: { name: 'To pull in' },
    proposals: { name: 'Proposals' },
    checks: { name: 'Checks', count: plan?.checks.length },
  };

  return (
    <DragArea ids={outline.map(({ id }) => id)} onDrop={drop}>
      <main className="flex h-full min-h-0 max-[900px]:flex-col max-[900px]:overflow-auto">
        <section
          aria-label="Headings"
          className="min-w-0 flex-1 overflow-auto px-6 py-5 max-[900px]:flex-none"
        >
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
                  Plan the headings before you write, take them from what is written, or let outlines be
                  proposed.
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
                      onKeyDown={(event) => onKeyDown(event, at)}
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
                      {plan.budget.intro > 0
                        ? `, ${countInWords(plan.budget.intro)} of them to open with`
                        : ''}
                      ; {countInWords(words)} written.
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
        <aside
          aria-label="Beside the outline"
          className="flex w-[380px] shrink-0 flex-col border-l text-[13px] max-[1100px]:w-[320px] max-[900px]:w-full max-[900px]:border-t max-[900px]:border-l-0"
        >
          <TabSet value={side} onChange={setSide} className="flex min-h-0 flex-1 flex-col">
            <TabRow
              label="Beside the outline"
              tabs={SIDES.map((id) => ({ id, ...names[id] }))}
              className="border-b px-4 pt-3 pb-2"
            />
            <TabPanel of={side} className="min-h-0 flex-1 overflow-auto px-4 py-3">
              {study === null && side !== 'checks' && (
                <p className="mb-3 text-soft">
                  No pages were studied yet.{' '}
                  <WordLink to="../study" relative="path">
                    Study the result pages
                  </WordLink>{' '}
                  to see what they have.
                </p>
              )}
              <Editable>
                {side === 'gaps' &&
                  (plan ? (
                    <GapsPanel
                      plan={plan}
                      onMerge={(gaps) =>
                        attempt(
                          worked(
                            (desk, from) => desk.merge(from, gaps),
                            (fresh) => `${many(fresh, 'gap')} placed.`,
                          ),
                        )
                      }
                      onFaq={(questions) =>
                        attempt(
                          worked(
                            (desk, from) => desk.faq(from, questions),
                            () => `${many(questions.length, 'question')} at the end now.`,
                          ),
                        )
                      }
                    />
                  ) : (
                    <Waiting className="h-40" />
                  ))}
                {side === 'tray' &&
                  (tray ? (
                    <Tray items={tray} onPlace={(items) => place(items)} />
                  ) : (
                    study !== null && <Waiting className="h-40" />
                  ))}
                {side === 'proposals' && (
                  <ProposalsPanel
                    wish={wish}
                    stamp={stamp}
                    onReplace={(items) =>
                      setUndoable(
                        items.map((item) => ({ ...item, id: nextId() })),
                        `${many(items.length, 'heading')} in the outline now.`,
                      )
                    }
                    onCombine={(items) => attempt(combine(items))}
                  />
                )}
              </Editable>
              {side === 'checks' && plan && (
                <ChecksPanel
                  checks={plan.checks}
                  onShow={(id) => {
                    list.current?.querySelector<HTMLInputElement>(`[data-item="${id}"]`)?.focus();
                  }}
                />
              )}
            </TabPanel>
          </TabSet>
        </aside>
      </main>
    </DragArea>
  );
}
