import type { PageChange, WeekSum } from '../../../../core/performance/index.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { Chart, colour } from '../../../ui/chart.tsx';
import { daysInWords } from '../../../ui/day.ts';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords } from '../../../ui/figures.ts';
import { changeInWords, day } from './performance-words.ts';

const HEIGHT = 260;
const FIGURES = ['clicks', 'impressions', 'position'] as const;

/** The week in which a day lies, or the one that follows it; -1: it lies after all. */
const weekAt = (weeks: readonly WeekSum[], of: string): number => weeks.findIndex(({ to }) => to >= of);

/** Those that are drawn: a first week of which days are missing would only be a dent. */
function drawnWeeks(weeks: readonly WeekSum[]): readonly WeekSum[] {
  const [first, second] = weeks;
  return weeks.length > 2 && first.days < 7 && second.days === 7 ? weeks.slice(1) : weeks;
}

/** Clicks and impressions of a page by week, its changes marked; and the same as a table. */
export function PageChart({
  siteId,
  path,
  weeks,
  changes,
}: {
  siteId: string;
  path: string;
  weeks: readonly WeekSum[];
  changes: readonly PageChange[];
}) {
  const axis = { style: { colors: colour('--c-ink-soft'), fontSize: '11px', fontFamily: 'inherit' } };
  const names = weeks.map(({ from, to }) => daysInWords(from, to));
  const drawn = drawnWeeks(weeks);
  const drawnNames = drawn.map(({ from, to }) => daysInWords(from, to));
  const marked = changes.filter((change) => change.day >= drawn[0].from && weekAt(drawn, change.day) >= 0);
  const inWeek = (count: number, { days: known }: WeekSum) => Math.round((count * 70) / known) / 10;
  const numbers = new Map(marked.map((change, at) => [change, at + 1]));
  return (
    <>
      <Chart
        name={`Clicks and impressions a week, ${daysInWords(drawn[0].from, drawn.at(-1)!.to)}`}
        type="line"
        height={HEIGHT}
        series={[
          { name: 'Clicks a week', data: drawn.map((week, at) => ({ x: at, y: inWeek(week.clicks, week) })) },
          {
            name: 'Impressions a week',
            data: drawn.map((week, at) => ({ x: at, y: inWeek(week.impressions, week) })),
          },
        ]}
        options={{
          colors: [colour('--c-marram'), colour('--c-ink-soft')],
          stroke: { width: [2.5, 1.5], dashArray: [0, 4], curve: 'straight' },
          markers: { size: [3, 0], strokeWidth: 0 },
          legend: {
            position: 'top',
            horizontalAlign: 'left',
            labels: { colors: colour('--c-ink') },
            fontSize: '12px',
          },
          grid: { borderColor: colour('--c-line') },
          annotations: {
            xaxis: marked.map((change) => ({
              x: weekAt(drawn, change.day),
              borderColor: colour('--c-ochre'),
              strokeDashArray: 3,
              label: {
                text: String(numbers.get(change)),
                orientation: 'horizontal',
                borderColor: colour('--c-ochre'),
                style: { background: colour('--c-sheet'), color: colour('--c-ochre'), fontSize: '11px' },
              },
            })),
          },
          xaxis: {
            type: 'numeric',
            tickAmount: Math.min(8, Math.max(1, drawn.length - 1)),
            labels: {
              ...axis,
              rotate: 0,
              hideOverlappingLabels: true,
              formatter: (value: string) => drawnNames[Math.round(Number(value))]?.split(' to ')[0] ?? '',
            },
            axisTicks: { show: false },
            axisBorder: { color: colour('--c-line') },
            tooltip: { enabled: false },
          },
          yaxis: [
            {
              seriesName: 'Clicks a week',
              min: 0,
              labels: { ...axis, formatter: (value: number) => countInWords(value) },
            },
            {
              seriesName: 'Impressions a week',
              opposite: true,
              min: 0,
              labels: { ...axis, formatter: (value: number) => countInWords(value) },
            },
          ],
          tooltip: {
            theme: document.documentElement.dataset['theme'] ?? 'light',
            x: {
              formatter: (_value: number, { dataPointIndex }: { dataPointIndex: number }) =>
                drawnNames[dataPointIndex] ?? '',
            },
          },
        }}
      />
      {marked.length > 0 && (
        <ol aria-label="Changes marked" className="flex flex-wrap gap-x-5 text-[13px] text-soft">
          {marked.map((change) => (
            <li key={change.day}>
              <span className="font-semibold text-ochre">{numbers.get(change)}</span> {day(change.day)}:{' '}
              {changeInWords(change)}
            </li>
          ))}
        </ol>
      )}
      <details className="mt-1 text-[13px]">
        <summary className="cursor-pointer text-marram">The same as a table</summary>
        <table className="mt-1 w-full max-w-xl tabular-nums" aria-label="Clicks and impressions by week">
          <thead>
            <tr className="text-left text-soft">
              <th className="font-normal">Days</th>
              <th className="text-right font-normal">Clicks</th>
              <th className="text-right font-normal">Impressions</th>
              <th className="text-right font-normal">Position</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map((week, at) => (
              <tr key={week.from} className="border-t">
                <td>{names[at]}</td>
                {FIGURES.map((of) => (
                  <td key={of} className="text-right">
                    <FigureRows
                      source={figureRows(siteId, path, [week])}
                      title={`${of === 'clicks' ? 'Clicks' : of === 'impressions' ? 'Impressions' : 'Position'} of ${names[at]}`}
                      way={WAYS[of]}
                    >
                      {of === 'position' ? (week.position?.toFixed(1) ?? '–') : countInWords(week[of])}
                    </FigureRows>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}
