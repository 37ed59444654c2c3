import { EditorContent } from '@tiptap/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ScoreReport } from '../../../../core/criteria/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { usePost } from '../post-context.ts';
import { type BodyEditor, bodyEditor } from './body-editor.ts';
import { FeaturedEditor } from './featured-editor.tsx';
import { ListingEditor } from './listing-editor.tsx';
import { Margin } from './margin.tsx';
import { type MarkedPlace, NOTES_META } from './notes-plugin.ts';
import { Toolbar } from './toolbar.tsx';

/** Write: listing and sheet on the left, the margin beside them, one scroller. */
export function Write() {
  const { session } = usePost();
  const body = useMemo(() => bodyEditor(session), [session]);
  const title = useAppSelector((state) => state.openPost.fields.title);
  const [inHand, setInHand] = useState<string | null>(null);
  const [pinned, setPinned] = useState<string | null>(null);
  const column = useRef<HTMLDivElement>(null);
  useMarks(body, inHand);
  return (
    <main className="h-full overflow-auto">
      <div className="flex min-h-full items-stretch">
        <div ref={column} className="w-[798px] min-w-[460px] shrink px-6 max-[1100px]:px-4">
          <ListingEditor />
          {/* biome-ignore lint/a11y/noStaticElementInteractions: hovering marked words shows their note, which is itself reached by keyboard */}
          {/* biome-ignore lint/a11y/useKeyWithMouseEvents: as above */}
          <div
            className="rounded-md border bg-sheet"
            onMouseOver={(event) => {
              const noted = (event.target as HTMLElement).closest<HTMLElement>('[data-note]');
              setInHand(noted?.dataset['note'] ?? null);
              setPinned(noted?.dataset['note'] ?? null);
            }}
          >
            <Toolbar editor={body.editor} session={session} />
            <div className="px-10 pt-5 pb-10 max-[1100px]:px-6">
              <label className="sr-only" htmlFor="post-title">
                Title
              </label>
              <textarea
                id="post-title"
                data-place="title"
                rows={1}
                value={title}
                placeholder="Title"
                onChange={(event) => session.setFields({ title: event.target.value.replace(/\n/g, ' ') })}
                onKeyDown={(event) => {
                  if (event.key !== 'Enter') return;
                  event.preventDefault();
                  body.editor.commands.focus('start');
                }}
                className="field-sizing-content mb-3 block w-full resize-none bg-transparent font-serif text-[28px] leading-tight font-semibold outline-none"
              />
              <EditorContent editor={body.editor} />
            </div>
          </div>
          <FeaturedEditor />
        </div>
        <Margin body={body} column={column} inHand={inHand} setInHand={setInHand} pinned={pinned} />
      </div>
    </main>
  );
}

/** Marks uses of the keyword and the places of notes on the sheet, anew with each report. */
function useMarks(body: BodyEditor, inHand: string | null): void {
  const report = useAppSelector((state) => state.openPost.report);
  useEffect(() => {
    const { view, state } = body.editor;
    view.dispatch(
      state.tr
        .setMeta(NOTES_META, report ? marksOf(report as ScoreReport, inHand) : [])
        .setMeta('addToHistory', false),
    );
  }, [body, report, inHand]);
}

function marksOf(report: ScoreReport, inHand: string | null): MarkedPlace[] {
  const places: MarkedPlace[] = report.uses.map(({ blockId, start, end, kind }) => ({
    blockId,
    start,
    end,
    look: kind === 'exact' ? 'use' : 'use-variant',
    criterion: null,
  }));
  for (const { id, advice, evidence } of report.criteria) {
    if (advice === null) continue;
    for (const { blockId, start, end } of evidence) {
      places.push({ blockId, start, end, look: 'noted', criterion: id });
      if (id === inHand) places.push({ blockId, start, end, look: 'in-hand', criterion: id });
    }
  }
  return places;
}
