import { useRef } from 'react';
import type { CriterionResult } from '../../../../../../core/criteria/index.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Earned, ToWin } from '../../../../../ui/earned.tsx';
import type { OfferedFix } from '../../../../../workers/scoring-worker.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

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

/** One note: what to do, in a line; pressed, it shows its places; what can be mended by itself stands below. */
export function Note({ note, fixes, score, body, inHand, setInHand, style, leader }: NoteProps) {
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
    body.select(place);
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
                    <Button look="word" className="inline! break-words" onClick={() => mend(fix)}>
                      {fix.label}
                    </Button>{' '}
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
