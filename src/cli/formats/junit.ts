import { lineNotes, rounded, type ScoredFile } from './scored-file.ts';

const xml = (text: string): string =>
  text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    // biome-ignore lint/suspicious/noControlCharactersInRegex: XML knows no way to write these
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/[\t\n\r]+/g, ' ');

/**
 * Reports as JUnit XML: a suite for each file, a case for each criterion. One with points to win has failed, one that does not apply
 * was skipped; with `min`, the score itself is a case.
 */
export function junitReport(scored: readonly ScoredFile[], min: number | null): string {
  const suites = scored.map((each) => {
    const { file, report, enough } = each;
    const path = xml(file.path);
    const notes = new Map(lineNotes(each).map((note) => [note.id, note]));
    const cases = report.criteria.map(({ id, title, applies, advice }) => {
      const head = `    <testcase classname="${path}" name="${xml(title)} (${id})"`;
      if (!applies) return `${head}><skipped/></testcase>`;
      if (advice === null) return `${head}/>`;
      const note = notes.get(id);
      const line = note?.lines[0];
      const where = `${path}${line === undefined ? '' : `:${line}`}`;
      const gain = note ? ` (${note.gain.toFixed(1)} points to win)` : '';
      return `${head} file="${path}"${line === undefined ? '' : ` line="${line}"`}><failure message="${xml(advice)}">${where}: ${xml(advice)}${gain}</failure></testcase>`;
    });
    if (min !== null)
      cases.unshift(
        `    <testcase classname="${path}" name="Score of ${min} or more"${
          enough ? '/>' : `><failure message="The score is ${rounded(report.score)}."/></testcase>`
        }`,
      );
    const failed = cases.filter((line) => line.includes('<failure')).length;
    const skipped = cases.filter((line) => line.includes('<skipped')).length;
    return [
      `  <testsuite name="${path}" tests="${cases.length}" failures="${failed}" errors="0" skipped="${skipped}">`,
      ...cases,
      '  </testsuite>',
    ].join('\n');
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<testsuites name="dune-sparrow score">',
    ...suites,
    '</testsuites>',
  ].join('\n');
}
