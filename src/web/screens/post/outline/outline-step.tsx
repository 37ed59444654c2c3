import type { DragEndEvent } from '@dnd-kit/core';
import { ArrowDown, ArrowUp, IndentDecrease, IndentIncrease, Plus, Trash2 } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import {
  addItem,
  moveItem,
  nestItem,
  newItem,
  type Outline,
  outlineFromDraft,
  placeItem,
  removeItem,
  sendOutline,
} from '../../../../core/outline/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { DragArea, DraggableRow } from '../../../ui/draggable-row.tsx';
import { Hint } from '../../../ui/hint.tsx';
import { usePost } from '../post-context.ts';

const nextId = () => crypto.randomUUID();
/** Pixels by which a level is set in; so far to the side, a drag nests or lifts. */
const INDENT = 32;

/** Outline: the tree of headings, before and beside the text. */
export function OutlineStep() {
  const { session } = usePost();
  const outline = useAppSelector((state) => state.openPost.outline);
  const navigate = useNavigate();
  const list = useRef<HTMLOListElement>(null);
  const focusNext = useRef<string | null>(null);

  useEffect(() => {
    if (!focusNext.current) return;
    list.current?.querySelector<HTMLInputElement>(`[data-item="${focusNext.current}"]`)?.focus();
    focusNext.current = null;
  });

  const set = (next: Outline) => session.setOutline([...next]);
  /** Changes the order and keeps the focus where it was. */
  const change = (next: Outline, focus?: string) => {
    focusNext.current = focus ?? null;
    set(next);
  };
  const drop = ({ active, over, delta }: DragEndEvent) => {
    if (!over) return;
    const before = outline;
    const next = placeItem(outline, String(active.id), String(over.id), Math.round(delta.x / INDENT));
    if (JSON.stringify(next) === JSON.stringify(before)) return;
    set(next);
    toast('Moved.', { action: { label: 'Undo', onClick: () => set(before) } });
  };
  const add = (after: number | null) => {
    const item = newItem(nextId);
    change(addItem(outline, after, item), item.id);
  };
  const remove = (at: number) => {
    const before = outline;
    change(removeItem(outline, at), outline[at - 1]?.id ?? outline[at + 1]?.id);
    if (outline[at].text || outline[at].note)
      toast(`"${outline[at].text || 'Heading'}" taken out`, {
        action: { label: 'Undo', onClick: () => set(before) },
      });
  };
  const send = () => {
    const before = session.body;
    const { draft, added, renamed } = sendOutline(before, outline);
    if (added + renamed === 0) {
      toast('The draft already has these headings.');
      return;
    }
    session.replaceBody(draft);
    const said = [
      added ? `${added} ${added === 1 ? 'heading' : 'headings'} added` : '',
      renamed ? `${renamed} changed` : '',
    ]
      .filter(Boolean)
      .join(', ');
    toast(`${said}. Your text was not touched.`, {
      action: { label: 'Undo', onClick: () => session.replaceBody(before) },
    });
  };
  const readBack = () => {
    const before = outline;
    const next = outlineFromDraft(session.body, outline);
    if (next.length === 0) {
      toast('The draft has no headings yet.');
      return;
    }
    set(next);
    toast(`${next.length} ${next.length === 1 ? 'heading' : 'headings'} in the outline now.`, {
      action: { label: 'Undo', onClick: () => set(before) },
    });
  };
  const onKeyDown = (event: React.KeyboardEvent, at: number) => {
    const { id } = outline[at];
    const moves: Record<string, () => Outline> = {
      ArrowUp: () => moveItem(outline, at, -1),
      ArrowDown: () => moveItem(outline, at, 1),
      ArrowRight: () => nestItem(outline, at, 1),
      ArrowLeft: () => nestItem(outline, at, -1),
    };
    if (event.altKey && moves[event.key]) {
      event.preventDefault();
      change(moves[event.key](), id);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      add(at);
    } else if (event.key === 'Backspace' && outline[at].text === '' && outline[at].note === '') {
      event.preventDefault();
      remove(at);
    }
  };

  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-4xl px-8 py-7">
        <div className="mb-5 flex flex-wrap items-center gap-2.5">
          <h2 className="mr-auto font-serif text-xl font-semibold">Headings, in order</h2>
          <Button onClick={readBack}>Read headings from the draft</Button>
          <Button look="main" onClick={send} disabled={!outline.some((item) => item.text.trim())}>
            Put into the draft
          </Button>
          <Button onClick={() => navigate('../write', { relative: 'path' })}>Write</Button>
        </div>
        {outline.length === 0 ? (
          <div className="rounded-md border bg-sheet px-6 py-8 text-center">
            <p className="mb-1 font-semibold">No outline yet</p>
            <p className="mb-4 text-soft">
              Plan the headings before you write, or take them from what is written.
            </p>
            <Button look="main" onClick={() => add(null)}>
              <Plus size={16} aria-hidden />
              Add a heading
            </Button>
          </div>
        ) : (
          <>
            <ol ref={list} aria-label="Outline" className="rounded-md border bg-sheet">
              <DragArea ids={outline.map(({ id }) => id)} onDrop={drop}>
                {outline.map((item, at) => (
                  <DraggableRow
                    key={item.id}
                    id={item.id}
                    name={item.text || `heading ${at + 1}`}
                    className="group relative flex items-start gap-2 border-b bg-sheet py-1.5 pr-2 last:border-b-0"
                    style={{ paddingLeft: 6 + (item.level - 2) * INDENT }}
                  >
                    <span className="mt-1.5 w-5 shrink-0 text-[12px] text-soft" title={`Level ${item.level}`}>
                      H{item.level}
                    </span>
                    <div className="min-w-0 flex-1">
                      <input
                        data-item={item.id}
                        aria-label={`Heading ${at + 1}, level ${item.level}`}
                        value={item.text}
                        placeholder="Heading"
                        onChange={(event) => set(outline.with(at, { ...item, text: event.target.value }))}
                        onKeyDown={(event) => onKeyDown(event, at)}
                        className={`w-full rounded bg-transparent px-1 py-0.5 font-serif ${item.level === 2 ? 'text-[18px] font-semibold' : 'text-[16px]'}`}
                      />
                      <textarea
                        aria-label={`Note on heading ${at + 1}`}
                        value={item.note}
                        placeholder="Note"
                        rows={1}
                        onChange={(event) => set(outline.with(at, { ...item, note: event.target.value }))}
                        className="field-sizing-content w-full resize-none rounded bg-transparent px-1 text-[13px] text-soft"
                      />
                    </div>
                    <div className="flex shrink-0 gap-0.5 pt-1 text-soft">
                      <Tool
                        name="Move up"
                        keys="Alt ↑"
                        onClick={() => change(moveItem(outline, at, -1))}
                        icon={ArrowUp}
                      />
                      <Tool
                        name="Move down"
                        keys="Alt ↓"
                        onClick={() => change(moveItem(outline, at, 1))}
                        icon={ArrowDown}
                      />
                      <Tool
                        name="Lift"
                        keys="Alt ←"
                        onClick={() => change(nestItem(outline, at, -1))}
                        icon={IndentDecrease}
                      />
                      <Tool
                        name="Nest"
                        keys="Alt →"
                        onClick={() => change(nestItem(outline, at, 1))}
                        icon={IndentIncrease}
                      />
                      <Tool name="Take out" keys="" onClick={() => remove(at)} icon={Trash2} />
                    </div>
                  </DraggableRow>
                ))}
              </DragArea>
            </ol>
            <div className="mt-3 flex flex-wrap items-baseline gap-4">
              <Button onClick={() => add(null)}>
                <Plus size={15} aria-hidden />
                Add a heading
              </Button>
              <p className="text-[13px] text-soft">
                Enter adds one below. Drag by the handle, to the side to nest; or Alt with the arrow keys.
              </p>
            </div>
          </>
        )}
      </div>
    </main>
  );
}

function Tool({
  name,
  keys,
  onClick,
  icon: Icon,
}: {
  name: string;
  keys: string;
  onClick: () => void;
  icon: typeof ArrowUp;
}) {
  return (
    <Hint text={keys ? `${name} (${keys})` : name}>
      <button
        type="button"
        aria-label={name}
        onClick={onClick}
        className="rounded p-1 hover:bg-paper hover:text-ink"
      >
        <Icon size={15} aria-hidden />
      </button>
    </Hint>
  );
}
