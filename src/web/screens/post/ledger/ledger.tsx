import { type CriterionResult, GROUPS, type Group } from '../../../../core/criteria/index.ts';
import { Earned, ToWin } from '../../../ui/earned.tsx';
import { GROUP_NAMES } from '../../../ui/ridge.tsx';
import { measuredInWords } from './measured-in-words.ts';

/** Every criterion by group: what is earned of it; where there is room also what was measured, its target and its points. */
export function Ledger({
  criteria,
  narrow = false,
}: {
  criteria: readonly CriterionResult[];
  /** In a column: the criterion, its state and what is to win alone. */
  narrow?: boolean;
}) {
  return (
    <section aria-label="Ledger" className={narrow ? 'min-w-0 flex-1 px-4 pt-3 pb-10' : ''}>
      <h2 className={narrow ? 'sr-only' : 'mb-2 font-serif text-xl font-semibold'}>Ledger</h2>
      <table className={`w-full border-collapse text-[13px] ${narrow ? 'table-fixed' : ''}`}>
        {narrow && (
          <colgroup>
            <col className="w-6" />
            <col />
            <col className="w-16" />
          </colgroup>
        )}
        <thead className={narrow ? 'sr-only' : 'text-left text-soft'}>
          <tr className="border-b">
            <th className="w-6 py-1.5 font-normal">
              <span className="sr-only">State</span>
            </th>
            <th className="py-1.5 font-normal">Criterion</th>
            {!narrow && (
              <>
                <th className="py-1.5 font-normal">Measured</th>
                <th className="py-1.5 font-normal">Target</th>
                <th className="py-1.5 text-right font-normal">Points</th>
              </>
            )}
            <th className={`py-1.5 text-right font-normal ${narrow ? 'w-14' : 'w-16'}`}>To win</th>
          </tr>
        </thead>
        {GROUPS.map((group) => (
          <GroupLines
            key={group}
            group={group}
            lines={criteria.filter((line) => line.group === group)}
            narrow={narrow}
          />
        ))}
      </table>
    </section>
  );
}

function GroupLines({
  group,
  lines,
  narrow,
}: {
  group: Group;
  lines: readonly CriterionResult[];
  narrow: boolean;
}) {
  const points = lines.reduce((sum, line) => sum + line.points, 0);
  const available = lines.reduce((sum, line) => sum + line.available, 0);
  const space = narrow ? 'pt-2.5 pb-1' : 'pt-4 pb-1.5';
  return (
    <tbody>
      <tr className="border-b">
        <th
          colSpan={narrow ? 2 : 4}
          scope="rowgroup"
          className={`${space} text-left font-semibold ${narrow ? '' : 'text-[14px]'}`}
        >
          {GROUP_NAMES[group]}
        </th>
        {!narrow && (
          <td className={`${space} text-right font-semibold`}>
            {available > 0 ? `${points.toFixed(1)} of ${available.toFixed(1)}` : ''}
          </td>
        )}
        <td />
      </tr>
      {lines.map((line) => (
        <tr
          key={line.id}
          data-criterion={line.id}
          className={`border-b align-top ${line.applies ? '' : 'text-soft'}`}
        >
          <td className={narrow ? 'pt-1.5' : 'pt-2.5'}>
            <Earned share={line.applies ? line.points / line.available : null} />
          </td>
          <td
            className={narrow ? 'truncate py-1 pr-2' : 'py-1.5 pr-4'}
            title={narrow ? (line.advice ?? line.target) : undefined}
          >
            {line.title}
          </td>
          {!narrow && (
            <>
              <td className="max-w-52 py-1.5 pr-4 break-words">
                {line.applies ? measuredInWords(line) : 'does not apply'}
              </td>
              <td className="max-w-72 py-1.5 pr-4 text-soft">{line.target}</td>
              <td data-points={line.points} className="py-1.5 text-right whitespace-nowrap">
                {line.applies ? `${line.points.toFixed(1)} of ${line.available.toFixed(1)}` : '–'}
              </td>
            </>
          )}
          <td className={`text-right ${narrow ? 'py-1' : 'py-1.5'}`}>
            {line.advice !== null ? (
              <ToWin points={line.available - line.points} />
            ) : (
              narrow && <span className="text-soft">{line.applies ? 'earned' : '–'}</span>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  );
}
