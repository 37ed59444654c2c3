import type {
  ChangeEffect,
  ControlPage,
  EffectFigure,
  PageChange,
  SeasonRow,
} from '../../../../core/performance/index.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { FigureParts } from '../../../ui/figure/figure-parts.tsx';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords } from '../../../ui/figures.ts';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import type { NamedPage } from '../../../workers/performance-scene.ts';
import { researchWorker } from '../../../workers/research-client.ts';
import { PageLink } from './page-link.tsx';
import { moreOrLess } from './performance-words.ts';
import { QUERY } from './query-column.tsx';

const NAMES: Record<EffectFigure, string> = {
  clicks: 'Clicks',
  impressions: 'Impressions',
  position: 'Position',
};

/** What a page was held against: the figure opens to the other pages, each with what it did meanwhile. */
export function ControlFigure({
  siteId,
  path,
  effect: { change, before, after },
  of,
  children,
}: {
  siteId: string;
  path: string;
  effect: ChangeEffect;
  of: EffectFigure;
  children: string;
}) {
  type Page = ControlPage & NamedPage;
  const inWords = (figure: number | null) =>
    of === 'position' ? (figure?.toFixed(1) ?? '–') : countInWords(figure);
  const columns: GridColumn<Page>[] = [
    {
      id: 'page',
      name: 'Page',
      width: 'minmax(0,1fr)',
      phone: 'minmax(0,1fr)',
      className: 'truncate',
      cell: (page) => <PageLink page={page} />,
    },
    {
      id: 'figures',
      name: NAMES[of],
      width: '140px',
      phone: '110px',
      right: true,
      cell: ({ path: other, was, is }) => (
        <FigureRows
          source={figureRows(siteId, other, [before, after])}
          title={`${NAMES[of]} before and after`}
          way={WAYS[of]}
        >
          {`${inWords(was[of])} → ${inWords(is[of])}`}
        </FigureRows>
      ),
    },
    ...(of === 'position'
      ? []
      : [
          {
            id: 'season',
            name: 'Season',
            width: '90px',
            right: true,
            hint: 'How much more or less its queries are searched by their months.',
            cell: ({ demand }: Page) => moreOrLess(demand),
          },
        ]),
  ];
  return (
    <FigureParts
      title={`${NAMES[of]} of the other pages`}
      way={
        of === 'position'
          ? 'Pages that did not change meanwhile and had 200 impressions or more. The mean of their moves is taken off the move of this page.'
          : `Pages that did not change meanwhile and had ${of === 'clicks' ? 20 : 200} ${of} or more before and after. What they did, season taken out, is taken off what this page did (on logarithms); how far they differ from each other makes the interval.`
      }
      name="Pages held against"
      columns={columns}
      load={async () => (await researchWorker()).controlPages(siteId, path, change, of)}
      nameOf={({ title }) => title}
    >
      {children}
    </FigureParts>
  );
}

/** The season around a change: it opens to the queries whose months it is worked out from. */
export function SeasonFigure({
  siteId,
  path,
  change,
  children,
}: {
  siteId: string;
  path: string;
  change: PageChange;
  children: string;
}) {
  const columns: GridColumn<SeasonRow>[] = [
    QUERY,
    {
      id: 'shown',
      name: 'Impressions',
      width: '108px',
      right: true,
      cell: ({ shown }) => countInWords(shown),
    },
    {
      id: 'before',
      name: 'Then',
      width: '90px',
      phone: '80px',
      right: true,
      hint: 'Searches in the months before the change against the mean of the year.',
      cell: ({ before }) => moreOrLess(before),
    },
    {
      id: 'after',
      name: 'After',
      width: '90px',
      phone: '80px',
      right: true,
      hint: 'Searches in the months after it against the mean of the year.',
      cell: ({ after }) => moreOrLess(after),
    },
  ];
  return (
    <FigureParts
      title="Season of the queries"
      way="Queries whose months are known under Keywords, each weighing by what it was shown for. Where none of the page's own is known, those of the whole site stand for them."
      name="Queries of the season"
      columns={columns}
      load={async () => (await (await researchWorker()).changeSeason(siteId, path, change))?.rows ?? []}
      nameOf={({ query }) => query}
    >
      {children}
    </FigureParts>
  );
}
