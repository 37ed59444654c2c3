/** A criterion's state: a small square filled from below; a dash where it does not apply. */
export function Earned({ share }: { share: number | null }) {
  const words =
    share === null
      ? 'does not apply'
      : share === 1
        ? 'earned'
        : share === 0
          ? 'not earned'
          : `${Math.round(share * 100)} % earned`;
  return (
    <svg role="img" aria-label={words} width="12" height="12" viewBox="0 0 12 12" className="shrink-0">
      {share === null ? (
        <line x1="1" x2="11" y1="6" y2="6" className="stroke-soft" strokeWidth="1.6" />
      ) : (
        <>
          <rect
            x="0.7"
            y="0.7"
            width="10.6"
            height="10.6"
            rx="1.6"
            className="fill-none stroke-marram"
            strokeWidth="1.2"
          />
          <rect
            x="0.7"
            y={0.7 + 10.6 * (1 - share)}
            width="10.6"
            height={10.6 * share}
            rx={share === 1 ? 1.6 : 0}
            className="fill-marram"
          />
        </>
      )}
    </svg>
  );
}

/** Points to win, in ochre. */
export const ToWin = ({ points }: { points: number }) => (
  <span className="font-semibold whitespace-nowrap text-ochre">{`+${points.toFixed(1)}`}</span>
);
