import type { DemoBundle } from '../../demo/bundle.ts';
import { database, pageRow } from './database.ts';
import { keepPicture } from './picture-store.ts';

async function fetched(path: string): Promise<Response> {
  const response = await fetch(path);
  if (!response.ok)
    throw new Error(`The demo data could not be loaded: ${path} answered ${response.status}.`);
  return response;
}

/** Fills an empty database with the demo scenario; one that holds anything is left alone. */
export async function fillDemo(): Promise<void> {
  if ((await database().sites.count()) > 0) return;
  const { site, pages, posts, pictures, scores } = (await (
    await fetched('/demo/scenario.json')
  ).json()) as DemoBundle;
  const files = await Promise.all(
    pictures.map(async ({ name, size }) => ({
      name,
      size,
      blob: await (await fetched(`/demo/media/${name}`)).blob(),
    })),
  );
  for (const { name, blob, size } of files) await keepPicture(site.id, name, blob, size);
  const tables = [database().sites, database().pages, database().posts, database().bodies, database().scores];
  await database().transaction('rw', tables, async () => {
    if ((await database().sites.count()) > 0) return;
    await database().posts.bulkAdd(posts.map(({ row }) => row));
    await database().bodies.bulkAdd(
      posts.map(({ row, draft }) => ({ postId: row.id, siteId: row.siteId, draft, outline: [] })),
    );
    await database().scores.bulkAdd(scores);
    await database().pages.bulkAdd(pages.flatMap((page) => pageRow(site.id, page) ?? []));
    await database().sites.add(site);
  });
}

/** Throws everything of the demo database away and fills it anew. */
export async function resetDemo(): Promise<void> {
  await Promise.all(database().tables.map((table) => table.clear()));
  await fillDemo();
}
