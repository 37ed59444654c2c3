import { type Page, test } from '@playwright/test';

const RUNS = 3;
/** Milliseconds that the fixed piece of work takes on an ordinary machine. */
const REFERENCE = 6;
const TOO_SLOW = 3;

/** Durations of the long tasks of the page's own thread while something is done. */
export async function longTasks(page: Page, work: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const durations: number[] = [];
    const observer = new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) durations.push(entry.duration);
    });
    observer.observe({ entryTypes: ['longtask'] });
    Object.assign(window, {
      endOfTasks: () => {
        for (const entry of observer.takeRecords()) durations.push(entry.duration);
        observer.disconnect();
        return durations;
      },
    });
  });
  await work();
  return page.evaluate(() => (window as unknown as { endOfTasks: () => number[] }).endOfTasks());
}

/** Milliseconds that a fixed piece of work takes in the page, many times over. */
const samples = (page: Page): Promise<number[]> =>
  page.evaluate(() =>
    Array.from({ length: 40 }, () => {
      const start = performance.now();
      let hash = 7;
      for (let at = 0; at < 2_000_000; at++) hash = (hash * 31 + at) | 0;
      return hash === 0 ? 0 : performance.now() - start;
    }),
  );

/**
 * Long tasks beyond a bar in the best of some runs. The bars are those of an ordinary two-core machine; on one that is
 * slower just now they are as much higher as a fixed piece of work takes longer on it. One that is slower than
 * `TOO_SLOW` judges nothing.
 */
export async function best(page: Page, bar: number, run: () => Promise<number[]>): Promise<number[]> {
  let fewest: number[] | null = null;
  let slowest = 0;
  for (let count = 0; count < RUNS && fewest?.length !== 0; count++) {
    const before = await samples(page);
    const durations = await run();
    const taken = [...before, ...(await samples(page))].sort((a, b) => a - b);
    const slower = Math.max(1, taken[Math.floor(taken.length * 0.9)] / REFERENCE);
    slowest = Math.max(slowest, slower);
    const over = durations.filter((duration) => duration > bar * slower);
    if (fewest === null || over.length < fewest.length) fewest = over;
  }
  test.skip(
    slowest > TOO_SLOW && fewest?.length !== 0,
    `This machine is ${slowest.toFixed(1)} times slower than an ordinary one just now.`,
  );
  return fewest ?? [];
}
