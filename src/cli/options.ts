import { parseArgs } from 'node:util';
import leven from 'leven';

/** What reports can be printed as. */
export const FORMATS = ['text', 'json', 'junit', 'sarif', 'markdown'] as const;
export type ReportFormat = (typeof FORMATS)[number];

/** What the user asked for. */
export interface ScoreOptions {
  paths: string[];
  keyword: string | null;
  supporting: string[] | null;
  /** The site's address, to tell internal links. */
  site: string | null;
  titlePattern: string | null;
  profile: string | null;
  study: string | null;
  min: number | null;
  format: ReportFormat;
}

/** A wish that cannot be met, in one sentence for the user. */
export class UsageError extends Error {}

const OPTIONS = {
  keyword: { type: 'string' },
  supporting: { type: 'string' },
  site: { type: 'string' },
  'title-pattern': { type: 'string' },
  profile: { type: 'string' },
  study: { type: 'string' },
  min: { type: 'string' },
  format: { type: 'string' },
  json: { type: 'boolean' },
  help: { type: 'boolean', short: 'h' },
  version: { type: 'boolean', short: 'v' },
} as const;

/** What a command line says: help, version, or files to score. Throws {@link UsageError}. */
export function readOptions(args: readonly string[]): 'help' | 'version' | ScoreOptions {
  const { values, positionals, tokens } = parseArgs({
    args: [...args],
    options: OPTIONS,
    allowPositionals: true,
    strict: false,
    tokens: true,
  });
  for (const token of tokens) {
    if (token.kind !== 'option') continue;
    if (!Object.hasOwn(OPTIONS, token.name))
      throw new UsageError(
        `There is no option ${token.rawName}. The nearest one is --${nearest(token.name, Object.keys(OPTIONS))}.`,
      );
    const { type } = OPTIONS[token.name as keyof typeof OPTIONS];
    if (
      type === 'string' &&
      (token.value === undefined || (token.value.startsWith('--') && !token.inlineValue))
    )
      throw new UsageError(`The option ${token.rawName} needs a value.`);
    if (type === 'boolean' && token.value !== undefined)
      throw new UsageError(`The option ${token.rawName} takes no value.`);
  }
  if (values.help || args.length === 0) return 'help';
  if (values.version) return 'version';
  const [command, ...paths] = positionals;
  if (command !== 'score')
    throw new UsageError(
      command === undefined
        ? 'Say what to do: dune-sparrow score FILE...'
        : `There is no command "${command}". The one there is: score.`,
    );
  if (paths.length === 0) throw new UsageError('Name at least one file or folder to score.');
  const text = (name: keyof typeof OPTIONS) =>
    typeof values[name] === 'string' ? (values[name] as string) : null;
  const min = text('min');
  if (min !== null && !/^\d+(?:\.\d+)?$/.test(min))
    throw new UsageError(`--min takes a score from 0 to 100, not "${min}".`);
  if (min !== null && Number(min) > 100)
    throw new UsageError(`--min takes a score from 0 to 100, not "${min}".`);
  const site = text('site');
  if (
    site !== null &&
    !/^(?:https?:\/\/)?[^\s/]+\.[^\s/]+/.test(site) &&
    !/^(?:https?:\/\/)?localhost/.test(site)
  )
    throw new UsageError(`--site takes an address such as https://blog.example, not "${site}".`);
  return {
    paths,
    keyword: text('keyword'),
    supporting:
      text('supporting')
        ?.split(',')
        .map((phrase) => phrase.trim())
        .filter(Boolean) ?? null,
    site,
    titlePattern: text('title-pattern'),
    profile: text('profile'),
    study: text('study'),
    min: min === null ? null : Number(min),
    format: formatOf(text('format'), values.json === true),
  };
}

function formatOf(named: string | null, json: boolean): ReportFormat {
  if (named === null) return json ? 'json' : 'text';
  const format = FORMATS.find((each) => each === named.toLowerCase());
  if (!format)
    throw new UsageError(
      `--format takes ${FORMATS.slice(0, -1).join(', ')} or ${FORMATS.at(-1)}, not "${named}".`,
    );
  if (json && format !== 'json')
    throw new UsageError(`--json and --format ${format} ask for two different things.`);
  return format;
}

const nearest = (name: string, known: string[]) =>
  known.reduce((best, next) => (leven(name, next) < leven(name, best) ? next : best));

export const HELP = `Usage: dune-sparrow score FILE... [options]

Scores drafts (Markdown, HTML, plain text) against on-page search criteria.
A folder is a site: its files are judged with each other in view.

  --keyword K          primary keyword; wins over the front matter
  --supporting a,b,c   supporting keywords
  --site ADDRESS       the site's address, to tell internal links
  --title-pattern P    how the site builds meta titles, e.g. "{title} | Name"
  --profile FILE       criteria profile (JSON): limits and weights
  --study FILE         study of result pages (JSON, exported on Study): its terms,
                       topics and lengths are judged too
  --min N              exit with 1 when a file scores below N
  --format F           what is printed: text (default), json, junit, sarif
                       or markdown
  --json               the same as --format json
  --help, --version

Exit status: 0 fine, 1 a file below --min, 2 bad input or usage.`;
