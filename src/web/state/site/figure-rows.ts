import type { DaySpan } from '../../../core/research/index.ts';
import type { RowsSource } from '../../ui/figure/rows-dialog.tsx';
import { researchWorker } from '../../workers/research-client.ts';

/** The rows of search figures that a figure of a page, or of some of its queries, is made of. */
export function figureRows(
  siteId: string,
  path: string,
  windows: readonly DaySpan[],
  queries: readonly string[] | null = null,
): RowsSource {
  // What else a window holds need not cross to the worker.
  const spans = windows.map(({ from, to }) => ({ from, to }));
  const [first, ...more] = queries ?? [];
  const asked = first === undefined ? '' : `“${first}”${more.length > 0 ? ` and ${more.length} more` : ''}, `;
  return {
    of: `${asked}${path}`,
    windows: spans,
    load: async () => (await researchWorker()).performanceRows(siteId, spans, path, queries),
  };
}
