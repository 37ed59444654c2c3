import { Chart, colour } from './chart.tsx';

/** One step of a chart over time. */
export interface Step {
  /** UTC instant. */
  at: string;
  value: number;
  /** Said when it is pointed at. */
  label: string;
  /** Drawn as a ring, so that it is told from the rest. */
  marked?: boolean;
}

/** The stretch of 0 to 100 in which figures lie, in round tens with some air. */
function stretch(values: readonly number[]): { min: number; max: number } {
  const min = Math.max(
    0,
    Math.floor((values.reduce((low, value) => Math.min(low, value), 100) - 4) / 10) * 10,
  );
  return {
    min,
    max: Math.min(
      100,
      Math.max(min + 20, Math.ceil((values.reduce((high, value) => Math.max(high, value), 0) + 4) / 10) * 10),
    ),
  };
}

/** A figure between 0 and 100 over time as steps; each can be pressed. `chosen` is the step in hand. */
export function StepChart({
  name,
  steps,
  chosen,
  onChoose,
  height,
}: {
  name: string;
  steps: readonly Step[];
  chosen: number;
  onChoose: (at: number) => void;
  height: number;
}) {
  const line = colour('--c-marram');
  const axis = { style: { colors: colour('--c-ink-soft'), fontSize: '12px', fontFamily: 'inherit' } };
  return (
    <Chart
      name={`${name}: ${steps.map((step) => Math.round(step.value)).join(', ')}`}
      type="line"
      height={height}
      series={[{ name, data: steps.map((step) => Math.round(step.value * 10) / 10) }]}
      options={{
        chart: {
          events: {
            markerClick: (_event: unknown, _chart: unknown, { dataPointIndex }: { dataPointIndex: number }) =>
              onChoose(dataPointIndex),
            click: (_event: unknown, _chart: unknown, { dataPointIndex }: { dataPointIndex: number }) => {
              if (dataPointIndex >= 0) onChoose(dataPointIndex);
            },
          },
        },
        colors: [line],
        stroke: { curve: 'stepline', width: 2 },
        markers: {
          size: 4,
          strokeWidth: 0,
          discrete: [
            ...steps.flatMap(({ marked }, at) =>
              marked && at !== chosen
                ? [
                    {
                      seriesIndex: 0,
                      dataPointIndex: at,
                      size: 7,
                      fillColor: colour('--c-sheet'),
                      strokeColor: line,
                    },
                  ]
                : [],
            ),
            {
              seriesIndex: 0,
              dataPointIndex: chosen,
              size: 7,
              fillColor: line,
              strokeColor: colour('--c-sheet'),
            },
          ],
        },
        grid: { borderColor: colour('--c-line'), padding: { top: -12, bottom: -4 } },
        xaxis: {
          categories: steps.map((step) => step.label),
          labels: { show: false },
          axisTicks: { show: false },
          axisBorder: { color: colour('--c-line') },
          tooltip: { enabled: false },
        },
        yaxis: {
          ...stretch(steps.map((step) => step.value)),
          tickAmount: 2,
          labels: { ...axis, formatter: (value: number) => String(value) },
        },
        tooltip: {
          theme: document.documentElement.dataset['theme'] ?? 'light',
          x: {
            formatter: (_value: number, { dataPointIndex }: { dataPointIndex: number }) =>
              steps[dataPointIndex]?.label ?? '',
          },
        },
      }}
    />
  );
}
