import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { byPointsToWin, type CriterionResult, GROUPS } from '../../../../core/criteria/index.ts';
import { scoreAsPage } from '../../../../core/study/index.ts';
import { noteOrderChosen, showEarnedSet } from '../../../state/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { CheckField } from '../../../ui/check-field.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Earned, ToWin } from '../../../ui/earned.tsx';
import { GROUP_NAMES } from '../../../ui/ridge.tsx';
import { TabPanel, TabSet, TabStrip } from '../../../ui/tabs.tsx';
import { useMedia } from '../../../ui/use-media.ts';
import type { OfferedFix } from '../../../workers/scoring-worker.ts';
import { Editable } from '../editable.tsx';
import { usePost } from '../post-context.ts';
import { useStudyRow } from '../use-study-row.ts';
import type { BodyEditor } from './body-editor.ts';
import { type NoteBox, stackNotes } from './note-layout.ts';
import { QuestionsLens } from './questions-lens.tsx';
import { TermsLens } from './terms-lens.tsx';
import { TrialLens } from './trial-lens.tsx';

interface MarginProps {
  body: BodyEditor;
  /** The column that holds sheet and margin; anchors are measured within it. */
  column: React.RefObject<HTMLDivElement | null>;
  inHand: string | null;
  setInHand: (id: string | null) => void;
  /** The note that was asked for from the sheet: it stands on its line. */
  pinned: string | null;
}

/** Criteria that ask for terms of the study. */
const TERM_CRITERIA: ReadonlySet<string> = new Set(['staple-terms', 'supporting-terms']);

type Lens = 'notes' | 'terms' | 'questions' | 'ledger' | 'trial';

/** The margin: notes level with the words they concern, or the ledger in short. */
export function Margin(props: MarginProps) {
  const { session } = usePost();
  const { report, trial, coverage, fields } = useAppSelector((state) => state.openPost);
  const study = useStudyRow(session.siteId, session.id);
  const facts = study?.facts ?? null;
  const [lens, setLens] = useState<Lens>('notes');
  const notes = useMemo(() => {
    if (!report) return [];
    // Beyond the best of the studied pages nothing asks for more terms; the ledger still tells them.
    const best = facts?.score ? scoreAsPage(report.criteria) > facts.score.best : false;
    return byPointsToWin(report.criteria).filter(
      ({ id, evidence }) => !best || evidence.length > 0 || !TERM_CRITERIA.has(id),
    );
  }, [report, facts]);
  return (
    <TabSet
      value={lens}
      onChange={setLens}
      upright
      className="flex min-w-[300px] flex-1 items-stretch max-[760px]:min-w-0 max-[760px]:flex-none max-[760px]:border-t"
    >
      <div className="w-[62px] shrink-0 border-l bg-sand/25">
        <TabStrip
          label="Margin"
          tabs={[
            { id: 'notes', name: 'Notes', count: notes.length },
            { id: 'terms', name: 'Terms', count: facts ? Object.keys(coverage?.uses ?? {}).length : null },
            { id: 'questions', name: 'Questions', count: fields.questions.length || null },
            { id: 'ledger', name: 'Ledger' },
            {
              id: 'trial',
              name: 'Try it',
              count: trial && report ? signed(report.score - trial.report.score) : null,
            },
          ]}
        />
      </div>
      <TabPanel of={lens} className="flex min-w-0 flex-1 items-stretch outline-offset-[-2px]">
        {lens === 'notes' ? (
          <Notes {...props} notes={notes} />
        ) : lens === 'terms' ? (
          <TermsLens body={props.body} study={facts} />
        ) : lens === 'questions' ? (
          <Editable>
            <QuestionsLens study={study ?? null} />
          </Editable>
        ) : lens === 'ledger' ? (
          <ShortLedger criteria={report?.criteria ?? []} />
        ) : (
          <Editable>
            <TrialLens />
          </Editable>
        )}
      </TabPanel>
    </TabSet>
  );
}

const signed = (points: number) => `${points < 0 ? '−' : '+'}${Math.abs(points).toFixed(1)}`;

function Notes({
  body,
  column,
  inHand,
  setInHand,
  pinned,
  notes,
}: MarginProps & { notes: CriterionResult[] }) {
  const { noteOrder, showEarned } = useAppSelector((state) => state.preferences);
  // On a phone the margin stands below the sheet, where no note can stand level with its words.
  const narrow = useMedia('(max-width: 760px)');
  const order = narrow ? 'points' : noteOrder;
  const dispatch = useAppDispatch();
  const fixes = useAppSelector((state) => state.openPost.fixes);
  const score = useAppSelector((state) => state.openPost.report?.score ?? 0);
  const list = useRef<HTMLOListElement>(null);
  const [tops, setTops] = useState<{
    tops: ReadonlyMap<string, number>;
    anchors: ReadonlyMap<string, number>;
    height: number;
  }>({ tops: new Map(), anchors: new Map(), height: 0 });

  /** Where each note would like to stand: all reads, before anything is written. */
  const place = useCallback(() => {
    const host = list.current;
    const within = column.current;
    if (!host || !within || order === 'points') return;
    const base = host.getBoundingClientRect().top;
    const boxes: NoteBox[] = notes.map((note) => ({
      id: note.id,
      anchor: anchorOf(note, body, within, base),
      height: host.querySelector<HTMLElement>(`[data-note-id="${note.id}"]`)?.offsetHeight ?? 60,
    }));
    boxes.sort((a, b) => a.anchor - b.anchor);
    const placed = stackNotes(boxes, pinned);
    const height = Math.max(0, ...boxes.map((box) => placed.get(box.id)! + box.height));
    setTops({ tops: placed, anchors: new Map(boxes.map((box) => [box.id, box.anchor])), height });
  }, [notes, body, column, pinned, order]);

  useLayoutEffect(place, [place]);
  useEffect(() => {
    const within = column.current;
    if (!within) return;
    let frame = 0;
    const observer = new ResizeObserver(() => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(place);
    });
    observer.observe(within);
    return () => {
      observer.disconnect();
      cancelAnimationFrame(frame);
    };
  }, [column, place]);

  const shown =
    order === 'points'
      ? notes
      : [...notes].sort((a, b) => (tops.anchors.get(a.id) ?? 0) - (tops.anchors.get(b.id) ?? 0));
  return (
    <section aria-label="Notes" className="min-w-0 flex-1 px-4">
      <div className="sticky top-0 z-10 flex items-center gap-3 bg-paper py-1.5 text-[13px] text-soft">
        <CheckField
          checked={showEarned}
          onChange={(checked) => dispatch(showEarnedSet(checked))}
          className="flex items-center gap-1.5 whitespace-nowrap"
        >
          Earned too
        </CheckField>
        <label className="ml-auto flex min-w-0 items-center gap-1.5 max-[760px]:hidden">
          <span className="max-[1100px]:sr-only">Order</span>
          <Choice
            value={order}
            onChange={(next) => dispatch(noteOrderChosen(next))}
            className="min-w-0 px-1 py-0.5"
            options={[
              { value: 'place', name: 'by place' },
              { value: 'points', name: 'by points to win' },
            ]}
          />
        </label>
      </div>
      {notes.length === 0 && (
        <p className="mt-6 text-soft">Nothing left to win. Everything that applies is earned.</p>
      )}
      <ol ref={list} className="relative" style={order === 'place' ? { height: tops.height } : undefined}>
        {shown.map((note) => (
          <Note
            key={note.id}
            note={note}
            fixes={fixes[note.id] ?? []}
            score={score}
            body={body}
            inHand={inHand === note.id}
            setInHand={setInHand}
            style={
              order === 'place'
                ? { position: 'absolute', insetInline: 0, top: tops.tops.get(note.id) ?? 0 }
                : { position: 'relative', marginBottom: 10 }
            }
            leader={
              order === 'place' ? (tops.anchors.get(note.id) ?? 0) - (tops.tops.get(note.id) ?? 0) : null
            }
          />
        ))}
      </ol>
      {showEarned && <EarnedList />}
    </section>
  );
}

/** What is earned in full, quietly under the notes. */
function EarnedList() {
  const report = useAppSelector((state) => state.openPost.report);
  const earned = (report?.criteria ?? []).filter(({ applies, advice }) => applies && advice === null);
  return (
    <section aria-label="Earned" className="mt-6 pb-10 text-[13px] text-soft">
      <h3 className="mb-1 font-semibold">
        Earned: {earned.length} {earned.length === 1 ? 'criterion' : 'criteria'}
      </h3>
      <ul>
        {earned.map(({ id, title, target, available }) => (
          <li key={id} className="flex items-center gap-2.5 border-t py-1" title={target}>
            <Earned share={1} />
            <span className="min-w-0 flex-1 truncate">{title}</span>
            {available.toFixed(1)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The height of the line a note speaks of, from the top of the list. */
function anchorOf(note: CriterionResult, body: BodyEditor, within: HTMLElement, base: number): number {
  const [first] = note.evidence;
  if (first) {
    const found = body.positionOf(first.blockId, first.start);
    if (found) {
      try {
        return body.editor.view.coordsAtPos(found.at).top - base;
      } catch {
        // The document moved on since the report: the note waits at the title for the next one.
      }
    }
  }
  // What concerns the whole post stands beside its title.
  const row = within.querySelector(`[data-place="${note.place === 'text' ? 'title' : note.place}"]`);
  return row ? row.getBoundingClientRect().top - base : 0;
}

interface NoteProps {
  note: CriterionResult;
  fixes: OfferedFix[];
  score: number;
  body: BodyEditor;
  inHand: boolean;
  setInHand: (id: string | null) => void;
  style: React.CSSProperties;
  /** Pixels from the note's top to its line; null: notes stand apart from the text. */
  leader: number | null;
}

function Note({ note, fixes, score, body, inHand, setInHand, style, leader }: NoteProps) {
  const { session } = usePost();
  const walked = useRef(0);
  const gain = note.available - note.points;
  /** Shows the next of the note's places and selects its words. */
  const show = () => {
    setInHand(note.id);
    const places = note.evidence;
    if (places.length === 0) return;
    const place = places[walked.current % places.length];
    walked.current += 1;
    const from = body.positionOf(place.blockId, place.start);
    if (!from) return;
    const { editor } = body;
    if (from.node.isTextblock) {
      const to = body.positionOf(place.blockId, place.end)!;
      editor.chain().focus().setTextSelection({ from: from.at, to: to.at }).scrollIntoView().run();
    } else editor.chain().focus().setNodeSelection(from.start).scrollIntoView().run();
  };
  const mend = (fix: OfferedFix) => {
    const takeBack = session.apply(fix.edits);
    offerUndo(`${fix.label}: ${score.toFixed(1)} → ${fix.scoreAfter.toFixed(1)}`, takeBack, 8000);
  };
  return (
    <li
      data-note-id={note.id}
      aria-label={note.title}
      style={style}
      onMouseEnter={() => setInHand(note.id)}
      onMouseLeave={() => setInHand(null)}
      className={`border-t pt-1.5 text-[13px] leading-[1.4] transition-[top] duration-150 ${inHand ? 'border-ochre' : 'border-line'}`}
    >
      {leader !== null && inHand && note.evidence.length > 0 && (
        <span
          aria-hidden
          className="absolute -left-4 h-px w-4 bg-ochre"
          style={{ top: Math.max(-1, leader + 12) }}
        />
      )}
      <div className="flex gap-2.5">
        <span className="pt-1">
          <Earned share={note.points / note.available} />
        </span>
        <div className="min-w-0 flex-1">
          <button
            type="button"
            title={`Wished: ${note.target}`}
            onClick={show}
            onFocus={() => setInHand(note.id)}
            className="block w-full text-left font-medium break-words hover:text-sea"
          >
            {note.advice}
            {note.evidence.length > 1 && (
              <span className="font-normal text-soft"> ({note.evidence.length} places)</span>
            )}
          </button>
          {fixes.length > 0 && (
            <Editable>
              <p className="mt-0.5 flex flex-wrap gap-x-3 gap-y-0.5">
                {fixes.map((fix) => (
                  <span key={JSON.stringify(fix.edits)} className="min-w-0">
                    <button
                      type="button"
                      onClick={() => mend(fix)}
                      className="text-left font-semibold break-words text-marram underline decoration-marram/40 underline-offset-4 hover:decoration-marram"
                    >
                      {fix.label}
                    </button>{' '}
                    <span className="text-[12px] whitespace-nowrap text-soft">
                      {score.toFixed(1)} → {fix.scoreAfter.toFixed(1)}
                    </span>
                  </span>
                ))}
              </p>
            </Editable>
          )}
        </div>
        <ToWin points={gain} />
      </div>
    </li>
  );
}

function ShortLedger({ criteria }: { criteria: readonly CriterionResult[] }) {
  return (
    <section aria-label="Ledger" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {GROUPS.map((group) => (
        <div key={group} className="mb-3">
          <h3 className="mb-1 font-semibold">{GROUP_NAMES[group]}</h3>
          <ul>
            {criteria
              .filter((line) => line.group === group)
              .map((line) => (
                <li
                  key={line.id}
                  className={`flex items-center gap-2.5 border-t py-1 ${line.applies ? '' : 'text-soft'}`}
                >
                  <Earned share={line.applies ? line.points / line.available : null} />
                  <span className="min-w-0 flex-1 truncate" title={line.advice ?? line.target}>
                    {line.title}
                  </span>
                  {line.advice === null ? (
                    <span className="text-soft">{line.applies ? 'earned' : 'does not apply'}</span>
                  ) : (
                    <ToWin points={line.available - line.points} />
                  )}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
