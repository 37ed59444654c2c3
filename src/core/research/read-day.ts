import { MONTH_NAMES } from './season.ts';

/** Days that a cell of a table tells, both included: one day, or a whole month. */
export interface DaySpan {
  /** `2026-11-03`. */
  from: string;
  to: string;
}

/** Which number of `03/11/2026` is the day. */
export type DayOrder = 'day-first' | 'month-first';

const PARTED = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/;
const MONTHS = MONTH_NAMES.map((name) => name.toLowerCase());

const dayOf = (year: number, month: number, day: number): string | null => {
  const date = new Date(Date.UTC(year, month - 1, day));
  const isReal =
    year >= 1990 &&
    year <= 2200 &&
    date.getUTCFullYear() === year &&
    date.getUTCMonth() === month - 1 &&
    date.getUTCDate() === day;
  return isReal ? date.toISOString().slice(0, 10) : null;
};

/** Cells that tell no order after which nobody looks on. */
const MAX_UNTOLD = 50;

/**
 * Which of both orders the days of a table are written in: told by a number that can be no month; `usual` where none tells.
 */
export function dayOrderOf(cells: Iterable<string>, usual: DayOrder = 'day-first'): DayOrder {
  let untold = 0;
  for (const cell of cells) {
    const parts = PARTED.exec(cell.trim());
    if (!parts) {
      untold += 1;
      if (untold > MAX_UNTOLD) return usual;
      continue;
    }
    if (Number(parts[1]) > 12) return 'day-first';
    if (Number(parts[2]) > 12) return 'month-first';
  }
  return usual;
}

/**
 * The days that a cell tells; null where it tells none. `2026-11-03` (also with a time behind it), `20261103`, `03/11/2026` by the order
 * given, `3 Nov 2026`, `Nov 3, 2026`, and whole months: `2026-11`, `Nov 2026`.
 *
 * `readDays('2026-02', 'day-first')` is `{ from: '2026-02-01', to: '2026-02-28' }`.
 */
export function readDays(cell: string, order: DayOrder): DaySpan | null {
  const text = cell.trim().toLowerCase();
  if (text === '' || text.length > 40) return null;
  const whole = /^(\d{4})[-/.]?(\d{2})[-/.]?(\d{2})(?:[t ][\d:.]+(?:z|[+-]\d{2}:?\d{2})?)?$/.exec(text);
  if (whole) return single(dayOf(Number(whole[1]), Number(whole[2]), Number(whole[3])));
  const parted = PARTED.exec(text);
  if (parted) {
    const [first, second, year] = parted.slice(1).map(Number);
    return single(order === 'day-first' ? dayOf(year, second, first) : dayOf(year, first, second));
  }
  const month = /^(\d{4})[-/](\d{1,2})$/.exec(text);
  if (month) return wholeMonth(Number(month[1]), Number(month[2]));
  const words = text.replace(/[.,]/g, ' ').split(/\s+/).filter(Boolean);
  const named = words.findIndex((word) => /^[a-z]{3,9}$/.test(word) && MONTHS.includes(word.slice(0, 3)));
  if (named < 0) return null;
  const numbers = words.filter((_word, at) => at !== named);
  if (numbers.some((word) => !/^\d{1,4}(?:st|nd|rd|th)?$/.test(word))) return null;
  const number = MONTHS.indexOf(words[named].slice(0, 3)) + 1;
  const figures = numbers.map((word) => Number.parseInt(word, 10));
  const year = figures.find((figure) => figure > 31);
  if (year === undefined || figures.length > 2) return null;
  const day = figures.find((figure) => figure <= 31);
  return day === undefined ? wholeMonth(year, number) : single(dayOf(year, number, day));
}

const single = (day: string | null): DaySpan | null => (day === null ? null : { from: day, to: day });

function wholeMonth(year: number, month: number): DaySpan | null {
  const from = dayOf(year, month, 1);
  if (from === null) return null;
  return { from, to: new Date(Date.UTC(year, month, 0)).toISOString().slice(0, 10) };
}

/**
 * The period that a file's name tells by two days in it, `export_2026-08-01_2026-10-31.csv`; null where it tells none.
 */
export function periodInName(name: string): DaySpan | null {
  const days = [...name.matchAll(/(?<!\d)(\d{4})[-_.]?(\d{2})[-_.]?(\d{2})(?!\d)/g)].flatMap(
    ([, year, month, day]) => dayOf(Number(year), Number(month), Number(day)) ?? [],
  );
  return days.length === 2 && days[0] <= days[1] ? { from: days[0], to: days[1] } : null;
}
