import type { BadRow } from '../../../core/research/index.ts';
import { dateInWords } from '../../ui/day.ts';
import { counted } from '../../ui/figures.ts';
import type { ImportResult } from '../../workers/keyword-imports.ts';

/** Rows or cells that could not be read, each with its line; the rest are counted. */
function Left({
  name,
  count,
  examples,
  one,
}: {
  name: string;
  count: number;
  examples: readonly BadRow[];
  one: string;
}) {
  if (count === 0) return null;
  return (
    <ul aria-label={name} className="max-h-60 overflow-auto text-[13px]">
      {examples.map(({ line, reason }) => (
        <li key={`${line} ${reason}`} className="border-t py-1">
          Line {line.toLocaleString('en')}: {reason}.
        </li>
      ))}
      {count > examples.length && (
        <li className="border-t py-1 text-soft">And {counted(count - examples.length, one)} like these.</li>
      )}
    </ul>
  );
}

/** What an import took, each row that it left out, and each cell that it took the row without. */
export function ImportAccount({ result }: { result: ImportResult }) {
  const { taken, bad, examples, badCells, cellExamples, notCounted = [] } = result;
  return (
    <section aria-label="What was read" className="mt-6 max-w-3xl border-t pt-4">
      <h3 className="mb-1 font-semibold">
        {counted(taken, 'row')} taken, {counted(bad, 'row')} left out
      </h3>
      {notCounted.map(({ from, to }) => (
        <p key={`${from} ${to}`} className="mb-2 text-ochre">
          {dateInWords(from)} to {dateInWords(to)} is kept and does not count: its days are known better from
          figures that were brought before, and none counts twice. Site, Performance, Figures brought shows
          which.
        </p>
      ))}
      <Left name="Rows left out" count={bad} examples={examples} one="more row" />
      {badCells > 0 && (
        <h4 className="mt-3 mb-1 font-semibold">
          {counted(badCells, 'cell')} not read; their rows are taken without
        </h4>
      )}
      <Left name="Cells not read" count={badCells} examples={cellExamples} one="more cell" />
    </section>
  );
}
