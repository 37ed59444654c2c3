import type { Unsaid } from '../../../../core/study/index.ts';
import { countInWords } from '../../../ui/figures.ts';

/** What is asked for and few or none of the pages say. */
export function UnsaidTab({ unsaid }: { unsaid: readonly Unsaid[] }) {
  if (unsaid.length === 0)
    return (
      <p className="py-6 text-soft">
        Nothing that is known to be asked for is missing on the pages. Without a source of figures nothing is
        known.
      </p>
    );
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        Asked or searched for, and said by a tenth of the pages at most. To answer it is to be more useful
        than they are.
      </p>
      <table aria-label="What nobody says" className="w-full text-[13px]">
        <thead className="text-left text-soft">
          <tr>
            <th className="py-1 font-normal">What</th>
            <th className="w-56 font-normal">How it is known</th>
            <th className="w-24 text-right font-normal">Searches</th>
            <th className="w-24 text-right font-normal">Pages</th>
          </tr>
        </thead>
        <tbody>
          {unsaid.map(({ text, kind, demand, volume, pages }) => (
            <tr key={`${kind} ${text}`} className="border-t">
              <td className="py-1.5">
                {text} {kind !== 'phrase' && <span className="text-soft">{kind}</span>}
              </td>
              <td className="py-1.5 text-soft">{demand}</td>
              <td className="py-1.5 text-right tabular-nums">{countInWords(volume)}</td>
              <td className="py-1.5 text-right tabular-nums" title={pages.join('\n')}>
                {pages.length === 0 ? 'none' : pages.length}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
