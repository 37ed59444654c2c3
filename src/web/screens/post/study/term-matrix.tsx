import type { Term } from '../../../../core/study/index.ts';
import type { StudyLine } from '../../../workers/study.ts';

/** Terms that the matrix shows. */
const MAX_TERMS = 40;

/** Terms against pages: a square for each, filled from below by how often the page uses the term beside the others. */
export function TermMatrix({ terms, lines }: { terms: readonly Term[]; lines: readonly StudyLine[] }) {
  const pages = lines.filter(({ ref, figures }) => figures && !ref.left);
  const shown = terms.slice(0, MAX_TERMS);
  return (
    <div className="overflow-x-auto">
      <table aria-label="Terms against pages" className="text-[12px]">
        <thead>
          <tr>
            <th className="sticky left-0 bg-paper pr-3 text-left font-normal text-soft">Term</th>
            {pages.map(({ ref }) => (
              <th
                key={ref.address}
                scope="col"
                title={`${ref.rank}. ${ref.title}, ${ref.publisher}`}
                className="w-6 px-0.5 text-center font-normal text-soft tabular-nums"
              >
                <span className="sr-only">Rank </span>
                {ref.rank}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((term) => {
            const uses = new Map(term.pages.map((page) => [page.address, page.uses]));
            return (
              <tr key={term.key} className="border-t">
                <th
                  scope="row"
                  className="sticky left-0 max-w-52 truncate bg-paper py-0.5 pr-3 text-left font-normal"
                  title={term.form}
                >
                  {term.form}
                </th>
                {pages.map(({ ref, figures }) => {
                  const here = uses.get(ref.address) ?? 0;
                  const rate = (1000 * here) / Math.max(1, figures!.words);
                  const full = term.band ? Math.max(term.band.upper, 0.1) : 1;
                  const share = Math.min(1, rate / full);
                  return (
                    <td
                      key={ref.address}
                      className="px-0.5 text-center"
                      title={`${ref.title}: ${here === 0 ? 'not used' : `${here} times`}`}
                    >
                      <span className="sr-only">{here}</span>
                      <span
                        aria-hidden
                        className="mx-auto block size-3.5 rounded-[3px] border border-line"
                        style={{
                          background: `linear-gradient(to top, var(--c-marram) ${share * 100}%, transparent ${share * 100}%)`,
                        }}
                      />
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-[12px] text-soft">
        A full square: as often, for its length, as the upper quartile of the pages that use the term. Numbers
        are the ranks of the pages.
      </p>
    </div>
  );
}
