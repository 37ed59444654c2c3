import { NavLink } from 'react-router';
import { STEP_NAMES, STEPS, type Step, type StepState } from './trail-state.ts';

const WIDTH = 770;
const LOW = 30;

/** The dune line under the six marks; the present one stands on the highest hump. */
function dunes(present: number): string {
  const part = WIDTH / STEPS.length;
  let path = `M0 ${LOW}`;
  STEPS.forEach((_, at) => {
    const x = at * part;
    const top = at === present ? 8 : 17;
    path += `C${x + part * 0.25} ${LOW} ${x + part * 0.28} ${top} ${x + part / 2} ${top}S${x + part * 0.75} ${LOW} ${x + part} ${LOW}`;
  });
  return path;
}

const STATE_WORDS: Record<StepState, string> = { empty: 'empty', begun: 'begun', ready: 'ready' };

/** The six steps of a post. Any can be opened at any time. */
export function Trail({
  postId,
  present,
  states,
}: {
  postId: string;
  present: Step | null;
  states: Record<Step, StepState>;
}) {
  const at = present === null ? -1 : STEPS.indexOf(present);
  return (
    <nav
      aria-label="Trail"
      className="relative h-[52px] w-full max-w-[770px] min-w-[420px] max-[760px]:min-w-0"
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${LOW + 1}`}
        preserveAspectRatio="none"
        className="absolute inset-x-0 bottom-0 h-[31px] w-full"
        aria-hidden
      >
        <path d={`${dunes(at)}V${LOW + 1}H0Z`} className="fill-sand/45" />
        <path
          d={dunes(at)}
          fill="none"
          className="stroke-sand"
          strokeWidth="1.6"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <ol className="absolute inset-0 grid grid-cols-6">
        {STEPS.map((step) => (
          <li key={step} className="relative text-center">
            <NavLink
              to={`/posts/${postId}/${step}`}
              className={`absolute inset-x-0 flex flex-col items-center gap-0.5 ${step === present ? 'top-0 font-semibold text-ink' : 'top-[9px] text-soft hover:text-ink'}`}
            >
              <span className="text-[13px] leading-[20px]">{STEP_NAMES[step]}</span>
              <StepMark state={states[step]} />
              <span className="sr-only">, {STATE_WORDS[states[step]]}</span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}

function StepMark({ state }: { state: StepState }) {
  return (
    <svg width="11" height="11" viewBox="0 0 11 11" aria-hidden>
      <circle cx="5.5" cy="5.5" r="4.4" className="fill-sheet stroke-marram" strokeWidth="1.5" />
      {state === 'begun' && <path d="M1.1 5.5a4.4 4.400 0 0 0 8.800 0z" className="fill-marram" />}
      {state === 'ready' && <circle cx="5.5" cy="5.5" r="4.4" className="fill-marram" />}
    </svg>
  );
}
