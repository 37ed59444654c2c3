import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { AboutStep } from './about-step.tsx';
import { GUIDED_NAMES, GUIDED_STEPS, type GuidedStep } from './guided.ts';
import { IntroductionStep } from './introduction-step.tsx';
import { OutlinePlan } from './outline-plan.tsx';
import { TextStep } from './text-step.tsx';
import { TitlesStep } from './titles-step.tsx';

const PAGES = {
  about: AboutStep,
  titles: TitlesStep,
  outline: OutlinePlan,
  introduction: IntroductionStep,
  text: TextStep,
} as const satisfies Record<GuidedStep, () => React.ReactNode>;

/** Guided start: one screen after the other from what the post is about to its first draft. Each can be passed over, or opened at any time. */
export function GuidedStart() {
  const { session } = usePost();
  const navigate = useNavigate();
  const [step, setStep] = useState<GuidedStep>('about');
  const { fields, outline, words } = useAppSelector((state) => state.openPost);
  const Shown = PAGES[step];
  const at = GUIDED_STEPS.indexOf(step);
  const isDone: Record<GuidedStep, boolean> = {
    about: fields.keyword !== '',
    titles: fields.title !== '',
    outline: outline.length > 0,
    introduction: words > 30,
    text: words > 200,
  };
  // The way forward begins at the top of each screen.
  useEffect(() => {
    document.getElementById(`guided-${step}`)?.focus();
  }, [step]);
  return (
    <main className="h-full overflow-auto">
      <Editable>
        <div className="mx-auto grid max-w-5xl grid-cols-[190px_minmax(0,1fr)] gap-x-10 px-8 py-8 max-[760px]:grid-cols-1">
          <nav aria-label="Guided start">
            <h2 className="mb-2 font-serif text-xl font-semibold">Guided start</h2>
            <ol>
              {GUIDED_STEPS.map((one, index) => (
                <li key={one}>
                  <button
                    type="button"
                    aria-current={one === step ? 'step' : undefined}
                    onClick={() => setStep(one)}
                    className="flex w-full items-baseline gap-2 border-l-2 border-line py-1.5 pl-3 text-left text-soft hover:text-ink aria-[current=step]:border-marram aria-[current=step]:font-semibold aria-[current=step]:text-ink"
                  >
                    <span className="tabular-nums">{index + 1}</span>
                    <span>
                      {GUIDED_NAMES[one]}
                      {isDone[one] && <span className="font-normal text-soft"> · there</span>}
                    </span>
                  </button>
                </li>
              ))}
            </ol>
            <p className="mt-4 text-[13px] text-soft">
              Each step can be passed over. What you take is in the post at once; all of it is in the history.
            </p>
          </nav>
          <section aria-labelledby={`guided-${step}`} className="min-w-0">
            <h3
              id={`guided-${step}`}
              tabIndex={-1}
              className="mb-4 font-serif text-[24px] font-semibold outline-none"
            >
              {GUIDED_NAMES[step]}
            </h3>
            <Shown />
            <p className="mt-8 flex flex-wrap gap-3 border-t pt-4">
              {at > 0 && <Button onClick={() => setStep(GUIDED_STEPS[at - 1])}>Back</Button>}
              {at < GUIDED_STEPS.length - 1 ? (
                <Button look="main" onClick={() => setStep(GUIDED_STEPS[at + 1])}>
                  On to: {GUIDED_NAMES[GUIDED_STEPS[at + 1]].toLowerCase()}
                </Button>
              ) : (
                <Button look="main" onClick={() => navigate(`/posts/${session.id}/write`)}>
                  Go on in Write
                </Button>
              )}
            </p>
          </section>
        </div>
      </Editable>
    </main>
  );
}
