import { monthsBefore, shiftDay } from '../release/index.ts';
import type { DatedRow, DaySpan } from '../research/index.ts';
import type { FigurePart } from './figure-parts.ts';
import { countedSpans, type Span } from './spans.ts';

/** What search showed of something over some days. */
export interface SearchSum {
  clicks: number;
  impressions: number;
  /** Mean rank, each showing counted; null where nothing was shown or no rank is known. */
  position: number | null;
}

/** A query of a page over some days. */
export interface QuerySum extends SearchSum {
  query: string;
}

/** The days of a window that are known. */
export interface Window extends DaySpan {
  /** Places of the spans that lie in it as a whole: from the first up to, but without, the last. */
  first: number;
  last: number;
  /** How many days they are. */
  days: number;
}

/** What search showed of a page in seven days, or in the days that are known of them, or in a longer period. */
export interface WeekSum extends SearchSum, DaySpan {
  days: number;
}

const DAYS_OF_WEEK = 7;

/** What rows add up to: clicks, impressions, and the mean of their ranks, each showing counted. */
export function sumOfRows(rows: Iterable<Pick<DatedRow, 'clicks' | 'impressions' | 'position'>>): SearchSum {
  let [clicks, impressions, ranks] = [0, 0, 0];
  for (const row of rows) {
    clicks += row.clicks;
    impressions += row.impressions;
    ranks += row.position * row.impressions;
  }
  return { clicks, impressions, position: impressions > 0 ? ranks / impressions : null };
}

/** One row as a screen shows it, with the span that it is of. */
export interface HistoryRow extends DatedRow {
  path: string;
}

/**
 * What search showed of the pages of a site over time, each day counted once ({@link countedSpans}). Pages go by their paths: addresses that
 * are the same page, and such as it had before, are one.
 *
 * Where a page's own sums are known (rows without a query), they are its sums: search keeps rare queries back, so
 * that its queries add up to less.
 */
export class SearchHistory {
  readonly spans: readonly Span[];
  /** Places of parts of which nothing is counted: their days are known better. */
  readonly leftOut: readonly number[];
  /** Paths of pages, in the order in which they were met. */
  readonly paths: readonly string[];
  private readonly pathAt = new Map<string, number>();
  private readonly queries: string[] = [];
  /** A row at each place, in the order of their spans. */
  private readonly row: {
    span: Uint32Array;
    page: Uint32Array;
    query: Uint32Array;
    clicks: Float64Array;
    impressions: Float64Array;
    position: Float64Array;
  };
  /** The row at which each span begins. */
  private readonly begins: Uint32Array;
  /** Rows of each page. */
  private readonly ofPage: number[][] = [];
  /** Of each page, its rows added up in their order: the sum of a stretch of them is a difference. */
  private readonly addedUp: { clicks: Float64Array; impressions: Float64Array; ranks: Float64Array }[];
  /** Page and span of which the sum is told by a row of its own. */
  private readonly summed = new Set<number>();

  /** @param pathOf the path of a page by its address; null: it is none of the site */
  constructor(parts: readonly FigurePart[], pathOf: (address: string) => string | null) {
    const { spans, leftOut } = countedSpans(parts);
    this.spans = spans;
    this.leftOut = leftOut;
    const paths: string[] = [];
    const queryAt = new Map<string, number>([['', 0]]);
    this.queries.push('');
    const spanAt = new Map(spans.map(({ part, from }, at) => [`${part} ${from}`, at]));
    const found: { span: number; page: number; query: number; part: number; row: number }[] = [];
    parts.forEach((part, at) => {
      const pages = part.pages.map((address) => {
        const path = pathOf(address);
        if (path === null) return -1;
        let place = this.pathAt.get(path);
        if (place === undefined) {
          place = paths.push(path) - 1;
          this.pathAt.set(path, place);
        }
        return place;
      });
      const queries = part.queries.map((query) => {
        const key = query.toLowerCase();
        let place = queryAt.get(key);
        if (place === undefined) {
          place = this.queries.push(query) - 1;
          queryAt.set(key, place);
        }
        return place;
      });
      const days = new Map<number, number | undefined>();
      for (let row = 0; row < part.page.length; row++) {
        const page = pages[part.page[row]];
        if (page < 0) continue;
        const day = part.day[row];
        if (!days.has(day)) days.set(day, spanAt.get(`${at} ${shiftDay(part.from, day)}`));
        const span = days.get(day);
        if (span !== undefined) found.push({ span, page, query: queries[part.query[row]], part: at, row });
      }
    });
    this.paths = paths;
    found.sort((a, b) => a.span - b.span);
    const count = found.length;
    this.row = {
      span: new Uint32Array(count),
      page: new Uint32Array(count),
      query: new Uint32Array(count),
      clicks: new Float64Array(count),
      impressions: new Float64Array(count),
      position: new Float64Array(count),
    };
    this.begins = new Uint32Array(spans.length + 1).fill(count);
    for (let at = 0; at < paths.length; at++) this.ofPage.push([]);
    found.forEach(({ span, page, query, part, row }, at) => {
      this.row.span[at] = span;
      this.row.page[at] = page;
      this.row.query[at] = query;
      this.row.clicks[at] = parts[part].clicks[row];
      this.row.impressions[at] = parts[part].impressions[row];
      this.row.position[at] = parts[part].position[row];
      this.ofPage[page].push(at);
      if (query === 0) this.summed.add(page * spans.length + span);
      if (this.begins[span] > at) this.begins[span] = at;
    });
    this.addedUp = this.ofPage.map((rows) => this.addUp(rows));
    for (let span = spans.length - 1; span >= 0; span--)
      if (this.begins[span] === count && span + 1 < spans.length) this.begins[span] = this.begins[span + 1];
  }

  /** The first and the last day that are known; null where none is. */
  get reach(): DaySpan | null {
    const first = this.spans.at(0);
    return first ? { from: first.from, to: this.spans.at(-1)!.to } : null;
  }

  /** The window from one day to another, both included: only spans that lie in it as a whole count. */
  window(from: string, to: string): Window {
    let first = 0;
    while (first < this.spans.length && this.spans[first].from < from) first += 1;
    let last = first;
    let days = 0;
    while (last < this.spans.length && this.spans[last].to <= to) {
      days += this.spans[last].days;
      last += 1;
    }
    return { from, to, first, last, days };
  }

  /**
   * The latest three months that are known: what stands for "now". Where the latest period is longer, that one. Null where nothing is
   * known.
   */
  latest(): Window | null {
    const { reach } = this;
    if (!reach) return null;
    const from = shiftDay(monthsBefore(reach.to, 3), 1);
    const end = this.spans.at(-1)!;
    return this.window(end.from < from ? end.from : from, reach.to);
  }

  private addUp(rows: readonly number[]): (typeof this.addedUp)[number] {
    const sums = () => new Float64Array(rows.length + 1);
    const added = { clicks: sums(), impressions: sums(), ranks: sums() };
    rows.forEach((at, place) => {
      const isCounted = this.counts(at) ? 1 : 0;
      const shown = isCounted * this.row.impressions[at];
      added.clicks[place + 1] = added.clicks[place] + isCounted * this.row.clicks[at];
      added.impressions[place + 1] = added.impressions[place] + shown;
      added.ranks[place + 1] = added.ranks[place] + this.row.position[at] * shown;
    });
    return added;
  }

  private sumAt(rows: readonly number[]): SearchSum {
    let [clicks, impressions, ranks] = [0, 0, 0];
    for (const at of rows) {
      clicks += this.row.clicks[at];
      impressions += this.row.impressions[at];
      ranks += this.row.position[at] * this.row.impressions[at];
    }
    return { clicks, impressions, position: impressions > 0 ? ranks / impressions : null };
  }

  /** Whether a row counts in the sum of its page: its own sum where there is one, else its queries. */
  private counts(at: number): boolean {
    const isWhole = this.row.query[at] === 0;
    if (this.summed.size === 0) return !isWhole;
    return isWhole === this.summed.has(this.row.page[at] * this.spans.length + this.row.span[at]);
  }

  /** Where the rows of a page in a window begin and end among its rows, which lie in the order of their spans. */
  private placesIn(page: number, { first, last }: Pick<Window, 'first' | 'last'>): [number, number] {
    const rows = this.ofPage[page];
    const from = (span: number): number => {
      let [low, high] = [0, rows.length];
      while (low < high) {
        const middle = (low + high) >> 1;
        if (this.row.span[rows[middle]] < span) low = middle + 1;
        else high = middle;
      }
      return low;
    };
    return [from(first), from(last)];
  }

  /** What search showed of a page in a window. */
  sum(path: string, window: Pick<Window, 'first' | 'last'>): SearchSum {
    const page = this.pathAt.get(path);
    if (page === undefined) return { clicks: 0, impressions: 0, position: null };
    const [first, last] = this.placesIn(page, window);
    const { clicks, impressions, ranks } = this.addedUp[page];
    const shown = impressions[last] - impressions[first];
    return {
      clicks: clicks[last] - clicks[first],
      impressions: shown,
      position: shown > 0 ? Math.max(1, (ranks[last] - ranks[first]) / shown) : null,
    };
  }

  /**
   * What search showed of a page by week: seven days each, the latest ending with the last day that is known, and each longer period as
   * it is. Days that are missing part weeks. In order; at most so many, the latest.
   */
  weeks(path: string, most = Number.POSITIVE_INFINITY): WeekSum[] {
    return this.weekSpans()
      .slice(-most)
      .map((week) => {
        const { from, to, days } = week;
        return { from, to, days, ...this.sum(path, week) };
      });
  }

  private inWeeks: Window[] | null = null;

  private weekSpans(): Window[] {
    if (this.inWeeks) return this.inWeeks;
    const weeks: Window[] = [];
    for (let at = this.spans.length - 1; at >= 0; at--) {
      const { from, to, days } = this.spans[at];
      const open = weeks.at(-1);
      const isNext =
        open !== undefined &&
        days === 1 &&
        open.days < DAYS_OF_WEEK &&
        this.spans[open.first].days === 1 &&
        shiftDay(from, 1) === open.from;
      if (isNext) {
        open.first = at;
        open.from = from;
        open.days += 1;
      } else weeks.push({ from, to, first: at, last: at + 1, days });
    }
    this.inWeeks = weeks.reverse();
    return this.inWeeks;
  }

  /** The queries that a page was shown for in a window; those with most clicks, then impressions, first. */
  queriesOf(path: string, window: Window): QuerySum[] {
    const byQuery = new Map<number, number[]>();
    const page = this.pathAt.get(path);
    if (page === undefined) return [];
    const [first, last] = this.placesIn(page, window);
    for (let place = first; place < last; place++) {
      const at = this.ofPage[page][place];
      const query = this.row.query[at];
      if (query === 0) continue;
      const rows = byQuery.get(query);
      if (rows) rows.push(at);
      else byQuery.set(query, [at]);
    }
    return [...byQuery]
      .map(([query, rows]) => ({ query: this.queries[query], ...this.sumAt(rows) }))
      .sort(
        (a, b) =>
          b.clicks - a.clicks ||
          b.impressions - a.impressions ||
          (a.query < b.query ? -1 : a.query > b.query ? 1 : 0),
      );
  }

  /**
   * A row for each page and query of a window, added up. What a page has beyond its queries, which search keeps back, stands in a
   * row without a query.
   */
  merged({ from, to, ...window }: Window): DatedRow[] {
    return this.paths.flatMap((path) => {
      const row = (query: string, { clicks, impressions, position }: SearchSum): DatedRow => ({
        query,
        page: path,
        clicks,
        impressions,
        position: position ?? 1,
        from,
        to,
      });
      const whole = { from, to, ...window };
      const [sum, queries] = [this.sum(path, whole), this.queriesOf(path, whole)];
      const beyond = (of: 'clicks' | 'impressions') =>
        Math.max(0, sum[of] - queries.reduce((total, query) => total + query[of], 0));
      const rest = { ...sum, clicks: beyond('clicks'), impressions: beyond('impressions') };
      const rows = queries.map(({ query, ...own }) => row(query, own));
      return rest.impressions > 0 || rest.clicks > 0 ? [...rows, row('', rest)] : rows;
    });
  }

  /** What each query of a page was shown for over all that is known. */
  shownFor(path: string): { query: string; weight: number }[] {
    return this.queriesOf(path, { ...this.reach!, first: 0, last: this.spans.length, days: 0 }).map(
      ({ query, impressions }) => ({ query, weight: impressions }),
    );
  }

  /**
   * The rows that a figure is made of: of a page (or all, where it is null) and of some queries (or all) in a window, as they were
   * brought.
   */
  rows(
    { first, last }: Window,
    path: string | null = null,
    queries: readonly string[] | null = null,
  ): HistoryRow[] {
    const found: HistoryRow[] = [];
    const page = path === null ? null : (this.pathAt.get(path) ?? -1);
    const asked = queries && new Set(queries.map((query) => query.toLowerCase()));
    for (let at = this.begins[first] ?? 0; at < this.row.span.length && this.row.span[at] < last; at++) {
      if (page !== null && this.row.page[at] !== page) continue;
      const own = this.queries[this.row.query[at]];
      // Rows of the queries, or else those that the page's sum is made of.
      if (asked === null ? !this.counts(at) : !asked.has(own.toLowerCase())) continue;
      const { from, to } = this.spans[this.row.span[at]];
      found.push({
        query: own,
        page: this.paths[this.row.page[at]],
        path: this.paths[this.row.page[at]],
        clicks: this.row.clicks[at],
        impressions: this.row.impressions[at],
        position: this.row.position[at],
        from,
        to,
      });
    }
    return found;
  }
}
