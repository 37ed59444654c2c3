import type { BroughtPage } from '../../../../core/formats/index.ts';
import type { PageChange } from '../../../../core/study/index.ts';
import { database } from '../../../data/database.ts';
import { addStudy, changeStudy, dropUnnamedPages, studyOfPost } from '../../../data/studies.ts';
import { foundPages, pageRowOf } from '../../../data/study-pages.ts';
import type { StudyPageRef, StudyPageRow, StudyRow } from '../../../data/study-rows.ts';
import { market } from '../../../services/market.ts';
import { studyWorker } from '../../../workers/study-client.ts';

/** Pages of a study. */
const PAGES = 20;
/** Phrases around a query whose demand is asked for. */
const PHRASES = 60;

interface Wanted {
  siteId: string;
  postId: string;
  query: string;
  region: string;
}

const emptyStudy = ({ siteId, query, region }: Wanted, posts: string[], now: string): StudyRow => ({
  id: crypto.randomUUID(),
  siteId,
  query: query.trim(),
  region,
  made: now,
  revision: 1,
  posts,
  earlier: '',
  pages: [],
  asked: [],
  phrases: [],
  choices: { pinned: [], dropped: [], added: [] },
  facts: null,
});

/** What is asked and searched for around a query; nothing where no source knows it. */
async function demandFor({ query, region }: Wanted): Promise<Pick<StudyRow, 'asked' | 'phrases'>> {
  const [questions, keywords] = await Promise.all([
    market.questions([query], region),
    market.keywords([query], region),
  ]);
  return {
    asked: questions.map(({ text, place, volume }) => ({ text, place, volume })),
    phrases: keywords
      .filter(({ phrase }) => phrase !== query)
      .sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0))
      .slice(0, PHRASES)
      .map(({ phrase, volume }) => ({ phrase, volume })),
  };
}

/**
 * Studies the pages that are found for a query, or the same again: pages left out and choices of terms are taken over
 * from the study before. Answers the study, or null where no page is found. Throws what the source says.
 */
export async function studyResults(
  wanted: Wanted,
  before: StudyRow | null,
  now: string,
): Promise<StudyRow | null> {
  const [results, demand] = await Promise.all([
    market.results(wanted.query, wanted.region, PAGES),
    demandFor(wanted),
  ]);
  if (results.length === 0) return null;
  const left = new Set(before?.pages.filter((page) => page.left).map(({ address }) => address));
  const contents = await Promise.all(
    results.map(({ html }) => pageRowOf(wanted.siteId, { format: 'html', text: html })),
  );
  const pages = foundPages(results, contents, left);
  const row: StudyRow = {
    ...emptyStudy(wanted, before?.posts ?? [wanted.postId], now),
    ...demand,
    pages,
    ...(before ? { earlier: before.id, choices: before.choices } : {}),
  };
  await addStudy(row, contents);
  return row;
}

/** What became of pages that were brought. */
export interface Brought {
  /** Pages that are new in the study. */
  added: number;
  /** Pages of the study that were read again, each with what changed; null: nothing did. */
  again: { address: string; change: PageChange | null }[];
}

/**
 * Brings pages into the study that a post has when they are there, or begins one with them. What cannot be read leaves
 * nothing behind; a page that was read at its address (`read`: when) takes the place of what the study had of it, and
 * keeps what the writer decided about it meanwhile.
 */
export async function bringPages(
  wanted: Wanted,
  brought: readonly BroughtPage[],
  now: string,
  read: ReadonlyMap<string, string> = new Map(),
): Promise<Brought> {
  // Reading takes its time: a study may have been begun, or changed, since it was asked for.
  const study = await studyOfPost(wanted.siteId, wanted.postId);
  const before = new Map((study?.pages ?? []).map((page) => [page.address, page]));
  const contents: StudyPageRow[] = [];
  const fresh = new Map<string, Omit<StudyPageRef, 'rank'>>();
  const again: Brought['again'] = [];
  for (const page of brought) {
    const known = before.get(page.address);
    const at = read.get(page.address);
    if (page.problem || fresh.has(page.address) || (known && at === undefined)) continue;
    const content = await pageRowOf(wanted.siteId, { format: page.format, text: page.text });
    contents.push(content);
    if (known)
      again.push({
        address: page.address,
        change: await (await studyWorker()).changeOf(wanted.siteId, known.key, page),
      });
    fresh.set(page.address, {
      key: content.key,
      address: page.address,
      publisher: page.publisher,
      kind: '',
      title: page.title,
      left: false,
      problem: '',
      ...(at === undefined ? {} : { read: at }),
    });
  }
  if (contents.length === 0) return { added: 0, again };
  /** Pages as they lie there, with what was read. */
  const joined = (pages: readonly StudyPageRef[]): StudyPageRef[] => {
    const there = new Set(pages.map(({ address }) => address));
    return [
      ...pages.map((page) => {
        const found = fresh.get(page.address);
        return found?.read
          ? { ...page, key: found.key, title: found.title, problem: '', read: found.read }
          : page;
      }),
      ...[...fresh.values()]
        .filter(({ address }) => !there.has(address))
        .map((page, at) => ({ ...page, rank: pages.length + at + 1 })),
    ];
  };
  if (study) {
    await database().studyPages.bulkPut(contents);
    await changeStudy(study.id, ({ pages }) => ({ pages: joined(pages) }));
    // What a page had before it was read again is named by nothing any more.
    await dropUnnamedPages(
      wanted.siteId,
      again.map(({ address }) => before.get(address)?.key ?? ''),
    );
  } else {
    // Without its source the pages are studied all the same: what is asked elsewhere is then not known.
    const demand = await demandFor(wanted).catch(() => ({}));
    await addStudy({ ...emptyStudy(wanted, [wanted.postId], now), ...demand, pages: joined([]) }, contents);
  }
  return { added: fresh.size - again.length, again };
}
