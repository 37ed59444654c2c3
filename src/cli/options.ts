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

/** What is asked of `study`. */
export interface StudyOptions {
  command: 'study';
  paths: string[];
  query: string;
  region: string;
  /** A file of questions, a line each. */
  questions: string | null;
  json: boolean;
}

/** What is asked of `outline`. */
export interface OutlineOptions {
  command: 'outline';
  study: string;
  points: string[];
  audience: string;
  tone: string;
  style: string;
  keyword: string | null;
  count: number;
  /** A file whose coverage is asked for instead of proposals. */
  covers: string | null;
  json: boolean;
}

/** What an audit can be printed as. */
export const AUDIT_FORMATS = ['text', 'json', 'csv'] as const;

/** What is asked of `audit`. */
export interface AuditOptions {
  command: 'audit';
  /** A folder of posts, or the file or the address of a sitemap. */
  path: string;
  site: string | null;
  titlePattern: string | null;
  profile: string | null;
  /** A file of an earlier audit. */
  since: string | null;
  /** A search performance export. */
  performance: string | null;
  min: number | null;
  format: (typeof AUDIT_FORMATS)[number];
}

/** A wish that cannot be met, in one sentence for the user. */
export class UsageError extends Error {}

const SCORE = {
  keyword: { type: 'string' },
  supporting: { type: 'string' },
  site: { type: 'string' },
  'title-pattern': { type: 'string' },
  profile: { type: 'string' },
  study: { type: 'string' },
  min: { type: 'string' },
  format: { type: 'string' },
  json: { type: 'boolean' },
} as const;
const STUDY = {
  query: { type: 'string' },
  region: { type: 'string' },
  questions: { type: 'string' },
  json: { type: 'boolean' },
} as const;
const OUTLINE = {
  points: { type: 'string' },
  audience: { type: 'string' },
  tone: { type: 'string' },
  style: { type: 'string' },
  keyword: { type: 'string' },
  count: { type: 'string' },
  covers: { type: 'string' },
  json: { type: 'boolean' },
} as const;
const AUDIT = {
  site: { type: 'string' },
  'title-pattern': { type: 'string' },
  profile: { type: 'string' },
  since: { type: 'string' },
  performance: { type: 'string' },
  min: { type: 'string' },
  format: { type: 'string' },
  json: { type: 'boolean' },
} as const;
const ALWAYS = { help: { type: 'boolean', short: 'h' }, version: { type: 'boolean', short: 'v' } } as const;
/** All options, and those of each command. */
const OPTIONS = { ...SCORE, ...STUDY, ...OUTLINE, ...AUDIT, ...ALWAYS };
const COMMANDS = { score: SCORE, study: STUDY, outline: OUTLINE, audit: AUDIT };
type Command = keyof typeof COMMANDS;

/** Proposals that are made where nobody says how many, and the most. */
const PROPOSALS = 3;
const MOST_PROPOSALS = 20;

/** What a command line says: help, version, or what to do with which files. Throws {@link UsageError}. */
export function readOptions(
  args: readonly string[],
): 'help' | 'version' | ScoreOptions | StudyOptions | OutlineOptions | AuditOptions {
  const { values, positionals, tokens } = parseArgs({
    args: [...args],
    options: OPTIONS,
    allowPositionals: true,
    strict: false,
    tokens: true,
  });
  const [named, ...paths] = positionals;
  const command: Command = named === 'study' || named === 'outline' || named === 'audit' ? named : 'score';
  const known = { ...COMMANDS[command], ...ALWAYS };
  for (const token of tokens) {
    if (token.kind !== 'option') continue;
    if (!Object.hasOwn(known, token.name))
      throw new UsageError(
        `There is no option ${token.rawName}${named === command ? ` of ${command}` : ''}. The nearest one is --${nearest(token.name, Object.keys(known))}.`,
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
  if (named !== command)
    throw new UsageError(
      named === undefined
        ? 'Say what to do: dune-sparrow score FILE...'
        : `There is no command "${named}". Those there are: ${Object.keys(COMMANDS).join(', ')}.`,
    );
  const text = (name: keyof typeof OPTIONS) =>
    typeof values[name] === 'string' ? (values[name] as string) : null;
  const json = values.json === true;
  if (command === 'study') return studyOptions(paths, text, json);
  if (command === 'outline') return outlineOptions(paths, text, json);
  if (command === 'audit') return auditOptions(paths, text, json);
  if (paths.length === 0) throw new UsageError('Name at least one file or folder to score.');
  const { min, site } = checkedMinAndSite(text);
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
    min,
    format: formatOf(text('format'), json, FORMATS),
  };
}

type TextOf = (name: keyof typeof OPTIONS) => string | null;

/** The least score and the site's address that are asked for; null: none is. */
function checkedMinAndSite(text: TextOf): { min: number | null; site: string | null } {
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
  return { min: min === null ? null : Number(min), site };
}

function auditOptions(paths: string[], text: TextOf, json: boolean): AuditOptions {
  if (paths.length !== 1)
    throw new UsageError(
      paths.length === 0
        ? 'Name the site: dune-sparrow audit FOLDER, or the file or address of its sitemap.'
        : `audit takes one folder or sitemap, not ${paths.length}.`,
    );
  return {
    command: 'audit',
    path: paths[0],
    ...checkedMinAndSite(text),
    titlePattern: text('title-pattern'),
    profile: text('profile'),
    since: text('since'),
    performance: text('performance'),
    format: formatOf(text('format'), json, AUDIT_FORMATS),
  };
}

function studyOptions(paths: string[], text: TextOf, json: boolean): StudyOptions {
  const query = text('query')?.trim() ?? '';
  if (query === '') throw new UsageError('Say what the pages are to answer: --query "waterproof panniers".');
  if (paths.length === 0) throw new UsageError('Name at least one page, folder or zip to study.');
  return {
    command: 'study',
    paths,
    query,
    region: text('region')?.trim() ?? '',
    questions: text('questions'),
    json,
  };
}

function outlineOptions(paths: string[], text: TextOf, json: boolean): OutlineOptions {
  if (paths.length !== 1)
    throw new UsageError(
      paths.length === 0
        ? 'Name the study: dune-sparrow outline STUDY.json'
        : `outline takes one study, not ${paths.length} files.`,
    );
  const count = text('count');
  if (count !== null && !(/^\d+$/.test(count) && Number(count) >= 1 && Number(count) <= MOST_PROPOSALS))
    throw new UsageError(`--count takes a number from 1 to ${MOST_PROPOSALS}, not "${count}".`);
  return {
    command: 'outline',
    study: paths[0],
    points: (text('points') ?? '')
      .split(/[;\n]/)
      .map((point) => point.trim())
      .filter(Boolean),
    audience: text('audience')?.trim() ?? '',
    tone: text('tone')?.trim() ?? '',
    style: text('style')?.trim() ?? '',
    keyword: text('keyword')?.trim() || null,
    count: count === null ? PROPOSALS : Number(count),
    covers: text('covers'),
    json,
  };
}

function formatOf<Format extends string>(
  named: string | null,
  json: boolean,
  formats: readonly Format[],
): Format {
  const format = formats.find((each) => each === (named?.toLowerCase() ?? (json ? 'json' : 'text')));
  if (!format)
    throw new UsageError(
      `--format takes ${formats.slice(0, -1).join(', ')} or ${formats.at(-1)}, not "${named}".`,
    );
  if (json && format !== 'json')
    throw new UsageError(`--json and --format ${format} ask for two different things.`);
  return format;
}

const nearest = (name: string, known: string[]) =>
  known.reduce((best, next) => (leven(name, next) < leven(name, best) ? next : best));

export const HELP = `Usage: dune-sparrow score FILE... [options]
       dune-sparrow audit FOLDER|SITEMAP [options]
       dune-sparrow study PAGE... --query Q [options]
       dune-sparrow outline STUDY.json [options]

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

study reads pages (Markdown, HTML, plain text, .docx, folders, zips; their order
is their rank) and prints what they share: terms, topics, questions, figures.

  --query Q            what the pages answer
  --region R           where it is searched for, as a word for the record
  --questions FILE     questions that people ask, a line each
  --json               one JSON object; score --study and outline take it

outline proposes plans for a post from a study.

  --points "a; b"      main points, always kept
  --audience A --tone T --style S
                       whom it is for and how it speaks
  --keyword K          the phrase that the headings serve; else the study's query
  --count N            how many proposals, 3 where nothing is said
  --covers FILE        instead: what of the study an outline or a draft covers
  --json               the same as JSON

audit scores a whole site, a folder of posts or the pages of a sitemap (a file or
an address), and prints its mean, what is worth mending first, what costs most,
and which pages in several languages do not name each other (hreflang).

  --since FILE         an earlier audit (JSON): what rose and fell since then
  --performance FILE   search performance (CSV): what searchers see comes first
  --min N              exit with 1 when the mean lies below N
  --format F           what is printed: text (default), json or csv
  --site, --title-pattern, --profile, --json   as for score

  --help, --version

Exit status: 0 fine, 1 a score below --min, 2 bad input or usage.`;
