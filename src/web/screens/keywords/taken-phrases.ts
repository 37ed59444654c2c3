import { bareKeyword, type Question, writeKeywordTable } from '../../../core/research/index.ts';
import { dayIn } from '../../../core/site/index.ts';
import { copyText } from '../../ui/copy-text.ts';
import { counted } from '../../ui/figures.ts';
import type { DeskView } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** What is selected: rows of the desk, or questions of the search. */
export type Taken =
  | { rows: ReadonlySet<number>; view: DeskView | null }
  | { questions: ReadonlySet<string>; asked: readonly Question[] };

/** In the order of the table; what a filter hides is selected all the same, and comes last. */
function rowsInOrder(rows: ReadonlySet<number>, view: DeskView | null): number[] {
  const shown = view ? [...view.rows].filter((row) => rows.has(row)) : [];
  return [...new Set([...shown, ...rows])];
}

/** The phrases that are selected. */
export async function phrasesTaken(siteId: string, taken: Taken): Promise<string[]> {
  if ('questions' in taken) return [...taken.questions];
  const lines = await (await researchWorker()).lines(siteId, rowsInOrder(taken.rows, taken.view));
  return lines.map(({ keyword }) => keyword.phrase);
}

/** What is selected as a table of keywords in CSV. */
export async function csvTaken(siteId: string, taken: Taken, region: string, zone: string): Promise<string> {
  if (!('questions' in taken))
    return (await researchWorker()).csv(siteId, Uint32Array.from(rowsInOrder(taken.rows, taken.view)));
  const source = { name: 'Questions', date: dayIn(zone, new Date()) };
  return writeKeywordTable(
    taken.asked
      .filter(({ text }) => taken.questions.has(text))
      .map(({ text, volume }) => ({ ...bareKeyword(text, region, source), volume })),
  );
}

/** Puts a table of keywords on the clipboard. */
export const copyKeywords = (csv: string) =>
  copyText(
    csv,
    `${counted(csv.trim().split('\n').length - 1, 'row')} copied as CSV.`,
    'keywords.csv',
    'text/csv',
  );
