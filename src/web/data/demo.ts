import { partId } from '../../core/performance/index.ts';
import type { PackedKeywords } from '../../core/research/index.ts';
import { database } from './database.ts';
import type { DemoBundle } from './demo-bundle.ts';
import { stampRow } from './keyword-chunks.ts';
import { keepPicture } from './picture-store.ts';
import { pageRow } from './post-rows.ts';
import { takeReplacedBack, withReplacedRows } from './replaced-rows.ts';

async function fetched(path: string): Promise<Response> {
  const response = await fetch(path);
  if (!response.ok)
    throw new Error(`The demo data could not be loaded: ${path} answered ${response.status}.`);
  return response;
}

/** The day on which the demo's figures of its own site were read last. */
const FIGURES_READ = '2026-11-16T09:00:00.000Z';

/** Fills an empty database with the demo scenario; one that holds anything is left alone. */
export async function fillDemo(): Promise<void> {
  if ((await database().sites.count()) > 0) return;
  const {
    site,
    pages,
    posts,
    pictures,
    scores,
    lists,
    ideas,
    searchFigures,
    versions,
    studies,
    generations,
    talks,
    reuses,
  } = (await (await fetched('/demo/scenario.json')).json()) as DemoBundle;
  const files = await Promise.all(
    pictures.map(async ({ name, size }) => ({
      name,
      size,
      blob: await (await fetched(`/demo/media/${name}`)).blob(),
    })),
  );
  for (const { name, blob, size } of files) await keepPicture(site.id, name, blob, size);
  const packed = (await (await fetched('/demo/keywords.json')).json()) as PackedKeywords;
  await database().transaction('rw', database().tables, async () => {
    if ((await database().sites.count()) > 0) return;
    await database().posts.bulkAdd(posts.map(({ row }) => row));
    await database().bodies.bulkAdd(
      posts.map(({ row, draft }) => ({ postId: row.id, siteId: row.siteId, draft, outline: [] })),
    );
    await database().scores.bulkAdd(scores);
    await database().pages.bulkAdd(pages.flatMap((page) => pageRow(site.id, page) ?? []));
    await database().lists.bulkAdd(lists);
    await database().ideas.bulkAdd(ideas);
    await database().studies.bulkAdd(studies.map(({ row }) => row));
    await database().generations.bulkAdd(generations);
    await database().talks.bulkAdd(talks);
    await database().reuses.bulkAdd(reuses);
    await database().studyPages.bulkPut(studies.flatMap(({ pages: contents }) => contents));
    await database().keywords.bulkAdd([{ siteId: site.id, chunk: 0, packed }, stampRow(site.id, Date.now())]);
    await database().searchFigures.bulkAdd(
      searchFigures.map((part) => ({ siteId: site.id, id: partId(part), part, changed: FIGURES_READ })),
    );
    await database().versions.bulkAdd(versions);
    await database().sites.add(site);
  });
}

/** Throws everything of the demo database away and fills it anew; answers the way back. */
export async function resetDemo(): Promise<() => Promise<string>> {
  const { replaced } = await withReplacedRows(async () => {
    // A recording that somebody laid beside a talk of the demo is a file of theirs.
    await Promise.all(
      database()
        .tables.filter(({ name }) => name !== 'recordings')
        .map((table) => table.clear()),
    );
    await fillDemo();
  });
  return () => takeReplacedBack(replaced, new Date().toISOString());
}
