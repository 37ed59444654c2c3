import { useCallback, useEffect, useRef, useState } from 'react';
import type { SiteRow } from '../../data/post-rows.ts';
import { attempt } from '../../state/attempt.ts';
import type { DeskView, DeskWish, KeywordLine } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** A view of the desk, asked for anew whenever the wish changes or `stamp` does; the latest wish wins. */
export function useDeskView(
  siteId: string | undefined,
  wish: DeskWish,
  stamp: unknown,
): { view: DeskView | null; problem: string } {
  const [state, setState] = useState<{ view: DeskView | null; problem: string }>({ view: null, problem: '' });
  const key = JSON.stringify(wish);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the stamp tells that what is behind the same wish changed.
  useEffect(() => {
    if (!siteId) return;
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.view(siteId, JSON.parse(key) as DeskWish))
        .then(
          (view) => !late && setState({ view, problem: '' }),
          (error: Error) => !late && setState({ view: null, problem: error.message }),
        ),
    );
    return () => {
      late = true;
    };
  }, [siteId, key, stamp]);
  return state;
}

/** Lines of a view by their place, fetched as they come into sight and kept until the view changes. */
export function useLines(
  siteId: string | undefined,
  view: DeskView | null,
): { lineAt: (place: number) => KeywordLine | undefined; show: (from: number, to: number) => void } {
  const known = useRef(new Map<number, KeywordLine>());
  const asked = useRef(new Set<number>());
  const current = useRef<DeskView | null>(null);
  const [, drawn] = useState(0);
  if (current.current !== view) {
    current.current = view;
    // Rows stay what they were until their figures come anew: a table that blinks cannot be read.
    asked.current = new Set();
  }
  const show = useCallback(
    (from: number, to: number) => {
      if (!siteId || !view) return;
      const rows: number[] = [];
      for (let place = Math.max(0, from); place <= to && place < view.rows.length; place++) {
        const row = view.rows[place];
        if (asked.current.has(row)) continue;
        asked.current.add(row);
        rows.push(row);
      }
      if (rows.length === 0) return;
      attempt(
        researchWorker()
          .then((worker) => worker.lines(siteId, rows))
          .then((lines) => {
            for (const line of lines) known.current.set(line.row, line);
            drawn((count) => count + 1);
          }),
      );
    },
    [siteId, view],
  );
  return {
    lineAt: (place) => (view ? known.current.get(view.rows[place]) : undefined),
    show,
  };
}

/** Tells the worker what the site says of itself and how its house weighs; answers how often that was done. */
export function useSiteRefreshes({ id, revision }: SiteRow): number {
  const [refreshes, setRefreshes] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another revision may weigh otherwise.
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.refreshSite(id))
        .then(() => !late && setRefreshes((count) => count + 1)),
    );
    return () => {
      late = true;
    };
  }, [id, revision]);
  return refreshes;
}

/** Regions that can be searched in: two that are always there, the one in hand, and those of the phrases that were imported. */
export function useRegions(siteId: string, region: string, stamp: unknown): string[] {
  const [regions, setRegions] = useState<string[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with each import, which may bring a region
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.counts(siteId))
        .then((counts) => !late && setRegions(Object.keys(counts))),
      'The regions of your phrases could not be read',
    );
    return () => {
      late = true;
    };
  }, [siteId, stamp]);
  return [...new Set(['GB', 'US', region, ...regions])].sort();
}

/** Volume and difficulty of the phrases of a view, for the chart; none while there is no view. */
export function usePoints(siteId: string, view: DeskView | null): ChartPoint[] {
  const [points, setPoints] = useState<ChartPoint[]>([]);
  useEffect(() => {
    if (!view) return;
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.points(siteId, view.rows))
        .then((next) => !late && setPoints(next)),
      'The chart could not be drawn',
    );
    return () => {
      late = true;
    };
  }, [siteId, view]);
  return points;
}

interface ChartPoint {
  row: number;
  volume: number;
  difficulty: number;
}
