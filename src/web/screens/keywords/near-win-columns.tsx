import type { NearWin } from '../../../core/research/index.ts';
import { Button } from '../../ui/button.tsx';
import { FigureRows } from '../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../ui/figure/figure-ways.ts';
import type { RowsSource } from '../../ui/figure/rows-dialog.tsx';
import { countInWords } from '../../ui/figures.ts';
import type { GridColumn } from '../../ui/grid/grid-column.ts';
import { WordLink } from '../../ui/word-link.tsx';
import { TARGETING, whereOf } from './near-win-words.ts';

/** The columns of the table of near wins. */
export const nearWinColumns = (
  rowsOf: (win: NearWin) => RowsSource,
  onWrite: (query: string) => void,
): GridColumn<NearWin>[] => [
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
    cell: (win) => (
      <span title={`Rank ${win.reach.toFixed(1)} is in reach`}>
        <FigureRows source={rowsOf(win)} title={`Position for “${win.row.query}”`} way={WAYS.position}>
          {win.row.position.toFixed(1)}
        </FigureRows>{' '}
        <span className="text-soft">→ {win.reach.toFixed(1)}</span>
      </span>
    ),
  },
  {
    id: 'impressions',
    name: 'Impressions',
    width: '90px',
    right: true,
    cell: (win) => (
      <FigureRows source={rowsOf(win)} title={`Impressions for “${win.row.query}”`} way={WAYS.impressions}>
        {countInWords(win.row.impressions)}
      </FigureRows>
    ),
  },
  {
    id: 'clicks',
    name: 'Clicks',
    width: '66px',
    right: true,
    cell: (win) => (
      <FigureRows source={rowsOf(win)} title={`Clicks for “${win.row.query}”`} way={WAYS.clicks}>
        {countInWords(win.row.clicks)}
      </FigureRows>
    ),
  },
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
      <span
        title={meant?.title}
        className={`line-clamp-2 ${targeting === 'none' ? 'text-ochre' : 'text-soft'}`}
      >
        {meant ? `meant for "${meant.title}"` : TARGETING[targeting]}
      </span>
    ),
  },
  {
    id: 'gain',
    name: 'To win',
    width: '84px',
    right: true,
    cell: (win) => (
      <span className="font-semibold text-ochre">
        <FigureRows source={rowsOf(win)} title={`Clicks to win with “${win.row.query}”`} way={WAYS.toWin}>
          {`+${countInWords(win.gain)}`}
        </FigureRows>
      </span>
    ),
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
