import { counted } from '../../ui/figures.ts';
import type { ImportResult } from '../../workers/keyword-imports.ts';

/** What an import took, and each row that it left out. */
export function ImportAccount({ result }: { result: ImportResult }) {
  return (
    <section aria-label="What was read" className="mt-6 max-w-3xl border-t pt-4">
      <h3 className="mb-1 font-semibold">
        {counted(result.taken, 'row')} taken, {counted(result.bad, 'row')} left out
      </h3>
      {result.bad > 0 && (
        <ul aria-label="Rows left out" className="max-h-60 overflow-auto text-[13px]">
          {result.examples.map(({ line, reason }) => (
            <li key={line} className="border-t py-1">
              Line {line.toLocaleString('en')}: {reason}.
            </li>
          ))}
          {result.bad > result.examples.length && (
            <li className="border-t py-1 text-soft">
              And {counted(result.bad - result.examples.length, 'more row')} like these.
            </li>
          )}
        </ul>
      )}
    </section>
  );
}
