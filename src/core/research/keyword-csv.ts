import Papa from 'papaparse';
import { type FigureSource, INTENTS, type Intent, type Keyword, phraseKey } from './keyword.ts';
import { readFigure, readSmallFigure } from './read-figure.ts';
import { MONTH_NAMES } from './season.ts';

/** What a column of a table of keywords can hold. */
export const KEYWORD_COLUMNS = [
  'phrase',
  'region',
  'volume',
  'difficulty',
  'intent',
  'source',
  'date',
  'months',
] as const;
export type KeywordColumn = (typeof KEYWORD_COLUMNS)[number] | `month-${number}`;

/** Which column of a table holds what, by its index; columns that nobody named are left out. */
export type ColumnMapping = Partial<Record<KeywordColumn, number>>;

const NAMES: Record<(typeof KEYWORD_COLUMNS)[number], RegExp> = {
  phrase: /^(?:key ?words?|phrases?|search terms?|quer(?:y|ies)|terms?|top queries)$/,
  region: /^(?:region|country|market|location|database)$/,
  volume:
    /^(?:(?:avg\.? |average )?(?:monthly )?(?:search )?volume|(?:avg\.? |average )?monthly searches|searches(?: a month)?|volume.*|search volume.*)$/,
  difficulty: /^(?:(?:keyword )?difficulty|kd|competition(?: index)?|difficulty.*)$/,
  intent: /^(?:(?:search )?intents?)$/,
  source: /^(?:source|figures from)$/,
  date: /^(?:date|updated|as of|figures of)$/,
  months: /^(?:trend|months?|monthly|seasonality|monthly values)$/,
};

/** Guesses what the columns of a table hold from their names. */
export function guessColumns(header: readonly string[]): ColumnMapping {
  const mapping: ColumnMapping = {};
  header.forEach((cell, at) => {
    const name = cell.trim().toLowerCase().replace(/[_-]+/g, ' ').replace(/\s+/g, ' ');
    const month = MONTH_NAMES.findIndex((short) =>
      new RegExp(`^${short.toLowerCase()}[a-z]*(?: \\d{2,4})?$`).test(name),
    );
    if (month >= 0) mapping[`month-${month}`] ??= at;
    else
      for (const column of KEYWORD_COLUMNS)
        if (NAMES[column].test(name)) {
          mapping[column] ??= at;
          break;
        }
  });
  return mapping;
}

/** The beginning of a table, to choose its columns by. */
export interface TablePreview {
  delimiter: string;
  /** Null where the first line is no header. */
  header: string[] | null;
  rows: string[][];
  mapping: ColumnMapping;
}

/** Reads the first lines of a table: its delimiter, header and a guess at its columns. */
export function previewTable(
  text: string,
  guess: (header: readonly string[]) => ColumnMapping = guessColumns,
): TablePreview {
  const { data, meta } = Papa.parse<string[]>(text, {
    preview: 8,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const header = data[0] ?? [];
  const mapping = guess(header);
  const named = Object.keys(mapping).length > 0;
  // A plain list of phrases has neither header nor delimiter.
  return named
    ? { delimiter: meta.delimiter, header, rows: data.slice(1), mapping }
    : { delimiter: meta.delimiter, header: null, rows: data, mapping: { phrase: 0 } };
}

/** A row or a cell that could not be taken, as a sentence with its line. */
export interface BadRow {
  line: number;
  reason: string;
}

export interface KeywordReading {
  keywords: Keyword[];
  bad: BadRow[];
  /** Cells that could not be read; their rows were taken without them. */
  cells: BadRow[];
  /** Rows that held nothing. */
  empty: number;
}

/** The longest phrase that is taken; beyond it a cell is no phrase but a mistake. */
const MAX_PHRASE_CHARACTERS = 200;

/** Turns rows of cells into keywords, one by one, so that a caller can stop between them. */
export class KeywordRows {
  readonly keywords: Keyword[] = [];
  readonly bad: BadRow[] = [];
  readonly cells: BadRow[] = [];
  empty = 0;
  private readonly months: [column: number, month: number][];
  private readonly sources = new Map<string, FigureSource>();

  constructor(
    private readonly mapping: ColumnMapping,
    private readonly defaults: { region: string; source: FigureSource },
  ) {
    this.months = Array.from({ length: 12 }, (_, month): [number | undefined, number] => [
      mapping[`month-${month}`],
      month,
    ]).filter((pair): pair is [number, number] => pair[0] !== undefined);
  }

  private sourceOf(row: readonly string[]): FigureSource {
    const { source, date } = this.mapping;
    const name =
      (source === undefined ? '' : unmarked(row[source] ?? '').trim()) || this.defaults.source.name;
    const given = date === undefined ? '' : (row[date] ?? '').trim();
    const day = /^\d{4}-\d{2}-\d{2}/.exec(given)?.[0] ?? this.defaults.source.date;
    const key = `${name}\n${day}`;
    let known = this.sources.get(key);
    if (!known) {
      known = { name, date: day };
      this.sources.set(key, known);
    }
    return known;
  }

  /** Takes a row; `line` is its place in the file, from 1. */
  take(row: readonly string[], line: number): void {
    const {
      phrase: phraseAt = 0,
      volume: volumeAt,
      difficulty: difficultyAt,
      region: regionAt,
      intent: intentAt,
      months: monthsAt,
    } = this.mapping;
    const raw = unmarked(row[phraseAt] ?? '');
    const phrase = /[\s\u00a0]{2}|^\s|\s$|[\n\r\t]/.test(raw) ? raw.replace(/\s+/g, ' ').trim() : raw;
    if (phrase === '') {
      if (row.every((cell) => cell.trim() === '')) this.empty += 1;
      else this.bad.push({ line, reason: 'no phrase stands in it' });
      return;
    }
    if (phrase.length > MAX_PHRASE_CHARACTERS) {
      this.bad.push({
        line,
        reason: `its phrase has ${phrase.length.toLocaleString('en')} characters; ${MAX_PHRASE_CHARACTERS} are taken at most`,
      });
      return;
    }
    let volume = volumeAt === undefined ? null : readFigure(row[volumeAt] ?? '');
    if (volume !== null && !(volume >= 0)) {
      this.cells.push({ line, reason: `"${short(row[volumeAt!])}" is no volume` });
      volume = null;
    }
    let difficulty = difficultyAt === undefined ? null : readSmallFigure(row[difficultyAt] ?? '');
    if (difficulty !== null && !(difficulty >= 0 && difficulty <= 100)) {
      this.cells.push({ line, reason: `"${short(row[difficultyAt!])}" is no difficulty from 0 to 100` });
      difficulty = null;
    }
    let months: number[] | null = null;
    if (this.months.length === 12) {
      const values = this.months.map(([at]) => readFigure(row[at] ?? ''));
      if (values.every((value) => value !== null && !Number.isNaN(value))) months = values as number[];
    } else if (monthsAt !== undefined) {
      const values = (row[monthsAt] ?? '').split(/[|;,\s]+/).map(readFigure);
      if (values.length === 12 && values.every((value) => value !== null && !Number.isNaN(value)))
        months = values as number[];
    }
    const intent = intentAt === undefined ? '' : (row[intentAt] ?? '').trim().toLowerCase();
    this.keywords.push({
      phrase,
      region:
        (regionAt === undefined ? '' : (row[regionAt] ?? '').trim().toUpperCase()) || this.defaults.region,
      volume,
      months,
      givenDifficulty: difficulty,
      found: null,
      setIntent: INTENTS.includes(intent as Intent) ? (intent as Intent) : null,
      source: this.sourceOf(row),
    });
  }
}

const short = (cell: string | undefined) =>
  cell && cell.length > 40 ? `${cell.slice(0, 40)}…` : (cell ?? '');

/** Reads a whole table of keywords with columns as given. Good rows are kept whatever the others hold. */
export function readKeywordTable(
  text: string,
  { mapping, header, delimiter }: Pick<TablePreview, 'mapping' | 'header' | 'delimiter'>,
  defaults: { region: string; source: FigureSource },
): KeywordReading {
  const rows = new KeywordRows(mapping, defaults);
  for (const batch of tableBatches(text, delimiter))
    batch.rows.forEach((row, at) => {
      if (batch.lines[at] > 1 || !header) rows.take(row, batch.lines[at]);
    });
  return { keywords: rows.keywords, bad: rows.bad, cells: rows.cells, empty: rows.empty };
}

/** Lines of the file that a row takes up: cells may hold line breaks. */
function linesOf(row: readonly string[]): number {
  let lines = 1;
  for (const cell of row)
    if (cell.includes('\n') || cell.includes('\r')) lines += cell.match(/\r\n?|\n/g)?.length ?? 0;
  return lines;
}

/**
 * The rows of a table in batches, so that a caller can show how far it is and stop between them. `lines` holds the line
 * of the file at which each row begins, from 1; `read` is how much of the text lies behind, 0-1.
 */
export function* tableBatches(
  text: string,
  delimiter: string,
  size = 10_000,
): Generator<{ rows: string[][]; lines: number[]; read: number }> {
  let at = 0;
  let line = 1;
  while (at < text.length) {
    // Its quick way through text without quotes counts one row too many at the end of a batch.
    const { data, meta } = Papa.parse<string[]>(text.slice(at), {
      delimiter,
      preview: size,
      fastMode: false,
    });
    at = data.length === size ? at + meta.cursor : text.length;
    const lines = data.map((row) => {
      const begins = line;
      line += linesOf(row);
      return begins;
    });
    yield { rows: data, lines, read: at / text.length };
  }
}

/** A pasted list of phrases, one a line (commas part them where they all stand on one), doubles left out. */
export function readPhraseList(text: string): string[] {
  const lines = text
    .split(/\r\n?|\n/)
    .map((line) => line.trim())
    .filter(Boolean);
  // Of a table that was copied the first column holds the phrases.
  const parts = lines.length === 1 ? lines[0].split(/[,;\t]/) : lines.map((line) => line.split('\t')[0]);
  const seen = new Set<string>();
  return parts.flatMap((part) => {
    const phrase = part
      .replace(/^(?:[-*•]|\d+[.)])\s+/u, '')
      .replace(/\s+/g, ' ')
      .trim();
    const key = phraseKey(phrase);
    if (!phrase || phrase.length > MAX_PHRASE_CHARACTERS || seen.has(key)) return [];
    seen.add(key);
    return phrase;
  });
}

/** A cell without the apostrophe that keeps a spreadsheet from computing it. */
const unmarked = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

const HEADER = ['Phrase', 'Region', 'Volume', 'Difficulty', 'Intent', ...MONTH_NAMES, 'Source', 'Date'];

/** Keywords as CSV; {@link readKeywordTable} gives the same figures back. Only given difficulties are written: others are computed anew. */
export function writeKeywordTable(keywords: readonly Keyword[]): string {
  return Papa.unparse(
    {
      fields: HEADER,
      data: keywords.map(({ phrase, region, volume, givenDifficulty, setIntent, months, source }) => [
        phrase,
        region,
        volume ?? '',
        givenDifficulty ?? '',
        setIntent ?? '',
        ...(months ?? Array<string>(12).fill('')),
        source.name,
        source.date,
      ]),
    },
    // A spreadsheet would compute what begins like a formula: an apostrophe in front keeps it a text.
    { newline: '\n', escapeFormulae: true },
  );
}
