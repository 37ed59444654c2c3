import type { Audit } from './audit.ts';
import validate from './generated/audit-validator.js';

const FORMAT = 'dune-sparrow-audit';

/** Writes an audit as a file; {@link readAuditFile} reads it. */
export const writeAuditFile = ({ day, at, core, rules, hasFigures, posts, pages, pairs }: Audit): string =>
  // Field by field: a row of a database holds more than an audit.
  `${JSON.stringify({ format: FORMAT, version: 1, day, at, core, rules, hasFigures, posts, pages, pairs }, null, 1)}\n`;

/** Reads an audit that was exported in the application or printed by `audit --json`: all of it, or why it cannot be used. */
export function readAuditFile(
  text: string,
): { audit: Audit; problem: null } | { audit: null; problem: string } {
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return { audit: null, problem: 'The audit is not valid JSON. Export it again.' };
  }
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
    return {
      audit: null,
      problem: `This is no exported audit${where}: ${error?.message ?? 'unknown shape'}.`,
    };
  }
  const {
    format: _format,
    version: _version,
    ...audit
  } = json as Audit & { format: string; version: number };
  return { audit, problem: null };
}
