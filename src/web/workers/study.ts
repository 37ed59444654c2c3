import { type Profile, wholeProfile } from '../../core/criteria/index.ts';
import { draftLanguage, type PostDocument } from '../../core/draft/index.ts';
import {
  type BroughtPage,
  documentOfPage,
  type PageFile,
  pageOfAddress,
  pageProblem,
  readPageFiles,
} from '../../core/formats/index.ts';
import { TermCounter, Vocabulary, WordBases } from '../../core/language/index.ts';
import {
  compareStudies,
  noChoices,
  type PageChange,
  type PageFigures,
  type PageReading,
  pageChange,
  readStudyPage,
  type Study,
  StudyBook,
  type StudyChange,
  studyLanguage,
  type TermExample,
  termExamples,
} from '../../core/study/index.ts';
import { database, openDatabase } from '../data/database.ts';
import { changeStudy } from '../data/studies.ts';
import { pageContents } from '../data/study-pages.ts';
import type { StudyPageRef, StudyRow } from '../data/study-rows.ts';
import { callOff, stillWanted } from './called-off.ts';

/** A page as the table of a study shows it. */
export interface StudyLine {
  ref: StudyPageRef;
  /** Null: it could not be read. */
  figures: PageFigures | null;
  description: string;
  /** How near it is to the subject of the study, 0-1; null: it could not be read. */
  onTopic: number | null;
  /** Why it might be left out; empty: no reason. */
  suggestion: string;
}

/** A study as the screen shows it. */
export interface StudyView {
  id: string;
  revision: number;
  lines: StudyLine[];
  study: Study;
}

/** A page as it is read beside the table. */
export interface OpenedPage {
  title: string;
  description: string;
  date: string;
  blocks: {
    id: string;
    kind: string;
    level: number;
    inList: boolean;
    text: string;
    /** Uses of terms in it. */
    marks: { start: number; end: number; key: string }[];
  }[];
}

const vocabulary = new Vocabulary();
/** Of all studies of a session. */
const english = WordBases.of(vocabulary);

/** How words of a language are counted; the same for all studies of a session in it. */
export const basesIn = (language: string): WordBases => english.in(language);

/** The language of each page that was read, by its key. */
const languages = new Map<string, string>();

/** What was read of pages, by query and key: a study that is run again reads only what is new. */
const read = new Map<string, PageReading>();
const MOST_READ = 200;
let book: { key: string; book: StudyBook } | null = null;

async function profileOf(siteId: string): Promise<Profile> {
  return wholeProfile((await database().sites.get(siteId))?.profile ?? null);
}

/** The language of a page; English where it cannot be read, which is said when it is read. */
function languageOf(read: () => PostDocument): string {
  try {
    return draftLanguage(read().draft.blocks);
  } catch {
    return 'en';
  }
}

/** Readings of a study's pages, and why others have none. Throws an `AbortError` where the job is called off (null: it cannot be). */
async function readingsOf(
  row: StudyRow,
  job: string | null,
  tell?: (done: number) => void,
): Promise<{ readings: PageReading[]; problems: Map<string, string>; bases: WordBases }> {
  const profile = await profileOf(row.siteId);
  const contents = await pageContents(row.siteId, row.pages.map(({ key }) => key).filter(Boolean));
  const weights = JSON.stringify(profile);
  const documents = new Map<string, PostDocument>();
  const documentOf = (key: string, content: Pick<BroughtPage, 'format' | 'text'>) => {
    const document = documents.get(key) ?? documentOfPage(content);
    documents.set(key, document);
    return document;
  };
  for (const [key, content] of contents) {
    if (languages.has(key)) continue;
    if (job !== null) await stillWanted(job);
    languages.set(
      key,
      languageOf(() => documentOf(key, content)),
    );
  }
  const bases = basesIn(studyLanguage([...contents.keys()].map((key) => languages.get(key)!)));
  const readings: PageReading[] = [];
  const problems = new Map<string, string>();
  let done = 0;
  for (const ref of row.pages) {
    const content = contents.get(ref.key);
    if (content) {
      const known = `${bases.code}\n${row.query}\n${ref.key}\n${ref.address}\n${ref.rank}\n${weights}`;
      let reading = read.get(known);
      if (!reading) {
        if (job !== null) await stillWanted(job);
        try {
          const document = documentOf(ref.key, content);
          const problem = pageProblem(document);
          if (problem) problems.set(ref.address, problem);
          else
            reading = readStudyPage(
              {
                address: ref.address,
                publisher: ref.publisher,
                kind: ref.kind,
                rank: ref.rank,
                document,
              },
              row.query,
              bases,
              profile,
            );
        } catch (error) {
          problems.set(ref.address, (error as Error).message);
        }
        if (reading) {
          if (read.size >= MOST_READ) read.clear();
          read.set(known, reading);
        }
      }
      if (reading) readings.push(reading);
    }
    done += 1;
    tell?.(done);
  }
  return { readings, problems, bases };
}

async function bookOf(row: StudyRow, job: string | null, tell?: (done: number) => void) {
  const { readings, problems, bases } = await readingsOf(row, job, tell);
  const { query, asked, phrases } = row;
  const key = JSON.stringify([query, asked, phrases, readings.map(({ page }) => page.address)]);
  if (book?.key !== key || book.book.readings.some((reading, at) => reading !== readings[at]))
    book = { key, book: new StudyBook(readings, { query, asked, phrases }, bases) };
  return { book: book.book, problems };
}

/** What the pages of a study share, as its writer chose; null where it is gone. */
export async function studyFor(id: string): Promise<Study | null> {
  const row = await database().studies.get(id);
  const found = row && (await bookOf(row, null));
  return row && found ? found.book.study(leftOf(row), row.choices) : null;
}

/** A study with the readings of its pages, as texts are made from it; null where it is gone. */
export async function studyWithPages(id: string) {
  const row = await database().studies.get(id);
  const found = row && (await bookOf(row, null));
  if (!row || !found) return null;
  const study = found.book.study(leftOf(row), row.choices);
  return { study, readings: found.book.readings, query: row.query, facts: row.facts };
}

const leftOf = ({ pages }: StudyRow) =>
  new Set(pages.filter(({ left }) => left).map(({ address }) => address));

/** Studies as a worker keeps them: pages are read once, what they share is worked out for each choice. */
export const studies = {
  open(name: string): void {
    openDatabase(name);
  },

  /** Ends a job between two pages; what it was asked for is rejected with an `AbortError`. */
  callOff,

  /** Reads the pages of a study and works out what they share; null where it is gone. */
  async view(id: string, job: string, tell?: (done: number) => void): Promise<StudyView | null> {
    const row = await database().studies.get(id);
    if (!row) return null;
    const found = await bookOf(row, job, tell);
    await stillWanted(job);
    const study = found.book.study(leftOf(row), row.choices);
    const facts = found.book.facts(study);
    if (JSON.stringify(facts) !== JSON.stringify(row.facts)) {
      // Another choice may have been made meanwhile: its own view will keep its facts.
      await changeStudy(id, (now) => (now.revision === row.revision ? { facts } : {}));
    }
    const reasons = new Map(found.book.leaveOut().map(({ address, reason }) => [address, reason]));
    const byAddress = new Map(found.book.readings.map((reading) => [reading.page.address, reading]));
    const near = new Map(
      found.book.readings.map(({ page }, at) => [page.address, found.book.relevances[at].value]),
    );
    return {
      id,
      revision: row.revision,
      study,
      lines: row.pages.map((ref): StudyLine => {
        const reading = byAddress.get(ref.address);
        return {
          ref: { ...ref, problem: ref.problem || (found.problems.get(ref.address) ?? '') },
          figures: reading?.figures ?? null,
          description: reading?.page.document.fields.metaDescription ?? '',
          onTopic: near.get(ref.address) ?? null,
          suggestion: reasons.get(ref.address) ?? '',
        };
      }),
    };
  },

  /** A page of a study with the study's terms marked. */
  async page(id: string, address: string, keys: readonly string[]): Promise<OpenedPage | null> {
    const row = await database().studies.get(id);
    const found = row && (await bookOf(row, null));
    const reading = found?.book.readings.find(({ page }) => page.address === address);
    if (!found || !reading) return null;
    const counter = new TermCounter(keys, found.book.bases);
    const { fields } = reading.page.document;
    return {
      title: fields.title,
      description: fields.metaDescription,
      date: reading.figures.date,
      blocks: reading.blocks.map(({ block, tokens }) => ({
        id: block.id,
        kind: block.kind,
        level: block.level ?? 0,
        inList: block.path.some(({ type }) => type === 'item'),
        text: block.text,
        marks: counter.uses(tokens).map(({ term, first, last }) => ({
          start: tokens.starts[first],
          end: tokens.ends[last],
          key: keys[term],
        })),
      })),
    };
  },

  /** Sentences in which the pages taken in use a term. */
  async examples(id: string, key: string): Promise<TermExample[]> {
    const row = await database().studies.get(id);
    const found = row && (await bookOf(row, null));
    if (!row || !found) return [];
    const left = leftOf(row);
    return termExamples(
      found.book.readings.filter(({ page }) => !left.has(page.address)),
      key,
      found.book.bases,
    );
  },

  /** The key of a term that a writer types for a study; empty where nothing is left of it. */
  async keyOf(id: string, phrase: string): Promise<string> {
    const row = await database().studies.get(id);
    return (row ? (await bookOf(row, null)).book.bases : english).keyOf(phrase);
  },

  /** What changed since the study that this one was run again from; null where there is none. */
  async change(id: string): Promise<{ made: string; change: StudyChange } | null> {
    const row = await database().studies.get(id);
    const before = row?.earlier ? await database().studies.get(row.earlier) : undefined;
    if (!row || !before) return null;
    const [earlier, later] = [await bookOf(before, null), await bookOf(row, null)];
    if (!earlier || !later) return null;
    // The writer's choices are not what the pages changed.
    return {
      made: before.made,
      change: compareStudies(
        earlier.book.study(leftOf(before), noChoices()),
        later.book.study(leftOf(row), noChoices()),
      ),
    };
  },

  /** A page that was read at an address, as one that is brought. */
  pageOf: (read: Parameters<typeof pageOfAddress>[0]): BroughtPage => pageOfAddress(read),

  /** What a page that is read again has that what lies under a key had not; null where its text is the same, or nothing lies there. */
  async changeOf(
    siteId: string,
    key: string,
    now: Pick<BroughtPage, 'format' | 'text'>,
  ): Promise<PageChange | null> {
    const before = (await pageContents(siteId, [key])).get(key);
    return before ? pageChange(documentOfPage(before), documentOfPage(now)) : null;
  },

  /** Reads files that were brought as pages. */
  readFiles: (files: readonly PageFile[]): Promise<BroughtPage[]> => readPageFiles(files),
};

export type Studies = typeof studies;
