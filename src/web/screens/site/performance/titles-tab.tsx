import { daysInWords } from '../../../ui/day.ts';
import { None } from '../../../ui/empty.tsx';
import { counted, countInWords } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { PerformanceView } from '../../../workers/performance.ts';
import { CurveChart } from './curve-chart.tsx';
import { UnderCurveFigure } from './curve-parts.tsx';
import { PageLink } from './page-link.tsx';

const QUERIES = 3;

/** Pages that are opened less often than their ranks give, beside the curve that says so. */
export function TitlesTab({ view, siteId }: { view: PerformanceView; siteId: string }) {
  const { latest, under, curve, house } = view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_380px] gap-x-8 max-[1000px]:grid-cols-1">
      <div className="min-w-0">
        <p className="mb-3 text-soft">
          {daysInWords(latest.from, latest.to)}. Named are pages that have clearly fewer clicks than your
          other pages have at the same ranks. Their titles and descriptions are what search shows of them.
        </p>
        {under.length === 0 ? (
          <None>Every page is opened as often as its ranks give.</None>
        ) : (
          <ul aria-label="Titles under the curve">
            {under.map((page) => (
              <li
                key={page.path}
                className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-6 border-t py-3 first:border-t-0"
              >
                <div className="min-w-0">
                  <p className="truncate font-semibold">
                    <PageLink page={page} />
                  </p>
                  <p className="text-[13px] text-soft">
                    {page.queries
                      .slice(0, QUERIES)
                      .map(
                        ({ query, clicks, expected, position }) =>
                          `“${query}” at ${position.toFixed(1)}: ${countInWords(clicks)} of ${countInWords(expected)}`,
                      )
                      .join('; ')}{' '}
                    <UnderCurveFigure siteId={siteId} page={page} window={latest} title="Queries">
                      {counted(page.queries.length, 'query', 'queries')}
                    </UnderCurveFigure>
                  </p>
                  {page.postId && (
                    <p className="mt-1 text-[13px]">
                      <WordLink to={`/posts/${page.postId}/write`}>Write another title</WordLink>
                    </p>
                  )}
                </div>
                <div className="text-right">
                  <p className="font-semibold text-ochre">
                    <UnderCurveFigure siteId={siteId} page={page} window={latest} title="Clicks missing">
                      {`+${countInWords(page.missing)}`}
                    </UnderCurveFigure>{' '}
                    clicks
                  </p>
                  <p className="text-[13px] text-soft">
                    <UnderCurveFigure siteId={siteId} page={page} window={latest} title="Clicks">
                      {`${countInWords(page.clicks)} of ${countInWords(page.expected)}`}
                    </UnderCurveFigure>
                  </p>
                </div>
              </li>
            ))}
          </ul>
        )}
      </div>
      <CurveChart siteId={siteId} window={latest} curve={curve} house={house} />
    </div>
  );
}
