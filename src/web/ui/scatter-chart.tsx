import { Chart, colour } from './chart.tsx';

/** A point of a chart. */
export interface ScatterPoint {
  x: number;
  y: number;
  label: string;
}

/** Points by two figures; one of them may be one's own and stands out. */
export function ScatterChart({
  name,
  points,
  own,
  across,
  up,
  height,
}: {
  name: string;
  points: readonly ScatterPoint[];
  own: ScatterPoint | null;
  across: string;
  up: string;
  height: number;
}) {
  const axis = { style: { colors: colour('--c-ink-soft'), fontSize: '11px', fontFamily: 'inherit' } };
  const title = { color: colour('--c-ink-soft'), fontSize: '11px', fontFamily: 'inherit' };
  // One by one: there may be more points than a call may have arguments.
  const most = points.reduce((far, { x }) => Math.max(far, x), Math.max(100, own?.x ?? 0));
  const series = [
    { name: 'Pages', data: points.map(({ x, y }) => [x, y]) },
    ...(own ? [{ name: own.label, data: [[own.x, own.y]] }] : []),
  ];
  return (
    <Chart
      name={name}
      type="scatter"
      height={height}
      series={series}
      options={{
        colors: [colour('--c-ink-soft'), colour('--c-marram')],
        markers: { size: [4, 8], strokeWidth: 0, shape: ['circle', 'square'] },
        legend: { show: own !== null, fontSize: '12px', labels: { colors: colour('--c-ink') } },
        grid: { borderColor: colour('--c-line') },
        xaxis: {
          type: 'numeric',
          min: 0,
          max: Math.ceil(most / 500) * 500,
          tickAmount: 4,
          title: { text: across, style: title },
          labels: { ...axis, formatter: (value: string) => String(Math.round(Number(value))) },
          axisBorder: { color: colour('--c-line') },
          axisTicks: { show: false },
          tooltip: { enabled: false },
        },
        yaxis: {
          min: 0,
          max: 100,
          tickAmount: 4,
          title: { text: up, style: title },
          labels: { ...axis, formatter: (value: number) => String(Math.round(value)) },
        },
        tooltip: {
          theme: document.documentElement.dataset['theme'] ?? 'light',
          custom: ({ seriesIndex, dataPointIndex }: { seriesIndex: number; dataPointIndex: number }) => {
            const point = seriesIndex === 1 ? own : points[dataPointIndex];
            if (!point) return '';
            const box = document.createElement('div');
            box.style.padding = '4px 8px';
            box.textContent = `${point.label}: ${point.x} ${across}, ${up} ${point.y}`;
            return box.outerHTML;
          },
        },
      }}
    />
  );
}
