import { useAppSelector } from '../../../../../state/store.ts';
import { Earned } from '../../../../../ui/earned.tsx';

/** What is earned in full, quietly under the notes. */
export function EarnedList() {
  const report = useAppSelector((state) => state.openPost.report);
  const earned = (report?.criteria ?? []).filter(({ applies, advice }) => applies && advice === null);
  return (
    <section aria-label="Earned" className="mt-6 pb-10 text-[13px] text-soft">
      <h3 className="mb-1 font-semibold">
        Earned: {earned.length} {earned.length === 1 ? 'criterion' : 'criteria'}
      </h3>
      <ul>
        {earned.map(({ id, title, target, available }) => (
          <li key={id} className="flex items-center gap-2.5 border-t py-1" title={target}>
            <Earned share={1} />
            <span className="min-w-0 flex-1 truncate">{title}</span>
            {available.toFixed(1)}
          </li>
        ))}
      </ul>
    </section>
  );
}
