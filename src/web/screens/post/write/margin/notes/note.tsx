import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { type CriterionResult, gainOf } from '../../../../../../core/criteria/index.ts';
import type { OfferedFix } from '../../../../../../core/scoring/index.ts';
import { asksForSlug } from '../../../../../state/post/move-address.ts';
import { useAppDispatch } from '../../../../../state/store.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { slugAsked } from '../../../../../state/view.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Earned, ToWin } from '../../../../../ui/earned.tsx';
import { counted } from '../../../../../ui/figures.ts';
import { Editable } from '../../../frame/editable.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';
import { FixOffer } from './fix-offer.tsx';
import { leadTo } from './lead-to.ts';

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
  const navigate = useNavigate();
  const walked = useRef(0);
  const [allShown, setAllShown] = useState(false);
  /** Leads to the next of the note's places. */
  const show = () => {
    setInHand(note.id);
    leadTo(note, walked.current, { body, postId: session.id, navigate });
    walked.current += 1;
  };
  const dispatch = useAppDispatch();
  const mend = (fix: OfferedFix) => {
    const slug = fix.edits.find((edit) => edit.kind === 'set-field' && edit.field === 'slug');
    if (slug?.kind === 'set-field' && asksForSlug(session.document.fields)) {
      dispatch(slugAsked({ postId: session.id, slug: String(slug.value) }));
      return;
    }
    const before = session.document;
    const takeBack = session.apply(fix.edits);
    const { fields, draft } = session.document;
    if (fields === before.fields && draft === before.draft)
      toast(`"${fix.label}" came too late: the words that it was for are not there any more.`);
    else offerUndo(`${fix.label}: ${score.toFixed(1)} → ${fix.scoreAfter.toFixed(1)}`, takeBack, 8000);
  };
  const shown = allShown ? fixes : fixes.slice(0, 1);
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
              <div className="mt-0.5 space-y-1">
                {shown.map((fix) => (
                  <FixOffer
                    key={JSON.stringify(fix.edits)}
                    fix={fix}
                    score={score}
                    onMend={() => mend(fix)}
                  />
                ))}
              </div>
              {fixes.length > 1 && (
                <Button look="word" className="text-[12px]" onClick={() => setAllShown(!allShown)}>
                  {allShown ? 'Only the first' : `${counted(fixes.length - 1, 'other way', 'other ways')}`}
                </Button>
              )}
            </Editable>
          )}
        </div>
        <ToWin points={gainOf(note)} />
      </div>
    </li>
  );
}
