import { type FigurePart, withExport } from '../core/performance/index.ts';
import { daysBetween, shiftDay } from '../core/release/index.ts';
import type { DatedRow, PerformanceRow } from '../core/research/index.ts';
import { seededRandom } from '../server/market/random.ts';

/** The days of the scenario's exports: the last three months are those that `performance.csv` adds up. */
const FIRST_DAY = '2026-05-16';
const FROM = '2026-08-16';
const LAST_DAY = '2026-11-15';
/** Two exports as the writer brought them. */
const EXPORTS = [
  { name: 'search-2026-05-16-2026-08-15.csv', date: '2026-08-16', from: FIRST_DAY, to: '2026-08-15' },
  { name: 'search-2026-08-16-2026-11-15.csv', date: '2026-11-16', from: FROM, to: LAST_DAY },
];

/** Something that befell a page from a day on: how much more it is shown and opened, and by how many ranks it moved. */
export interface Turn {
  /** The last part of its address. */
  page: string;
  day: string;
  shown: number;
  opened: number;
  ranks: number;
}

/** Weekdays from Sunday: tours are planned towards the weekend. */
const WEEKDAY = [1.2, 0.95, 0.9, 0.92, 0.98, 1.05, 1.15];

/** So many picks among weights, each counted: they add up to `total` whatever the weights are. */
function scattered(total: number, weights: readonly number[], random: () => number): number[] {
  const sums: number[] = [];
  let sum = 0;
  for (const weight of weights) {
    sum += weight;
    sums.push(sum);
  }
  const counts = weights.map(() => 0);
  for (let pick = 0; pick < total && sum > 0; pick++) {
    const at = random() * sum;
    let [low, high] = [0, sums.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (sums[middle] <= at) low = middle + 1;
      else high = middle;
    }
    counts[low] += 1;
  }
  return counts;
}

/** Clicks spread over showings: no day has more of them than it was shown. */
function openedOf(
  clicks: number,
  shown: readonly number[],
  opened: readonly number[],
  random: () => number,
): number[] {
  const counts = shown.map(() => 0);
  for (let left = clicks; left > 0; ) {
    const more = scattered(
      left,
      shown.map((count, at) => Math.max(0, count - counts[at]) * opened[at]),
      random,
    );
    let placed = 0;
    more.forEach((count, at) => {
      const fits = Math.min(count, shown[at] - counts[at]);
      counts[at] += fits;
      placed += fits;
    });
    if (placed === 0) break;
    left -= placed;
  }
  return counts;
}

const turnsUntil = (turns: readonly Turn[], page: string, day: string) =>
  turns.filter((turn) => page.endsWith(turn.page) && turn.day <= day);

/** The days of a query of a page over half a year: those of the last three months add up to its row. */
function daysOf(
  row: PerformanceRow,
  turns: readonly Turn[],
  months: readonly number[] | null,
  weekOf: (page: string, week: number) => number,
): DatedRow[] {
  const random = seededRandom(`${row.query} ${row.page}`);
  const days = Array.from({ length: daysBetween(FIRST_DAY, LAST_DAY) + 1 }, (_, at) =>
    shiftDay(FIRST_DAY, at),
  );
  const split = daysBetween(FIRST_DAY, FROM);
  const weights = days.map((day, at) => {
    const season = months ? months[Number(day.slice(5, 7)) - 1] : 1;
    const turned = turnsUntil(turns, row.page, day).reduce((product, { shown }) => product * shown, 1);
    const weekday = WEEKDAY[new Date(`${day}T00:00:00Z`).getUTCDay()];
    return season * turned * weekday * weekOf(row.page, Math.floor(at / 7));
  });
  const opened = days.map((day) =>
    turnsUntil(turns, row.page, day).reduce((product, turn) => product * turn.opened, 1),
  );
  const moved = days.map((day) =>
    turnsUntil(turns, row.page, day).reduce((sum, { ranks }) => sum + ranks, 0),
  );
  const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
  const [before, after] = [weights.slice(0, split), weights.slice(split)];
  const earlier = Math.round((row.impressions * sum(before)) / sum(after));
  const shown = [...scattered(earlier, before, random), ...scattered(row.impressions, after, random)];
  const rate = (from: number, to: number) =>
    sum(shown.slice(from, to).map((count, at) => count * opened[from + at]));
  const earlierClicks = Math.round((row.clicks * rate(0, split)) / Math.max(1e-9, rate(split, days.length)));
  const clicks = [
    ...openedOf(earlierClicks, shown.slice(0, split), opened.slice(0, split), random),
    ...openedOf(row.clicks, shown.slice(split), opened.slice(split), random),
  ];
  // The mean rank of the last three months is that of the row.
  const wobble = days.map(() => (random() - 0.5) * Math.min(2, row.position / 4));
  const drawn = days.map((_day, at) => moved[at] + wobble[at]);
  const mean =
    sum(drawn.slice(split).map((rank, at) => rank * shown[split + at])) / Math.max(1, row.impressions);
  return days.flatMap((day, at): DatedRow[] => {
    if (shown[at] === 0) return [];
    const position = Math.max(1, Math.round((row.position + drawn[at] - mean) * 100) / 100);
    return [{ ...row, clicks: clicks[at], impressions: shown[at], position, from: day, to: day }];
  });
}

/**
 * Search performance of the scenario day by day, as exports would have brought it: the rows of the last three months spread over their
 * days, and three months before them, with the seasons of their phrases and what befell pages. Every start gives the same.
 */
export function searchPast(
  rows: readonly PerformanceRow[],
  turns: readonly Turn[],
  monthsOf: (phrase: string) => readonly number[] | null,
): FigurePart[] {
  const weeks = new Map<string, () => number>();
  const noise = new Map<string, number>();
  const weekOf = (page: string, week: number) => {
    const key = `${page} ${week}`;
    const known = noise.get(key);
    if (known !== undefined) return known;
    const random = weeks.get(page) ?? seededRandom(`weeks of ${page}`);
    weeks.set(page, random);
    const drawn = 0.85 + 0.3 * random();
    noise.set(key, drawn);
    return drawn;
  };
  const all = rows.flatMap((row) => daysOf(row, turns, monthsOf(row.query), weekOf));
  return EXPORTS.reduce<FigurePart[]>(
    (parts, { name, date, from, to }) =>
      withExport(
        parts,
        all.filter((row) => row.from >= from && row.to <= to),
        { name, date },
      ).parts,
    [],
  );
}
