import type { AuditChange, AuditTotals } from '../../../../core/audit/index.ts';
import { counted } from '../../../ui/figures.ts';
import { GROUP_NAMES } from '../../../ui/ridge.tsx';

/** A change in points, with its direction in words for readers. */
export function Change({ by, digits = 1 }: { by: number; digits?: number }) {
  const size = Math.abs(by).toFixed(digits);
  if (Number(size) === 0) return <span className="text-soft">as before</span>;
  return by > 0 ? (
    <span className="font-semibold whitespace-nowrap text-marram">up {size}</span>
  ) : (
    <span className="font-semibold whitespace-nowrap text-rust">down {size}</span>
  );
}

/** The site in figures: its mean score, and each group with how it stood before. */
export function AuditSummary({ totals, change }: { totals: AuditTotals; change: AuditChange | null }) {
  return (
    <section aria-label="The site in figures" className="flex flex-wrap items-start gap-x-8 gap-y-3">
      <p className="shrink-0">
        <span className="text-[44px] leading-none font-semibold">
          {totals.mean === null ? '–' : totals.mean.toFixed(1)}
        </span>
        <span className="block text-[13px] text-soft">mean of {counted(totals.posts, 'post')}</span>
        {change?.mean && (
          <span className="block text-[13px]">
            <Change by={change.mean.after - change.mean.before} />
          </span>
        )}
      </p>
      <ul aria-label="By group" className="grid min-w-0 flex-1 grid-cols-2 lg:grid-cols-4 gap-x-5 gap-y-2">
        {totals.groups.map(({ group, share }) => {
          const own = change?.groups.find((one) => one.group === group);
          return (
            <li key={group}>
              <span className="flex items-baseline justify-between gap-2 text-[13px]">
                {GROUP_NAMES[group]}
                <span className="font-semibold">{share === null ? '–' : `${Math.round(share * 100)} %`}</span>
              </span>
              <span aria-hidden className="mt-0.5 block h-1.5 rounded-full bg-sand">
                <span
                  className="block h-full rounded-full bg-marram"
                  style={{ width: `${Math.round((share ?? 0) * 100)}%` }}
                />
              </span>
              {own && (
                <span className="text-[12px]">
                  <Change by={(own.after - own.before) * 100} />
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
