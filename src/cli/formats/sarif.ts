import { CRITERIA } from '../../core/criteria/index.ts';
import { lineNotes, rounded, type ScoredFile } from './scored-file.ts';

/** Points to win from which a note is a warning. */
const WARNS = 2;
const TOO_LOW = 'score-too-low';

/** A path as a relative address. */
const uriOf = (path: string): string =>
  path.split(/[\\/]/).map(encodeURIComponent).join('/').replace(/^\.\//, '');

/** Reports as SARIF 2.1.0 (an OASIS standard), by which code hosts show notes beside lines: a result for each note. */
export function sarifReport(scored: readonly ScoredFile[], min: number | null, version: string): string {
  const rules = [
    ...CRITERIA.map(({ id, title, group }) => ({
      id: id as string,
      name: title,
      shortDescription: { text: title },
      properties: { group: group as string },
    })),
    {
      id: TOO_LOW,
      name: 'Score',
      shortDescription: { text: 'Score too low' },
      properties: { group: 'score' },
    },
  ];
  const at = (path: string, startLine: number) => ({
    physicalLocation: { artifactLocation: { uri: uriOf(path) }, region: { startLine } },
  });
  const results = scored.flatMap((each) => [
    ...(each.enough
      ? []
      : [
          {
            ruleId: TOO_LOW,
            level: 'error',
            message: { text: `The score is ${rounded(each.report.score)}; ${min} or more is asked for.` },
            locations: [at(each.file.path, 1)],
          },
        ]),
    ...lineNotes(each).map(({ id, advice, gain, lines }) => ({
      ruleId: id,
      level: gain >= WARNS ? 'warning' : 'note',
      message: { text: `${advice} (+${gain.toFixed(1)})` },
      locations: [at(each.file.path, lines[0] ?? 1)],
      ...(lines.length > 1
        ? { relatedLocations: lines.slice(1).map((line) => at(each.file.path, line)) }
        : {}),
      properties: { pointsToWin: gain },
    })),
  ]);
  return JSON.stringify(
    {
      version: '2.1.0',
      runs: [
        { tool: { driver: { name: 'dune-sparrow', version, rules } }, columnKind: 'utf16CodeUnits', results },
      ],
    },
    null,
    2,
  );
}
