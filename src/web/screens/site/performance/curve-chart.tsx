import type { CurveRank, Window } from '../../../../core/performance/index.ts';
import { Chart, colour } from '../../../ui/chart.tsx';
import { countInWords } from '../../../ui/figures.ts';
import { RankFigure } from './curve-parts.tsx';

const HEIGHT = 250;
const inPercent = (share: number): number => Math.round(share * 1000) / 10;

/** The share of clicks at each rank: of this site, beside the house's; and the same as a table. */
export function CurveChart({
  siteId,
  window,
  curve,
  house,
}: {
  siteId: string;
  window: Window;
  curve: readonly CurveRank[];
  house: readonly number[];
}) {
  const axis = { style: { colors: colour('--c-ink-soft'), fontSize: '11px', fontFamily: 'inherit' } };
  return (
    <section aria-label="Click-rate curve">
      <h2 className="font-semibold">What ranks give</h2>
      <p className="mb-1 text-[13px] text-soft">
        Share of those who see a result and open it, by rank. Queries for your own name are left out; where
        little is known, the curve in House rules counts.
      </p>
      <Chart
        name={`Click rate by rank: ${curve.map(({ rank, share }) => `${rank}: ${inPercent(share)} %`).join(', ')}`}
        type="line"
        height={HEIGHT}
        series={[
          { name: 'Your pages', data: curve.map(({ share }) => inPercent(share)) },
          { name: 'House rules', data: house.map(inPercent) },
        ]}
        options={{
          colors: [colour('--c-marram'), colour('--c-ink-soft')],
          stroke: { width: [2.5, 1.5], dashArray: [0, 4], curve: 'straight' },
          markers: { size: [3, 0], strokeWidth: 0 },
          legend: { labels: { colors: colour('--c-ink') }, fontSize: '12px' },
          grid: { borderColor: colour('--c-line') },
          xaxis: {
            categories: curve.map(({ rank }) => String(rank)),
            // Beyond ten there is room for every fifth alone.
            labels: {
              ...axis,
              formatter: (value: string) => (Number(value) <= 10 || Number(value) % 5 === 0 ? value : ''),
            },
            axisTicks: { show: false },
            axisBorder: { color: colour('--c-line') },
            tooltip: { enabled: false },
          },
          yaxis: { min: 0, labels: { ...axis, formatter: (value: number) => `${Math.round(value)} %` } },
          tooltip: { theme: document.documentElement.dataset['theme'] ?? 'light' },
        }}
      />
      <details className="text-[13px]">
        <summary className="cursor-pointer text-marram">The same as a table</summary>
        <table className="mt-1 w-full tabular-nums" aria-label="Click rate by rank">
          <thead>
            <tr className="text-left text-soft">
              <th className="font-normal">Rank</th>
              <th className="text-right font-normal">Your pages</th>
              <th className="text-right font-normal">House rules</th>
              <th className="text-right font-normal">Clicks</th>
              <th className="text-right font-normal">Impressions</th>
            </tr>
          </thead>
          <tbody>
            {curve.map(({ rank, share, clicks, impressions }) => (
              <tr key={rank} className="border-t">
                <td>{rank}</td>
                <td className="text-right">
                  <RankFigure siteId={siteId} rank={rank} window={window} title="Click rate">
                    {`${inPercent(share)} %`}
                  </RankFigure>
                </td>
                <td className="text-right">{inPercent(house[rank - 1])} %</td>
                <td className="text-right">
                  <RankFigure siteId={siteId} rank={rank} window={window} title="Clicks">
                    {countInWords(clicks)}
                  </RankFigure>
                </td>
                <td className="text-right">
                  <RankFigure siteId={siteId} rank={rank} window={window} title="Impressions">
                    {countInWords(impressions)}
                  </RankFigure>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
}
