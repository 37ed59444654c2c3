import { type Dirent, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { defaultProfile } from '../core/criteria/index.ts';
import { decodeText, draftLanguage, readPostFile, UnreadableFile } from '../core/draft/index.ts';
import {
  type BroughtPage,
  documentOfPage,
  outlineGround,
  type PageFile,
  readPageFiles,
  readStudyFile,
  type StudyReportJson,
  studyReportJson,
} from '../core/formats/index.ts';
import { Vocabulary, WordBases } from '../core/language/index.ts';
import { outlineCoverage, outlineOfDraft, proposeOutlines } from '../core/outline/index.ts';
import { intentOf } from '../core/research/index.ts';
import {
  type Asked,
  readQuestionList,
  readStudyPage,
  type Study,
  StudyBook,
  type StudyPage,
  studyLanguage,
} from '../core/study/index.ts';
import { oneLine } from './formats/one-line.ts';
import { bytesOf } from './input.ts';
import { type OutlineOptions, type StudyOptions, UsageError } from './options.ts';
import type { Voice } from './voice.ts';

const MOST_FILES = 500;

const textOf = (path: string): string => {
  try {
    return decodeText(bytesOf(path), undefined, false).text;
  } catch (error) {
    if (error instanceof UnreadableFile) throw new UsageError(`${path} ${error.message}`);
    throw error;
  }
};

/** Files below a path in the order of their names; a path that names a file is that file. */
function filesAt(path: string): string[] {
  const found = statSync(path, { throwIfNoEntry: false });
  if (!found) throw new UsageError(`${path} is not there. Check the name.`);
  if (!found.isDirectory()) return [path];
  const visit = (folder: string): string[] => {
    let entries: Dirent[];
    try {
      entries = readdirSync(folder, { withFileTypes: true });
    } catch {
      throw new UsageError(`${folder} cannot be read. Check your rights to it.`);
    }
    return entries
      .filter(({ name }) => !name.startsWith('.') && name !== 'node_modules')
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .flatMap((entry) => {
        const inner = join(folder, entry.name);
        return entry.isDirectory() ? visit(inner) : entry.isFile() ? [inner] : [];
      });
  };
  return visit(path);
}

/** Pages in the order in which they were named: that is their rank. */
async function broughtPages(paths: readonly string[], fail: (line: string) => void): Promise<BroughtPage[]> {
  const pages: BroughtPage[] = [];
  for (const path of paths) {
    try {
      const files = filesAt(path).map((file): PageFile => ({ path: file, bytes: bytesOf(file) }));
      pages.push(...(await readPageFiles(files)));
    } catch (error) {
      if (!(error instanceof UsageError)) throw error;
      fail(error.message);
    }
    if (pages.length > MOST_FILES) throw new UsageError(`${MOST_FILES} pages at most are studied at a time.`);
  }
  return pages;
}

/** `study`: reads pages and prints what they share. */
export async function studyPages(
  { paths, query, questions, json }: StudyOptions,
  { out, warn }: Voice,
): Promise<number> {
  let failed = false;
  const fail = (line: string) => {
    failed = true;
    warn(line);
  };
  const asked: Asked[] = questions === null ? [] : readQuestionList(textOf(questions));
  const brought = await broughtPages(paths, fail);
  const files = new Map<string, string>();
  const pages = brought.flatMap((page, at): StudyPage[] => {
    if (page.problem) {
      fail(`${page.path}: ${page.problem}`);
      return [];
    }
    // Two files may say the same address of themselves: each is a page.
    const address = files.has(page.address) ? `${page.address} (${page.path})` : page.address;
    files.set(address, page.path);
    const document = documentOfPage(page);
    if (document.fields.title === '') document.fields.title = page.title;
    return [{ address, publisher: page.publisher || page.path, kind: '', rank: at + 1, document }];
  });
  if (pages.length === 0) throw new UsageError('None of these files is a page that can be studied.');
  const language = studyLanguage(pages.map(({ document }) => draftLanguage(document.draft.blocks)));
  const bases = new WordBases(new Vocabulary(), language);
  const readings = pages.map((page) => readStudyPage(page, query, bases, defaultProfile));
  const book = new StudyBook(readings, { query, asked, phrases: [] }, bases);
  const left = new Set(book.leaveOut().map(({ address }) => address));
  const study = book.study(left);
  const fileOf = (address: string) => files.get(address) ?? address;
  const report = studyReportJson(book, study, language, fileOf);
  out(json ? JSON.stringify(report, null, 2) : reportText(report, study));
  return failed ? 2 : 0;
}

const percent = (share: number) => `${Math.round(100 * share)} %`.padStart(5);

function reportText(report: StudyReportJson, { taken }: Study): string {
  const { query, pages, terms, topics, questions, unsaid, statements, bands } = report;
  const { words } = bands;
  const list = (title: string, lines: readonly string[], none: string) => [
    '',
    title,
    ...(lines.length > 0 ? lines.map((line) => `  ${oneLine(line)}`) : [`  ${none}`]),
  ];
  return [
    `${query}: ${pages.length} pages, ${taken.length} of them taken in`,
    ...(words
      ? [
          `Words: ${Math.round(words.lower)} to ${Math.round(words.upper)}, half of the pages; ${Math.round(words.median)} in the middle`,
        ]
      : []),
    ...list(
      'Better left out:',
      pages.flatMap(({ file, leaveOut }) => (leaveOut === null ? [] : [`${file}: ${leaveOut}`])),
      'none',
    ),
    ...list(
      'Terms:',
      terms.slice(0, 30).map(({ text, share, group }) => `${percent(share)}  ${text} (${group})`),
      'none that two pages share',
    ),
    ...list(
      'Topics:',
      topics.map(({ name, share }) => `${percent(share)}  ${name}`),
      'none that two publishers share',
    ),
    ...list(
      'Questions:',
      questions.map(({ text, pages: own }) => `${text} (${own.length} of ${taken.length} answer it)`),
      'none',
    ),
    ...list(
      'Nobody says:',
      unsaid.map(({ text, why }) => `${text} (${why})`),
      'nothing that is asked for',
    ),
    ...list(
      'Figures to cite:',
      statements
        .slice(0, 10)
        .map(({ text, page, source }) => `${text} [${page}${source ? `; ${source}` : ''}]`),
      'none',
    ),
  ].join('\n');
}

/** `outline`: proposes plans from a study, or tells what an outline covers of it. */
export async function outlineOf(options: OutlineOptions, { out, warn }: Voice): Promise<number> {
  const read = readStudyFile(textOf(options.study));
  if (read.problem !== null) throw new UsageError(`${options.study}: ${read.problem}`);
  if (read.report === null)
    throw new UsageError(
      `${options.study} holds what a draft is scored against and no questions or places of topics. Make one with: dune-sparrow study PAGE... --query "${oneLine(read.study.query)}" --json`,
    );
  const ground = outlineGround(read.report);
  const bases = new WordBases(new Vocabulary(), read.report.language);
  if (options.covers !== null)
    return covered(options.covers, ground, bases, { json: options.json, out, warn });
  const query = options.keyword ?? ground.query;
  const proposals = proposeOutlines(
    {
      query,
      intent: intentOf({ phrase: query, found: null }).intent,
      points: options.points,
      must: [],
      questions: [],
      topics: ground.topics,
      asked: ground.questions,
      unsaid: ground.unsaid,
    },
    options.count,
    new Set(),
    bases,
  ).map(({ shape, items }) => ({
    shape,
    headings: items.map(({ level, text, grounds }) => ({
      level,
      text,
      why: grounds.map(
        ({ kind, text: from, pages }) =>
          `${kind}: ${from}${pages.length > 0 ? ` (${pages.length} ${pages.length === 1 ? 'page' : 'pages'})` : ''}`,
      ),
    })),
    words: Math.round(ground.words),
  }));
  if (options.json) out(JSON.stringify(proposals, null, 2));
  else if (proposals.length === 0)
    out('There is nothing to build an outline on: the study has no topics and no questions.');
  else
    out(
      proposals
        .map(({ shape, headings, words }) =>
          [
            `${shape}, about ${words} words`,
            ...headings.map(({ level, text }) => `${'  '.repeat(level - 1)}${oneLine(text)}`),
          ].join('\n'),
        )
        .join('\n\n'),
    );
  return 0;
}

async function covered(
  path: string,
  ground: ReturnType<typeof outlineGround>,
  bases: WordBases,
  { json, out, warn }: Voice & { json: boolean },
): Promise<number> {
  let draft: Awaited<ReturnType<typeof readPostFile>>;
  try {
    draft = await readPostFile(bytesOf(path), path);
  } catch (error) {
    if (error instanceof UnreadableFile) throw new UsageError(`${path} ${error.message}`);
    throw error;
  }
  for (const note of draft.notes) warn(`${path}: ${note}`);
  const outline = outlineOfDraft(draft.draft);
  const coverage = outlineCoverage(
    outline,
    {
      query: ground.query,
      topics: ground.topics,
      must: ground.topics.map(({ name }) => name),
      questions: ground.questions.map(({ text }) => text),
      terms: [],
    },
    bases,
  );
  const headings = new Map(outline.map(({ id, text }) => [id, text]));
  const line = (by: string | null) => ({
    covered: by !== null,
    by: by === null ? null : (headings.get(by) ?? ''),
  });
  const answer = {
    topics: coverage.topics.map(({ text, by }) => ({ name: text, ...line(by) })),
    questions: coverage.questions.map(({ text, by }) => ({ text, ...line(by) })),
    share: coverage.share ?? 0,
  };
  if (json) out(JSON.stringify(answer, null, 2));
  else
    out(
      [
        `${Math.round(100 * answer.share)} % covered`,
        ...[...answer.topics.map(({ name, ...rest }) => ({ text: name, ...rest })), ...answer.questions].map(
          ({ text, covered: is, by }) =>
            `  ${is ? 'yes' : 'no '}  ${oneLine(text)}${by ? `  <- ${oneLine(by)}` : ''}`,
        ),
      ].join('\n'),
    );
  return 0;
}
