import { type GroupResult, notesOf, type ScoreReport } from '../core/criteria/index.ts';

const ROWS = 3;

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

/** A text on one line and without characters that steer a terminal: what it says cannot look like a line of the report. */
export const oneLine = (text: string): string =>
  text
    .replace(/[\s\u0085]+/g, ' ')
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters in question
    .replace(/[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '');

/** A report for people: score, ridge, notes by points to win. */
export function reportText(file: string, report: ScoreReport, words: number): string {
  const notes = notesOf(report.criteria).map(({ advice, available, points, id }) => {
    const gain = `+${(available - points).toFixed(1)}`.padStart(6);
    return `${gain}  ${oneLine(advice ?? '')} (${id})`;
  });
  const earned = report.criteria.filter((criterion) => criterion.applies && criterion.advice === null).length;
  const away = report.criteria.filter((criterion) => !criterion.applies).length;
  return [
    `${oneLine(file)}: ${report.score.toFixed(1)} of 100, ${words.toLocaleString('en')} ${words === 1 ? 'word' : 'words'}`,
    '',
    ridgeText(report.groups),
    '',
    notes.length ? 'Points to win:' : 'Nothing left to win.',
    ...notes,
    '',
    `${earned} criteria earned in full; ${away} do not apply.`,
  ].join('\n');
}
