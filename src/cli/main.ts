import { readFileSync } from 'node:fs';
import type { StudyFacts } from '../core/criteria/index.ts';
import { readStudyFile, scoreReportJson } from '../core/formats/index.ts';
import { Vocabulary } from '../core/language/index.ts';
import { junitReport } from './formats/junit.ts';
import { markdownReport } from './formats/markdown.ts';
import { oneLine } from './formats/one-line.ts';
import { sarifReport } from './formats/sarif.ts';
import { rounded, type ScoredFile } from './formats/scored-file.ts';
import { summaryOf } from './formats/summary.ts';
import { textReport, textSummary } from './formats/text.ts';
import { type InputGroup, ordinaryFile, readInput } from './input.ts';
import {
  type AuditOptions,
  HELP,
  type OutlineOptions,
  readOptions,
  type ScoreOptions,
  type StudyOptions,
  UsageError,
} from './options.ts';
import { profileOf, scoreGroup } from './score-group.ts';

/** Nobody reads what is written any more: the rest is worked out for the exit status alone. */
const closed = new Set<NodeJS.WriteStream>();
for (const stream of [process.stdout, process.stderr])
  stream.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code !== 'EPIPE') throw error;
    closed.add(stream);
  });

const write = (stream: NodeJS.WriteStream, text: string) => {
  if (!closed.has(stream)) stream.write(text);
};
const out = (text: string) => write(process.stdout, `${text}\n`);
const warn = (line: string) => write(process.stderr, `dune-sparrow: ${oneLine(line)}\n`);

/** Runs the command line and answers with the exit status: 0 fine, 1 below --min, 2 bad input or usage. */
export async function main(args: readonly string[]): Promise<number> {
  try {
    const options = readOptions(args);
    if (options === 'help') out(HELP);
    else if (options === 'version') out(ownVersion());
    else if ('command' in options)
      return options.command === 'audit' ? await audited(options) : await studied(options);
    else return await score(options);
    return 0;
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    warn(error.message);
    return 2;
  }
}

/** Studies and outlines: loaded when they are asked for, a score need not wait for them. */
async function studied(options: StudyOptions | OutlineOptions): Promise<number> {
  const { outlineOf, studyPages } = await import('./study.ts');
  const voice = { out, warn };
  return options.command === 'study' ? studyPages(options, voice) : outlineOf(options, voice);
}

/** Audits: loaded when they are asked for, too. */
async function audited(options: AuditOptions): Promise<number> {
  const { auditSite } = await import('./audit.ts');
  return auditSite(options, { out, warn }, ownVersion());
}

const ownVersion = (): string =>
  JSON.parse(readFileSync(new URL('../../package.json', import.meta.url), 'utf8')).version;

function studyOf(path: string | null): StudyFacts | null {
  if (path === null) return null;
  let text: string;
  try {
    text = readFileSync(ordinaryFile(path), 'utf8');
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(`${path} cannot be read. Check the name.`);
  }
  const reading = readStudyFile(text);
  if (reading.problem !== null) throw new UsageError(`${path}: ${reading.problem}`);
  return reading.study.facts;
}

async function score(options: ScoreOptions): Promise<number> {
  const profile = profileOf(options.profile);
  const study = studyOf(options.study);
  const vocabulary = new Vocabulary();
  const done: ScoredFile[] = [];
  let failed = false;
  let many = options.paths.length > 1;
  for (const path of options.paths) {
    let group: InputGroup;
    try {
      group = await readInput(path, (line) => {
        failed ||= line.includes('cannot be read');
        warn(line);
      });
    } catch (error) {
      if (!(error instanceof UsageError)) throw error;
      warn(error.message);
      failed = true;
      continue;
    }
    many ||= group.isSite;
    for (const scored of scoreGroup(group, path, options, { profile, study }, vocabulary)) {
      if ('problem' in scored) {
        warn(scored.problem);
        failed = true;
        continue;
      }
      // Asked this way round, so that only a number can pass.
      const enough = options.min === null || rounded(scored.report.score) >= options.min;
      const file = { ...scored, enough };
      if (options.format === 'text') out(`${done.length > 0 ? '\n' : ''}${textReport(file)}`);
      done.push(file);
    }
  }
  print(done, many, options);
  return failed ? 2 : done.some(({ enough }) => !enough) ? 1 : 0;
}

/** Prints what is printed once all files are scored. */
function print(done: readonly ScoredFile[], many: boolean, { format, min }: ScoreOptions): void {
  if (format === 'text') {
    const summary = summaryOf(done);
    if (summary) out(`\n${textSummary(summary)}`);
  } else if (format === 'json') {
    const reports = done.map(({ file, facts, report }) =>
      scoreReportJson(file.path, file.format, facts, report),
    );
    if (many || reports.length > 0) out(JSON.stringify(many ? reports : reports[0], null, 2));
  } else if (format === 'junit') out(junitReport(done, min));
  else if (format === 'sarif') out(sarifReport(done, min, ownVersion()));
  else out(markdownReport(done));
}
