import type { ApexOptions } from 'apexcharts';
import { lazy, Suspense } from 'react';

// The package arrives wrapped twice in the build.
const Drawn = lazy(async () => {
  const loaded = (await import('react-apexcharts')) as unknown as { default: { default?: unknown } };
  return { default: (loaded.default.default ?? loaded.default) as typeof import('react-apexcharts').default };
});

/** A colour of the theme, by the name of its variable. */
export const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** A chart with a name that says what it shows; it stands still and has no tools of its own. */
export function Chart({
  name,
  type,
  series,
  options,
  height,
}: {
  name: string;
  type: 'line' | 'scatter';
  series: ApexOptions['series'];
  options: ApexOptions;
  height: number;
}) {
  return (
    <div role="img" aria-label={name}>
      <Suspense fallback={<div className="rounded-md bg-sand/40" style={{ height }} aria-busy="true" />}>
        <Drawn
          type={type}
          height={height}
          series={series}
          options={{
            ...options,
            chart: {
              animations: { enabled: false },
              toolbar: { show: false },
              zoom: { enabled: false },
              fontFamily: 'inherit',
              background: 'transparent',
              ...options.chart,
            },
          }}
        />
      </Suspense>
    </div>
  );
}
