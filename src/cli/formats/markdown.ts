import { oneLine } from './one-line.ts';
import { lineNotes, type ScoredFile } from './scored-file.ts';
import { summaryOf } from './summary.ts';
import { linesInWords } from './text.ts';

/** A text inside a cell of a table: nothing in it ends the cell or begins markup. */
const cell = (text: string): string => oneLine(text).replace(/[\\`*_{}[\]<>|#~]/g, '\\$&');

/** Reports as Markdown, for a comment on a change: a table of the files, then their notes. */
export function markdownReport(scored: readonly ScoredFile[]): string {
  const summary = summaryOf(scored);
  const parts: string[] = [];
  if (summary) {
    parts.push(`**${summary.files} files: ${summary.mean.toFixed(1)} of 100 on average**`, '');
    parts.push('| File | Score | Most to win |', '| --- | ---: | --- |');
    for (const each of scored) {
      const [first] = lineNotes(each);
      const most = first ? `${cell(first.title)} (+${first.gain.toFixed(1)})` : '';
      parts.push(
        `| ${cell(each.file.path)} | ${each.report.score.toFixed(1)}${each.enough ? '' : ' (too low)'} | ${most} |`,
      );
    }
    parts.push('');
  }
  for (const each of scored) {
    parts.push(`### ${cell(each.file.path)}: ${each.report.score.toFixed(1)} of 100`, '');
    const notes = lineNotes(each);
    if (notes.length === 0) parts.push('Nothing left to win.', '');
    else {
      parts.push('| To win | Where | What |', '| ---: | --- | --- |');
      for (const { gain, lines, advice } of notes)
        parts.push(`| +${gain.toFixed(1)} | ${linesInWords(lines)} | ${cell(advice)} |`);
      parts.push('');
    }
  }
  return parts.join('\n').trimEnd();
}
