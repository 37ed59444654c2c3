import validate from './generated/pattern-file-validator.js';
import type { Pattern } from './pattern.ts';
import { placeFaults } from './places.ts';

/** Patterns as a file hands them on. */
export interface PatternFile {
  format: 'dune-sparrow-patterns';
  version: 1;
  patterns: Pattern[];
}

/** What was read of a file: its patterns, or why it cannot be used. */
export type PatternFileReading = { patterns: Pattern[]; problem: null } | { patterns: null; problem: string };

/** Patterns as the text of a file. */
export const patternFile = (patterns: readonly Pattern[]): string =>
  `${JSON.stringify({ format: 'dune-sparrow-patterns', version: 1, patterns: [...patterns] } satisfies PatternFile, null, 2)}\n`;

/**
 * Reads a file of patterns. Shapes that do not fit, ids of fields that stand twice and places without a field are refused with a
 * sentence that says where.
 */
export function readPatternFile(text: string): PatternFileReading {
  const refused = (problem: string): PatternFileReading => ({ patterns: null, problem });
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused('The file is no JSON. Choose one that was saved by "Export patterns".');
  }
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
    const extra = error?.params?.additionalProperty
      ? ` ("${error.params.additionalProperty}" is not known)`
      : '';
    return refused(
      `The file holds no patterns that can be used${where}: ${error?.message ?? 'unknown shape'}${extra}.`,
    );
  }
  const { patterns } = json as PatternFile;
  for (const pattern of patterns) {
    const name = pattern.name.trim() || 'A pattern without a name';
    if (pattern.name.trim() === '') return refused('A pattern has no name. Give it one in the file.');
    const ids = pattern.fields.map(({ id }) => id);
    const twice = ids.find((id, at) => ids.indexOf(id) !== at);
    if (twice !== undefined) return refused(`"${name}" has the field "${twice}" twice.`);
    const [fault] = placeFaults(pattern);
    if (fault) return refused(`"${name}": ${fault}`);
  }
  return { patterns, problem: null };
}
