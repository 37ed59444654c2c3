import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { defaultProfile } from '../src/core/criteria/index.ts';
import { documentOfPage, pageProblem, readPageFiles } from '../src/core/formats/index.ts';
import { Vocabulary, WordBases } from '../src/core/language/index.ts';
import { outlineCoverage, outlineGaps, proposeOutlines } from '../src/core/outline/index.ts';
import { type Asked, type PageReading, readStudyPage, StudyBook } from '../src/core/study/index.ts';
import { World } from '../src/server/market/world.ts';
import { buildWorld } from '../src/server/market/world-data.ts';
import { place } from './place.ts';

/** What a person who knows the subject wrote down about a set of pages. */
interface StudyList {
  query: string;
  /** Names of pages that are not about the query. */
  off: string[];
  /** Names of pages that may stay or go. */
  either: string[];
  /** Terms that belong to the subject. */
  terms: string[];
  /** Terms that are met and do not. */
  notTerms?: string[];
  /** Patterns of topics on the subject; every name must fit one of them and none of `notTopics`. */
  topics: string[];
  notTopics?: string[];
  /** Patterns of topics that half of the pages have. */
  needed: string[];
  /** Questions: on the subject or not, said by one of the pages or by none; twins share a number. */
  asked: { text: string; about: boolean; said: boolean; twin?: number }[];
  /** Headings of pages that ask for nothing outside their page. */
  notQuestions?: string[];
  phrases: { phrase: string; said: boolean }[];
  covers: { want: string; heading: string; covers: boolean }[];
}

interface StudySet {
  name: string;
  list: StudyList;
  pages: { name: string; address: string; publisher: string; kind: string; reading: PageReading }[];
  book: StudyBook;
}

const LISTS = place('bench/study-lists/');
const WORLD = place('src/server/market/world');
const FIRST_TERMS = 25;

const listOf = (name: string): StudyList => JSON.parse(readFileSync(join(LISTS, `${name}.json`), 'utf8'));

type Brought = Omit<StudySet['pages'][number], 'reading'> & { document: PageReading['page']['document'] };

function setOf(name: string, brought: readonly Brought[]): StudySet {
  const list = listOf(name);
  const vocabulary = new Vocabulary();
  const bases = new WordBases(vocabulary);
  const pages = brought.map((page, at) => {
    const reading = readStudyPage({ ...page, rank: at + 1 }, list.query, bases, defaultProfile);
    return { ...page, reading };
  });
  const asked: Asked[] = list.asked.map(({ text }) => ({ text, place: 'suggestion', volume: null }));
  const phrases = list.phrases.map(({ phrase }) => ({ phrase, volume: null }));
  return {
    name,
    list,
    pages,
    book: new StudyBook(
      pages.map(({ reading }) => reading),
      { query: list.query, asked, phrases },
      bases,
    ),
  };
}

/** A set of somebody else's pages: a folder of files with a list of their addresses. */
async function foreignSet(folder: string): Promise<StudySet> {
  const pages = join(folder, 'pages');
  const brought = await readPageFiles(
    readdirSync(pages).map((path) => ({ path, bytes: readFileSync(join(pages, path)) })),
  );
  return setOf(
    basename(folder),
    brought.flatMap((page) => {
      if (page.problem) return [];
      const document = documentOfPage(page);
      return pageProblem(document)
        ? []
        : [
            {
              name: basename(page.path).replace(/\.\w+$/, ''),
              address: page.address,
              publisher: page.publisher,
              kind: '',
              document,
            },
          ];
    }),
  );
}

/** A query of the demo's market. */
function demoSet(name: string): StudySet {
  const world = new World(buildWorld(WORLD));
  const { query } = listOf(name);
  return setOf(
    name,
    world.results(query, 'GB', 20).map(({ address, publisher, kind, html, title }) => ({
      name: address.replace('https://', '').replace('.example', ''),
      address,
      publisher,
      kind,
      document: documentOfPage({ format: 'html', text: html }),
      title,
    })),
  );
}

/** What was found of what a person wrote down, and what is wrong or missing by name. */
export interface JudgedRow {
  set: string;
  what: string;
  right: number;
  of: number;
  misses: readonly string[];
}

/** What studies of a set found, beside its list; `tell` is given what was found itself. */
export function judge({ name, list, pages, book }: StudySet, tell?: (line: string) => void): JudgedRow[] {
  const rows: JudgedRow[] = [];
  const row = (set: string, what: string, [right, of]: [number, number], misses: readonly string[]) =>
    rows.push({ set, what, right, of, misses });
  const percent = (part: number, whole: number): [number, number] => [part, whole];
  const out = book.leaveOut();
  const nameOf = new Map(pages.map(({ address, name }) => [address, name]));
  const suggested = out.map(({ address }) => nameOf.get(address) ?? address);
  const counted = suggested.filter((page) => !list.either.includes(page));
  const right = counted.filter((page) => list.off.includes(page));
  row(
    name,
    'left out, right',
    percent(right.length, counted.length),
    counted.filter((p) => !right.includes(p)),
  );
  row(
    name,
    'to leave out, found',
    percent(right.length, list.off.length),
    list.off.filter((p) => !right.includes(p)),
  );

  const study = book.study(new Set(out.map(({ address }) => address)));
  const { bases } = book;
  const accepted = new Set(list.terms.map((term) => bases.keyOf(term)));
  const first = study.terms.slice(0, FIRST_TERMS);
  const wrong = first.filter(({ key, form }) => !accepted.has(key) && !list.terms.includes(form));
  row(
    name,
    'terms',
    percent(first.length - wrong.length, first.length),
    wrong.map(({ form }) => form),
  );
  tell?.(`${first.map(({ form }) => form).join(', ')}`);

  const fits = (text: string, patterns: readonly string[]) =>
    patterns.some((each) => new RegExp(each, 'i').test(text));
  const good = study.topics.filter(
    (t) => fits(t.name, list.topics) && !fits(t.name, list.notTopics ?? ['^$']),
  );
  row(
    name,
    'topics',
    percent(good.length, study.topics.length),
    study.topics.filter((t) => !good.includes(t)).map((t) => t.name),
  );
  for (const t of study.topics)
    tell?.(
      `${(100 * t.share).toFixed(0)} % ${t.name}: ${t.sections.map(({ heading }) => heading).join(' / ')}`,
    );
  const missing = list.needed.filter((each) => !study.topics.some((t) => new RegExp(each, 'i').test(t.name)));
  row(name, 'topics needed', percent(list.needed.length - missing.length, list.needed.length), missing);

  const about = new Map(list.asked.map(({ text, about }) => [text, about]));
  const offQuestions = study.questions.filter(
    ({ text }) => about.get(text) === false || list.notQuestions?.includes(text),
  );
  row(
    name,
    'questions',
    percent(study.questions.length - offQuestions.length, study.questions.length),
    offQuestions.map(({ text }) => text),
  );
  const fromPages = study.questions.filter(({ text }) => !about.has(text)).map(({ text }) => text);
  tell?.(`from pages: ${fromPages.join(' | ')}`);
  const twins = [...new Set(list.asked.flatMap(({ twin }) => (twin ? [twin] : [])))];
  const together = twins.filter((twin) => {
    const texts = list.asked.filter((each) => each.twin === twin).map(({ text }) => text);
    return study.questions.some(({ wordings }) =>
      texts.every((text) => wordings.some((each) => each.text === text)),
    );
  });
  const wronglyTogether = study.questions.filter(({ wordings }) => {
    const known = wordings.flatMap(({ text }) => list.asked.filter((each) => each.text === text));
    return known.length > 1 && new Set(known.map(({ twin, text }) => twin ?? text)).size > 1;
  });
  row(
    name,
    'twins merged',
    percent(together.length, twins.length),
    wronglyTogether.map(({ wordings }) => `wrongly: ${wordings.map(({ text }) => text).join(' + ')}`),
  );

  const said = new Map([
    ...list.asked.map(({ text, said, about }) => [text, said || !about] as const),
    ...list.phrases.map(({ phrase, said }) => [phrase, said] as const),
  ]);
  const wordings = new Map(study.questions.map(({ text, wordings }) => [text, wordings]));
  const isFalse = ({ text }: { text: string }) =>
    said.get(text) === true || (wordings.get(text) ?? []).some((each) => said.get(each.text) === true);
  const falsely = study.unsaid.filter(isFalse);
  row(
    name,
    'unsaid, true',
    percent(study.unsaid.length - falsely.length, study.unsaid.length),
    falsely.map(({ text }) => text),
  );
  const wanted = [...said].filter(([, is]) => !is).map(([text]) => text);
  const unfound = wanted.filter((text) => !study.unsaid.some((each) => each.text === text));
  row(name, 'unsaid, found', percent(wanted.length - unfound.length, wanted.length), unfound);

  const covered = list.covers.map(
    ({ want, heading }) =>
      outlineCoverage(
        [{ id: 'a', level: 2, text: heading, note: '' }],
        { query: list.query, topics: [], must: [], questions: [want], terms: [] },
        bases,
      ).questions[0].by !== null,
  );
  const isRight = list.covers.map(({ covers }, at) => covers === covered[at]);
  row(
    name,
    'covers',
    percent(isRight.filter(Boolean).length, isRight.length),
    list.covers.filter((_, at) => !isRight[at]).map(({ want, heading }) => `${heading} -> ${want}`),
  );

  const wantedOutline = {
    query: list.query,
    topics: study.topics,
    must: [],
    questions: [],
    terms: [],
    asked: study.questions,
  };
  const gaps = outlineGaps([], wantedOutline, bases);
  const goodGaps = gaps.filter(
    ({ text }) => fits(text, list.topics) && !fits(text, list.notTopics ?? ['^$']),
  );
  row(
    name,
    'gaps',
    percent(goodGaps.length, gaps.length),
    gaps.filter((gap) => !goodGaps.includes(gap)).map(({ text }) => text),
  );

  if (tell)
    for (const { shape, items } of proposeOutlines(
      {
        query: list.query,
        intent: 'informational',
        points: [],
        must: [],
        questions: [],
        topics: study.topics,
        asked: study.questions,
        unsaid: study.unsaid,
      },
      3,
      new Set(),
      bases,
    ))
      tell(`${shape}: ${items.map(({ level, text }) => `${'>'.repeat(level - 2)}${text}`).join(' / ')}`);
  return rows;
}

/** All sets, or the one of a name: the demo's, and those of a folder. */
export async function loadSets(folder: string, only = ''): Promise<StudySet[]> {
  const out: StudySet[] = [];
  for (const name of readdirSync(LISTS).map((file) => file.replace(/\.json$/, ''))) {
    if (only && name !== only) continue;
    if (name.startsWith('demo-')) out.push(demoSet(name));
    else if (folder && existsSync(join(folder, name))) out.push(await foreignSet(join(folder, name)));
  }
  return out;
}

/** Prints what studies of judged pages found, beside what a person wrote down: of the demo, and of a folder of others. */
export async function printStudyTable(args: readonly string[]): Promise<boolean> {
  const at = args.indexOf('--sets');
  const folder = at >= 0 ? args[at + 1] : '';
  const only = args.includes('--set') ? args[args.indexOf('--set') + 1] : '';
  const tells = args.includes('--tell');
  for (const set of await loadSets(folder, only)) {
    const told: string[] = [];
    for (const { set: name, what, right, of, misses } of judge(
      set,
      tells ? (line) => told.push(line) : undefined,
    ))
      console.info([name, what, of === 0 ? '-' : `${right}/${of}`, misses.join(' | ')].join('\t'));
    for (const line of told) console.info(`\t\t\t${line}`);
  }
  return true;
}
