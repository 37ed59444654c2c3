import Papa from 'papaparse';
import { comparablePath } from '../listing/index.ts';
import { isLeadable, type Redirect, redirectedTo, withRedirect } from '../site/index.ts';

const COLUMNS = ['from', 'to', 'status', 'since', 'why'] as const;
const GONE = '410';
/** Names by which other tables call these columns. */
const NAMES: Record<(typeof COLUMNS)[number], RegExp> = {
  from: /^(?:from|source|old|old (?:url|address|path)|request(?:ed)?(?: (?:url|path))?|url|path)$/,
  to: /^(?:to|target|new|new (?:url|address|path)|destination|redirects? to)$/,
  status: /^(?:status|code|type|http status|status code)$/,
  since: /^(?:since|date|created)$/,
  why: /^(?:why|reason|note|comment)$/,
};

/** Redirects as a table: from, to (empty: gone for good), status (301 or 410), since, why. */
export const redirectsCsv = (redirects: readonly Redirect[]): string =>
  `${Papa.unparse(
    {
      fields: [...COLUMNS],
      data: redirects.map(({ from, to, since, why }) => [
        from,
        to ?? '',
        to === null ? GONE : '301',
        since,
        why,
      ]),
    },
    { escapeFormulae: true },
  )}\r\n`;

/** How a web server is told of redirects: by directives that begin with `Redirect`, or with `rewrite`. */
export type RedirectForm = 'redirect' | 'rewrite';

/** A word of a server's file: quoted where it holds what would end it; line ends can stand in none. */
function word(text: string): string {
  const whole = text.replace(/[\r\n\0]/g, '');
  return /[\s"'\\;{}#$]/.test(whole) ? `"${whole.replace(/["\\$]/g, '\\$&')}"` : whole;
}

const literal = (path: string): string => path.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * Redirects as lines for a web server's file.
 *
 * @example redirectLines([{ from: '/a', to: '/b', since: '', why: '' }], 'redirect') // 'Redirect 301 /a /b\n'
 * @example redirectLines([{ from: '/a', to: '/b', since: '', why: '' }], 'rewrite') // 'rewrite ^/a$ /b permanent;\n'
 */
export function redirectLines(redirects: readonly Redirect[], form: RedirectForm): string {
  return redirects
    .map(({ from, to }) => {
      if (form === 'redirect')
        return to === null ? `Redirect ${GONE} ${word(from)}\n` : `Redirect 301 ${word(from)} ${word(to)}\n`;
      return to === null
        ? `location = ${word(from)} { return ${GONE}; }\n`
        : `rewrite ${pattern(from)} ${word(to)} permanent;\n`;
    })
    .join('');
}

/** An expression that a path alone fits; a quote within a quoted one is escaped, its own backslashes stand. */
function pattern(path: string): string {
  const expression = `^${literal(path.replace(/[\r\n\0]/g, ''))}$`;
  return /[\s"';{}#]/.test(path) ? `"${expression.replace(/"/g, '\\"')}"` : expression;
}

/** Redirects as they were read, beside those that were known. */
export interface ReadRedirects {
  /** All of them, chains collapsed. */
  redirects: Redirect[];
  added: number;
  /** Lines that could not be taken, each as a sentence with its number. */
  problems: string[];
}

/** Which column holds what: by the names of a first row, else from, to, status in this order. */
function columnsOf(row: readonly string[]): { at: Record<string, number>; named: boolean } {
  const names = row.map((cell) => cell.trim().toLowerCase().replace(/[_-]+/g, ' '));
  const at: Record<string, number> = Object.create(null);
  for (const column of COLUMNS) {
    const found = names.findIndex((name) => NAMES[column].test(name));
    if (found >= 0) at[column] = found;
  }
  return 'from' in at && ('to' in at || 'status' in at)
    ? { at, named: true }
    : { at: Object.assign(Object.create(null), { from: 0, to: 1, status: 2 }), named: false };
}

/**
 * Reads a table of redirects (any delimiter; with a row of names, or from and to in this order) into those that are known.
 * A target that is empty, or a status of 410, says that the page is gone. Lines without an address, to themselves, or that
 * would lead round in a circle are refused, each with a sentence. `now` is the UTC instant from which those without a date hold.
 */
export function readRedirects(text: string, known: readonly Redirect[], now: string): ReadRedirects {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const problems: string[] = [];
  let redirects = [...known];
  let added = 0;
  const first = data.findIndex((row) => row.some((cell) => cell.trim() !== ''));
  if (first < 0) return { redirects, added, problems: ['The table is empty.'] };
  const { at, named } = columnsOf(data[first]);
  const cell = (row: readonly string[], column: string) => (row[at[column] ?? -1] ?? '').trim();
  for (let line = named ? first + 1 : first; line < data.length; line++) {
    const row = data[line];
    if (row.every((one) => one.trim() === '')) continue;
    const given = cell(row, 'from');
    const from = /^(?:https?:\/\/|\/)/i.test(given) ? comparablePath(given) : null;
    const target = cell(row, 'to');
    if (from === null) {
      problems.push(`Line ${line + 1}: "${given.slice(0, 60)}" is no path and no address.`);
      continue;
    }
    const isGone = target === '' || cell(row, 'status') === GONE;
    if (!isGone && !isLeadable(target)) {
      problems.push(`Line ${line + 1}: "${target.slice(0, 60)}" is nothing that ${from} can lead to.`);
      continue;
    }
    const end = isGone ? null : comparablePath(target);
    if (
      end === from ||
      (end !== null && redirectedTo(end, redirects) !== undefined && leadsBack(end, from, redirects))
    ) {
      problems.push(`Line ${line + 1}: ${from} would lead round to itself.`);
      continue;
    }
    const since = cell(row, 'since');
    redirects = withRedirect(redirects, {
      from,
      to: isGone ? null : target,
      since: Number.isNaN(Date.parse(since)) ? now : new Date(since).toISOString(),
      why: cell(row, 'why') || 'Brought from a table',
    });
    added += 1;
  }
  return { redirects, added, problems };
}

const leadsBack = (end: string, from: string, redirects: readonly Redirect[]): boolean => {
  const to = redirectedTo(end, redirects);
  return typeof to === 'string' && comparablePath(to) === from;
};
