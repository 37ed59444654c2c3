import { type GroupResult, reportFacts } from '../../core/criteria/index.ts';
import { oneLine } from './one-line.ts';
import { lineNotes, type ScoredFile } from './scored-file.ts';
import type { Summary } from './summary.ts';

const ROWS = 3;
/** Lines that a note names. */
const NAMED = 3;

/** Height of a hump over its width, 0..1: the dune shape of the ridge. */
const humpAt = (x: number): number => Math.sin(Math.PI * x) ** 1.2;

/** The ridge in characters: one hump per group, as wide as its points, filled as far as it is earned. */
export function ridgeText(groups: readonly GroupResult[]): string {
  const shown = groups.filter((group) => group.available > 0);
  const lines = Array.from({ length: ROWS }, () => '');
  let names = '';
  for (const { id, points, available } of shown) {
    const width = Math.max(id.length + 1, Math.round(available / 1.6));
    const share = points / available;
    for (let row = 0; row < ROWS; row++) {
      const level = (ROWS - row - 0.5) / ROWS;
      for (let at = 0; at < width; at++) {
        const inside = humpAt((at + 0.5) / width) >= level - 0.25;
        lines[row] += !inside ? ' ' : share >= level ? '█' : '░';
      }
      lines[row] += ' ';
    }
    names += `${id.padEnd(width)} `;
  }
  return [...lines, names].map((line) => line.trimEnd()).join('\n');
}

/** `line 4`, `lines 4, 9 and 12`, `lines 4, 9, 12 and 7 more`. */
export function linesInWords(lines: readonly number[]): string {
  if (lines.length < 2) return lines.length === 0 ? '' : `line ${lines[0]}`;
  const named = lines.slice(0, NAMED);
  const more = lines.length - named.length;
  return `lines ${more > 0 ? `${named.join(', ')} and ${more} more` : `${named.slice(0, -1).join(', ')} and ${named.at(-1)}`}`;
}

/** A report for people: score, ridge, notes by points to win, each with its lines. */
export function textReport(scored: ScoredFile): string {
  const { file, facts, report } = scored;
  const { words } = reportFacts(facts);
  const notes = lineNotes(scored).map(({ gain, lines, advice, id }) => {
    const where = lines.length > 0 ? `${linesInWords(lines)}: ` : '';
    return `${`+${gain.toFixed(1)}`.padStart(6)}  ${where}${advice} (${id})`;
  });
  const earned = report.criteria.filter((criterion) => criterion.applies && criterion.advice === null).length;
  const away = report.criteria.filter((criterion) => !criterion.applies).length;
  return [
    `${oneLine(file.path)}: ${report.score.toFixed(1)} of 100, ${words.toLocaleString('en')} ${words === 1 ? 'word' : 'words'}`,
    '',
    ridgeText(report.groups),
    '',
    notes.length ? 'Points to win:' : 'Nothing left to win.',
    ...notes,
    '',
    `${earned} ${earned === 1 ? 'criterion' : 'criteria'} earned in full; ${away} ${away === 1 ? 'does' : 'do'} not apply.`,
  ].join('\n');
}

/** What is told of several files, under their reports. */
export const textSummary = ({ files, mean, worst, faults }: Summary): string =>
  [
    `${files} files: ${mean.toFixed(1)} of 100 on average`,
    '',
    'Lowest scores:',
    ...worst.map(({ path, score }) => `${score.toFixed(1).padStart(6)}  ${oneLine(path)}`),
    '',
    'Commonest faults:',
    ...faults.map(
      ({ title, id, files: having, points }) =>
        `${String(having).padStart(6)}  ${having === 1 ? 'file' : 'files'}: ${title}, ${points.toFixed(1)} points in all (${id})`,
    ),
  ].join('\n');
