import { daysBetween, monthsBefore, shiftDay } from '../release/index.ts';
import type { DatedRow, DaySpan } from '../research/index.ts';

/**
 * Search figures as they are kept: those of the days of one month, or of a longer period that is known as a whole. Pages and queries
 * are named once; the columns are of one length, a row at each place.
 */
export interface FigurePart {
  /** Its first and its last day, both included. */
  from: string;
  to: string;
  /** `day`: each row is of one day of it. `period`: each is of all of it. */
  grain: 'day' | 'period';
  /** Days that are known, as days after `from`; also those on which nothing was shown. Of a period: all. */
  known: number[];
  /** Exports that brought it, each with the day on which it was read. */
  sources: { name: string; date: string }[];
  /** Where it was not said which days it is of, and a period was assumed. */
  isAssumed?: boolean;
  pages: string[];
  queries: string[];
  page: number[];
  query: number[];
  /** Days after `from`; of a period 0. */
  day: number[];
  clicks: number[];
  impressions: number[];
  position: number[];
}

/** What tells a part from others of the same site. */
export const partId = ({ from, to, grain }: Pick<FigurePart, 'from' | 'to' | 'grain'>): string =>
  `${grain} ${from} ${to}`;

const lastOfMonth = (day: string): string =>
  new Date(Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)), 0)).toISOString().slice(0, 10);

const emptyPart = (from: string, to: string, grain: FigurePart['grain']): FigurePart => ({
  from,
  to,
  grain,
  known: grain === 'period' ? Array.from({ length: daysBetween(from, to) + 1 }, (_, at) => at) : [],
  sources: [],
  pages: [],
  queries: [],
  page: [],
  query: [],
  day: [],
  clicks: [],
  impressions: [],
  position: [],
});

/** Whether the columns of a part fit together: one length, and places that are there. */
export function isSoundPart(part: FigurePart): boolean {
  const { page, query, day, clicks, impressions, position, pages, queries, known, from, to } = part;
  const days = daysBetween(from, to) + 1;
  const within = (places: readonly number[], count: number) => places.every((place) => place < count);
  return (
    days > 0 &&
    [query, day, clicks, impressions, position].every(({ length }) => length === page.length) &&
    within(page, pages.length) &&
    within(query, queries.length) &&
    within(day, days) &&
    within(known, days)
  );
}

/** Queries, and days, that a part can have: a row's key is a whole number that is exact. */
const [MAX_QUERIES, MAX_DAYS] = [2 ** 22, 2 ** 6];
const rowKey = (page: number, query: number, day: number): number =>
  (page * MAX_QUERIES + query) * MAX_DAYS + day;

/** Puts rows into a part, and counts those that were there already. */
class PartBuilder {
  private readonly pageAt = new Map<string, number>();
  private readonly queryAt = new Map<string, number>();
  private readonly rowAt = new Map<number, number>();
  private readonly dayAt = new Map<string, number>();

  constructor(readonly part: FigurePart) {
    part.pages.forEach((page, at) => {
      this.pageAt.set(page, at);
    });
    part.queries.forEach((query, at) => {
      this.queryAt.set(query.toLowerCase(), at);
    });
    for (let at = 0; at < part.page.length; at++)
      this.rowAt.set(rowKey(part.page[at], part.query[at], part.day[at]), at);
  }

  private dayOf(from: string): number {
    let day = this.dayAt.get(from);
    if (day === undefined) {
      day = this.part.grain === 'day' ? daysBetween(this.part.from, from) : 0;
      this.dayAt.set(from, day);
    }
    return day;
  }

  private place(names: string[], known: Map<string, number>, name: string, key: string): number {
    let at = known.get(key);
    if (at === undefined) {
      at = names.push(name) - 1;
      known.set(key, at);
    }
    return at;
  }

  /** Puts a row in; of a page, query and day that are there already the new figures take the place of the old. */
  put(row: DatedRow): 'fresh' | 'changed' | 'same' {
    const { part } = this;
    const page = this.place(part.pages, this.pageAt, row.page, row.page);
    const query = this.place(part.queries, this.queryAt, row.query, row.query.toLowerCase());
    const day = this.dayOf(row.from);
    const key = rowKey(page, query, day);
    const known = this.rowAt.get(key);
    const at = known ?? part.page.push(page) - 1;
    if (known === undefined) {
      this.rowAt.set(key, at);
      part.query.push(query);
      part.day.push(day);
    } else if (
      part.clicks[at] === row.clicks &&
      part.impressions[at] === row.impressions &&
      part.position[at] === row.position
    )
      return 'same';
    part.clicks[at] = row.clicks;
    part.impressions[at] = row.impressions;
    part.position[at] = row.position;
    return known === undefined ? 'fresh' : 'changed';
  }
}

/** What became of the rows of an export. */
export interface MergeCount {
  fresh: number;
  /** Known already, with other figures: those of the export hold now. */
  changed: number;
  /** Known already as they are. */
  same: number;
}

/**
 * The parts of a site with the rows of an export among them, none twice: a page, query and day that is known already gets the
 * figures of the export. Rows of one day go into the month of it; those of several days are a period of their own.
 * Days between the first and the last of the export count as known, also where no row is of them.
 *
 * @returns all parts; those that the export did not touch are the same objects
 */
export function withExport(
  parts: readonly FigurePart[],
  rows: readonly DatedRow[],
  source: { name: string; date: string },
): { parts: FigurePart[]; count: MergeCount; touched: ReadonlySet<string> } {
  const byId = new Map(parts.map((part) => [partId(part), part]));
  const builders = new Map<string, PartBuilder>();
  const builderOf = (from: string, to: string, grain: FigurePart['grain']): PartBuilder => {
    const id = partId({ from, to, grain });
    let builder = builders.get(id);
    if (!builder) {
      const known = byId.get(id);
      const { isAssumed: _assumed, ...part } = known ? structuredClone(known) : emptyPart(from, to, grain);
      if (!part.sources.some(({ name, date }) => name === source.name && date === source.date))
        part.sources.push({ ...source });
      builder = new PartBuilder(part);
      builders.set(id, builder);
    }
    return builder;
  };
  const monthOf = (day: string) => builderOf(`${day.slice(0, 7)}-01`, lastOfMonth(day), 'day');
  const count: MergeCount = { fresh: 0, changed: 0, same: 0 };
  let [first, last] = ['', ''];
  for (const row of rows) {
    const isDay = row.from === row.to;
    const builder = isDay ? monthOf(row.from) : builderOf(row.from, row.to, 'period');
    count[builder.put(row)] += 1;
    if (!isDay) continue;
    if (first === '' || row.from < first) first = row.from;
    if (row.from > last) last = row.from;
  }
  if (first !== '') {
    const known = new Map<PartBuilder, Set<number>>();
    for (let day = first; day <= last; day = shiftDay(day, 1)) {
      const builder = monthOf(day);
      const days = known.get(builder) ?? new Set(builder.part.known);
      days.add(daysBetween(builder.part.from, day));
      known.set(builder, days);
    }
    for (const [{ part }, days] of known) part.known = [...days].sort((a, b) => a - b);
  }
  for (const [id, { part }] of builders) byId.set(id, part);
  return { parts: inOrder([...byId.values()]), count, touched: new Set(builders.keys()) };
}

/** Parts by their first day, the shorter before the longer. */
const inOrder = (parts: FigurePart[]): FigurePart[] =>
  parts.sort((a, b) =>
    a.from === b.from
      ? a.to < b.to
        ? -1
        : a.to > b.to
          ? 1
          : a.grain === 'day'
            ? -1
            : 1
      : a.from < b.from
        ? -1
        : 1,
  );

/** The rows of a part. */
export function* rowsOfPart(part: FigurePart): Generator<DatedRow> {
  for (let at = 0; at < part.page.length; at++) {
    const day = part.grain === 'day' ? shiftDay(part.from, part.day[at]) : '';
    yield {
      query: part.queries[part.query[at]],
      page: part.pages[part.page[at]],
      clicks: part.clicks[at],
      impressions: part.impressions[at],
      position: part.position[at],
      from: day || part.from,
      to: day || part.to,
    };
  }
}

/** One part of what two say of the same days: every row of either, those of the newer where both have it. */
export function joinedPart(older: FigurePart, newer: FigurePart): FigurePart {
  const { isAssumed: _assumed, ...part } = structuredClone(older);
  const builder = new PartBuilder(part);
  for (const row of rowsOfPart(newer)) builder.put(row);
  part.known = [...new Set([...older.known, ...newer.known])].sort((a, b) => a - b);
  for (const source of newer.sources)
    if (!part.sources.some(({ name, date }) => name === source.name && date === source.date))
      part.sources.push(source);
  return older.isAssumed && newer.isAssumed ? { ...part, isAssumed: true } : part;
}

/** The period that an export is assumed to be of where nobody said which: the three months before the day on which it was read. */
export function assumedPeriod(read: string): DaySpan {
  const to = shiftDay(read, -1);
  return { from: shiftDay(monthsBefore(to, 3), 1), to };
}

/** An export that was kept without saying of which days, as a part. */
export function partOfUndated(
  rows: readonly Omit<DatedRow, 'from' | 'to'>[],
  source: { name: string; date: string },
): FigurePart {
  const period = assumedPeriod(source.date);
  const { parts } = withExport(
    [],
    rows.map((row) => ({ ...row, ...period })),
    source,
  );
  return { ...(parts.at(0) ?? emptyPart(period.from, period.to, 'period')), isAssumed: true };
}

/** A part whose period was assumed or mistyped, of other days. */
export const withPeriod = (part: FigurePart, { from, to }: DaySpan): FigurePart => {
  const { isAssumed: _assumed, ...rest } = part;
  return { ...rest, from, to, known: emptyPart(from, to, 'period').known };
};
