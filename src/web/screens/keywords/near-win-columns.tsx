import type { NearWin } from '../../../core/research/index.ts';
import { Button } from '../../ui/button.tsx';
import { countInWords } from '../../ui/figures.ts';
import type { GridColumn } from '../../ui/grid/grid-column.ts';
import { WordLink } from '../../ui/word-link.tsx';
import { TARGETING, whereOf } from './near-win-words.ts';

/** The columns of the table of near wins. */
export const nearWinColumns = (onWrite: (query: string) => void): GridColumn<NearWin>[] => [
  {
    id: 'query',
    name: 'Query',
    width: 'minmax(150px,1.5fr)',
    className: 'truncate font-semibold',
    cell: ({ row }) => <span title={row.query}>{row.query}</span>,
  },
  {
    id: 'position',
    name: 'Position',
    width: '104px',
    right: true,
    cell: ({ row, reach }) => (
      <span title={`Rank ${reach.toFixed(1)} is in reach`}>
        {row.position.toFixed(1)} <span className="text-soft">→ {reach.toFixed(1)}</span>
      </span>
    ),
  },
  {
    id: 'impressions',
    name: 'Impressions',
    width: '90px',
    right: true,
    cell: ({ row }) => countInWords(row.impressions),
  },
  { id: 'clicks', name: 'Clicks', width: '66px', right: true, cell: ({ row }) => countInWords(row.clicks) },
  {
    id: 'page',
    name: 'Page that shows',
    width: 'minmax(160px,1.7fr)',
    className: 'truncate',
    cell: (win) => <span title={win.row.page}>{whereOf(win)}</span>,
  },
  {
    id: 'targeting',
    name: 'The query there',
    width: '130px',
    className: 'leading-tight',
    cell: ({ meant, targeting }) => (
      <span className={targeting === 'none' ? 'text-ochre' : 'text-soft'}>
        {meant ? `meant for "${meant.title}"` : TARGETING[targeting]}
      </span>
    ),
  },
  {
    id: 'gain',
    name: 'To win',
    width: '84px',
    right: true,
    cell: ({ gain }) => <span className="font-semibold text-ochre">+{countInWords(gain)}</span>,
  },
  {
    id: 'actions',
    name: 'What to do',
    width: '170px',
    cell: (win) => (
      <span className="flex flex-wrap gap-x-3">
        {win.page && <WordLink to={`/posts/${win.page.id}/write`}>Improve this post</WordLink>}
        {win.targeting === 'none' && !win.meant && (
          <Button look="word" onClick={() => onWrite(win.row.query)}>
            Write a new one
          </Button>
        )}
      </span>
    ),
  },
];
