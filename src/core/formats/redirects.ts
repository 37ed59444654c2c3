import Papa from 'papaparse';
import { comparablePath } from '../listing/index.ts';
import { isLeadable, type Redirect } from '../site/index.ts';

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
  const chains = new Chains(known);
  let added = 0;
  const first = data.findIndex((row) => row.some((cell) => cell.trim() !== ''));
  if (first < 0) return { redirects: [...known], added, problems: ['The table is empty.'] };
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
    if (!isGone && chains.leadsTo(target, from)) {
      problems.push(`Line ${line + 1}: ${from} would lead round to itself.`);
      continue;
    }
    const since = cell(row, 'since');
    chains.add({
      from,
      to: isGone ? null : target,
      since: Number.isNaN(Date.parse(since)) ? now : new Date(since).toISOString(),
      why: cell(row, 'why') || 'Brought from a table',
    });
    added += 1;
  }
  return { redirects: chains.collapsed(), added, problems };
}

/** Path of the site at which a target lies; null: it lies elsewhere, or is none. */
const pathOf = (to: string | null): string | null =>
  to === null || /^[a-z][a-z0-9+.-]*:|^\/\//i.test(to) ? null : comparablePath(to);

/** Redirects of which each leads on from where another ends; the way along a chain is walked once and kept. */
class Chains {
  private readonly byPath: Map<string, Redirect>;
  /** For a path some path further along its chain. */
  private further = new Map<string, string>();

  constructor(known: readonly Redirect[]) {
    this.byPath = new Map(known.map((redirect) => [redirect.from, redirect]));
  }

  /** The last path of a chain that has a redirect; null where the path has none. */
  private lastFrom(path: string): Redirect | null {
    const walked: string[] = [];
    const met = new Set<string>();
    let at = path;
    while (!met.has(at)) {
      met.add(at);
      const next = this.further.get(at) ?? pathOf(this.byPath.get(at)?.to ?? null);
      if (next === null || !this.byPath.has(next)) break;
      walked.push(at);
      at = next;
    }
    for (const one of walked) if (one !== at) this.further.set(one, at);
    return this.byPath.get(at) ?? null;
  }

  /** Whether a target is a path, or leads to it in the end. */
  leadsTo(target: string, path: string): boolean {
    const start = pathOf(target);
    if (start === null) return false;
    if (start === path || this.passes(start, path)) return true;
    return pathOf(this.lastFrom(start)?.to ?? null) === path;
  }

  /** Whether a path that has a redirect already stands on a chain; only then is it walked step by step. */
  private passes(start: string, path: string): boolean {
    if (!this.byPath.has(path)) return false;
    const met = new Set<string>();
    for (
      let at: string | null = start;
      at !== null && !met.has(at);
      at = pathOf(this.byPath.get(at)?.to ?? null)
    ) {
      if (at === path) return true;
      met.add(at);
    }
    return false;
  }

  add(redirect: Redirect): void {
    // What was walked past it before led elsewhere.
    if (this.byPath.has(redirect.from)) this.further = new Map();
    this.byPath.set(redirect.from, redirect);
  }

  /** All of them, each to where its chain ends. */
  collapsed(): Redirect[] {
    return [...this.byPath.values()].map((redirect) => ({
      ...redirect,
      to: (this.lastFrom(redirect.from) ?? redirect).to,
    }));
  }
}
