import { useMemo } from 'react';
import { type Holder, overlapOf, overlapsOf, type SameAsking } from '../../../core/research/index.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { None } from '../../ui/empty.tsx';
import { overlapInWords } from '../../ui/overlap-words.ts';

/** So many holders stand in the matrix at most: more could not be read. */
const MAX_HOLDERS = 40;

/** Every list and post against every other. */
export function OverlapMatrix({
  holders,
  lists,
  asking,
}: {
  holders: readonly Holder[];
  lists: readonly ListRow[];
  asking: SameAsking;
}) {
  const { shown, isPair } = useMemo(() => {
    // A list and the post that was begun from it hold the same phrases on purpose.
    const posts = new Map(lists.map(({ id, postId }) => [`list ${id}`, `post ${postId}`]));
    const paired = (a: string, b: string) => posts.get(a) === b || posts.get(b) === a;
    const weight = (own: Holder) =>
      overlapsOf(
        own,
        holders.filter(({ id }) => !paired(own.id, id)),
        asking,
      ).reduce((sum, { share, samePrimary }) => sum + Math.max(share, samePrimary ? 1 : 0), 0);
    return {
      isPair: paired,
      shown: holders
        .map((holder) => ({ holder, weight: weight(holder) }))
        .filter(({ weight: total }) => total > 0)
        .sort((a, b) => b.weight - a.weight)
        .slice(0, MAX_HOLDERS)
        .map(({ holder }) => holder),
    };
  }, [holders, lists, asking]);
  if (shown.length === 0) return <None>No two lists or posts share a phrase.</None>;
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <p className="mb-3 text-soft">
        Phrases shared, in per cent of the smaller of the two. From 50 % on, or with primary keywords that
        mean the same or find the same pages (1), two compete.
      </p>
      <table aria-label="Overlap of lists and posts" className="text-[12px]">
        <thead>
          <tr>
            <td />
            {shown.map(({ id }, at) => (
              <th key={id} className="w-9 text-center font-normal text-soft">
                {at + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row, at) => (
            <tr key={row.id}>
              <th className="max-w-72 truncate pr-3 text-left font-normal">
                <span className="text-soft">{at + 1}</span> {row.name}{' '}
                <span className="text-soft">{row.id.startsWith('post') ? 'post' : 'list'}</span>
              </th>
              {shown.map((column, other) => {
                if (other === at || isPair(row.id, column.id))
                  return <td key={column.id} className="h-8 w-9 bg-sand/30" />;
                const overlap = overlapOf(row, column, asking);
                const { share, degree, samePrimary } = overlap;
                return (
                  <td
                    key={column.id}
                    title={`${row.name} and ${column.name}: ${overlapInWords(overlap)}`}
                    className={`h-8 w-9 border text-center tabular-nums ${degree === 'clash' ? 'border-2 border-ochre font-semibold text-ochre' : degree === 'mentioned' ? 'text-ochre' : 'text-soft'}`}
                  >
                    {share > 0 ? Math.round(share * 100) : ''}
                    {samePrimary && share === 0 ? '1' : ''}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
