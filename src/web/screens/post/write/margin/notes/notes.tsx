import { useMemo, useRef } from 'react';
import { type CriterionResult, isWholePost } from '../../../../../../core/criteria/index.ts';
import { noteOrderChosen, showEarnedSet } from '../../../../../state/preferences.ts';
import { useAppDispatch, useAppSelector } from '../../../../../state/store.ts';
import { CheckField } from '../../../../../ui/check-field.tsx';
import { Choice } from '../../../../../ui/choice.tsx';
import { useMedia } from '../../../../../ui/use-media.ts';
import type { LensProps } from '../lens-props.ts';
import { EarnedList } from './earned-list.tsx';
import { Note } from './note.tsx';
import { useNotePlaces } from './use-note-places.ts';
import { WholePost } from './whole-post.tsx';

const NO_NOTES: CriterionResult[] = [];

/** Notes level with the words they concern, or by what they would win. */
export function Notes({ body, column, inHand, setInHand, pinned, notes }: LensProps) {
  const { noteOrder, showEarned } = useAppSelector((state) => state.preferences);
  // On a phone the margin stands below the sheet, where no note can stand level with its words.
  const narrow = useMedia('(max-width: 760px)');
  const order = narrow ? 'points' : noteOrder;
  const dispatch = useAppDispatch();
  const fixes = useAppSelector((state) => state.openPost.fixes);
  const score = useAppSelector((state) => state.openPost.report?.score ?? 0);
  const list = useRef<HTMLOListElement>(null);
  // What speaks of no place would stand beside the title and push all else off its line.
  const whole = order === 'place' ? notes.filter(isWholePost) : NO_NOTES;
  const placed = useMemo(
    () => (order === 'place' ? notes.filter((note) => !isWholePost(note)) : notes),
    [notes, order],
  );
  const { tops, anchors, height } = useNotePlaces({
    notes: placed,
    body,
    column,
    list,
    pinned,
    byPlace: order === 'place',
    offers: fixes,
  });
  const shown =
    order === 'points'
      ? placed
      : [...placed].sort((a, b) => (anchors.get(a.id) ?? 0) - (anchors.get(b.id) ?? 0));
  const common = (note: CriterionResult) => ({
    fixes: fixes[note.id] ?? [],
    score,
    body,
    inHand: inHand === note.id,
    setInHand,
  });
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
      {whole.length > 0 && (
        <WholePost notes={whole}>
          {whole.map((note) => (
            <Note
              key={note.id}
              note={note}
              {...common(note)}
              style={{ position: 'relative', marginBottom: 10 }}
              leader={null}
            />
          ))}
        </WholePost>
      )}
      <ol ref={list} className="relative" style={order === 'place' ? { height } : undefined}>
        {shown.map((note) => (
          <Note
            key={note.id}
            note={note}
            {...common(note)}
            style={
              order === 'place'
                ? { position: 'absolute', insetInline: 0, top: tops.get(note.id) ?? 0 }
                : { position: 'relative', marginBottom: 10 }
            }
            leader={order === 'place' ? (anchors.get(note.id) ?? 0) - (tops.get(note.id) ?? 0) : null}
          />
        ))}
      </ol>
      {showEarned && <EarnedList />}
    </section>
  );
}
