import type {
  LosingPage,
  LosingQuery,
  LossCause,
  SearchSum,
  Window,
} from '../../../../core/performance/index.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { FigureParts } from '../../../ui/figure/figure-parts.tsx';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords } from '../../../ui/figures.ts';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { CAUSE_NAMES } from './performance-words.ts';
import { QUERY } from './query-column.tsx';

const wayOf = ({ parts }: LosingPage): string =>
  `What each query took or gave, in clicks: by its season, by being shown less or more, and by its rank. What these leave of the loss is the click rate: the clicks of the page against what its ranks give. Together: ${(
    Object.keys(CAUSE_NAMES) as LossCause[]
  )
    .map((cause) => `${CAUSE_NAMES[cause].toLowerCase()} ${signed(parts[cause])}`)
    .join(', ')}.`;

/** Clicks with their sign, in tenths where they are few. */
const signed = (clicks: number): string =>
  `${clicks > 0.05 ? '+' : clicks < -0.05 ? '−' : ''}${Math.abs(clicks).toFixed(Math.abs(clicks) < 10 ? 1 : 0)}`;

const fromTo = (was: SearchSum, is: SearchSum, of: 'clicks' | 'impressions'): string =>
  `${countInWords(was[of])} → ${countInWords(is[of])}`;

/** Clicks before and after of a page, or of one of its queries: they open to the rows of both. */
export function LostClicks({
  siteId,
  page,
  query,
  windows,
}: {
  siteId: string;
  page: LosingPage;
  query: LosingQuery | null;
  windows: readonly [Window, Window];
}) {
  const { was, is } = query ?? page;
  return (
    <FigureRows
      source={figureRows(siteId, page.path, windows, query && [query.query])}
      title={query ? `Clicks for “${query.query}” before and after` : 'Clicks before and after'}
      way={WAYS.clicks}
    >
      {fromTo(was, is, 'clicks')}
    </FigureRows>
  );
}

/** What one cause took of the clicks of a page: it opens to its queries. */
export function LossPart({
  siteId,
  page,
  cause,
  windows,
}: {
  siteId: string;
  page: LosingPage;
  cause: LossCause;
  windows: readonly [Window, Window];
}) {
  const took = (of: 'season' | 'shown' | 'position', width: string): GridColumn<LosingQuery> => ({
    id: of,
    name: CAUSE_NAMES[of],
    width,
    right: true,
    cell: ({ parts }) => signed(parts[of]),
  });
  const columns: GridColumn<LosingQuery>[] = [
    QUERY,
    {
      id: 'clicks',
      name: 'Clicks',
      width: '110px',
      phone: '110px',
      right: true,
      cell: (query) => <LostClicks siteId={siteId} page={page} query={query} windows={windows} />,
    },
    {
      id: 'impressions',
      name: 'Impressions',
      width: '130px',
      right: true,
      cell: ({ was, is }) => fromTo(was, is, 'impressions'),
    },
    {
      id: 'rank',
      name: 'Rank',
      width: '110px',
      right: true,
      cell: ({ was, is }) => `${was.position?.toFixed(1) ?? '–'} → ${is.position?.toFixed(1) ?? '–'}`,
    },
    took('season', '76px'),
    took('shown', '98px'),
    took('position', '84px'),
  ];
  return (
    <FigureParts
      title={`Clicks by ${CAUSE_NAMES[cause].toLowerCase()}: ${page.path}`}
      way={wayOf(page)}
      name="Queries of the loss"
      columns={columns}
      load={() => Promise.resolve(page.queries)}
      nameOf={({ query }) => query}
    >
      {signed(page.parts[cause])}
    </FigureParts>
  );
}
