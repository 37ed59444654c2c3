import { clock } from '../../../../core/talk/index.ts';

/** The second at which something was said: pressed, it plays from there. Nothing where it is not known. */
export function TimeButton({
  seconds,
  onTime,
  className = 'self-start pt-0.5 text-right',
}: {
  seconds: number | null;
  onTime: (seconds: number) => void;
  className?: string;
}) {
  if (seconds === null) return <span />;
  return (
    <button
      type="button"
      onClick={() => onTime(seconds)}
      className={`font-sans text-[12px] text-soft tabular-nums underline-offset-2 hover:text-marram hover:underline ${className}`}
    >
      {clock(seconds)}
    </button>
  );
}
