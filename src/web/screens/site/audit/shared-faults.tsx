import type { AuditTotals } from '../../../../core/audit/index.ts';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';

/** What costs the site most, over all its posts. */
export function SharedFaults({ faults, posts }: Pick<AuditTotals, 'faults' | 'posts'>) {
  if (faults.length === 0) return <None>Nothing is left to win.</None>;
  const most = faults[0].points;
  return (
    <ol aria-label="What costs most" className="max-w-3xl">
      {faults.map(({ id, title, posts: own, points }) => (
        <li key={id} className="border-t py-2 first:border-t-0">
          <span className="flex items-baseline gap-3">
            <span className="min-w-0 flex-1">{title}</span>
            <span className="text-[13px] text-soft">
              {own} of {counted(posts, 'post')}
            </span>
            <span className="w-16 text-right font-semibold text-ochre">{points.toFixed(0)}</span>
          </span>
          <span aria-hidden className="mt-1 block h-1 bg-sand">
            <span className="block h-full bg-ochre" style={{ width: `${(points / most) * 100}%` }} />
          </span>
        </li>
      ))}
    </ol>
  );
}
