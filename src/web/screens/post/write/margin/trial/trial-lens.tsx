import type { ScoreReport } from '../../../../../../core/criteria/index.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { Button } from '../../../../../ui/button.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { ScoreChange } from '../../../versions/score-change.tsx';

/** Try it: a change of listing or text on trial, the difference shown criterion by criterion, kept or taken back. */
export function TrialLens() {
  const { session } = usePost();
  const { report, words, trial } = useAppSelector((state) => state.openPost);
  return (
    <section aria-label="Try it" className="min-w-0 flex-1 px-4 pt-3 pb-10">
      {trial && report ? (
        <>
          <h2 className="mb-1 font-serif text-xl font-semibold">On trial</h2>
          <p className="mb-3 text-[13px] text-soft">
            Change the listing, the title or the text. Everything since you began can be taken back in one go.
          </p>
          <div className="mb-4 border-y py-3" role="status">
            <ScoreChange
              narrow
              before={{ ...(trial.report as ScoreReport), words: trial.words }}
              after={{ ...(report as ScoreReport), words }}
            />
          </div>
          <div className="flex gap-2">
            <Button look="main" onClick={() => session.endTrial('keep')}>
              Keep it
            </Button>
            <Button onClick={() => session.endTrial('take-back')}>Take it back</Button>
          </div>
        </>
      ) : (
        <>
          <h2 className="mb-1 font-serif text-xl font-semibold">Try it</h2>
          <p className="mb-3 text-[13px] text-soft">
            Not sure about another title, a shorter description or a section less? Try it: what each criterion
            gains or loses stands here while you type. Then keep it, or take all of it back.
          </p>
          <Button look="main" disabled={!report} onClick={() => attempt(session.beginTrial())}>
            Begin a trial
          </Button>
        </>
      )}
    </section>
  );
}
