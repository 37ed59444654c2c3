import type { DemoBundle } from '../../demo/bundle.ts';
import { database } from './database.ts';
import { keepPicture } from './picture-store.ts';
import { addPost } from './posts.ts';
import { FIRST_SITE } from './sites.ts';

async function fetched(path: string): Promise<Response> {
  const response = await fetch(path);
  if (!response.ok)
    throw new Error(`The demo data could not be loaded: ${path} answered ${response.status}.`);
  return response;
}

/** Fills an empty database with the demo scenario; one that holds anything is left alone. */
export async function fillDemo(): Promise<void> {
  if ((await database().sites.count()) > 0) return;
  const { site, posts, pictures } = (await (await fetched('/demo/scenario.json')).json()) as DemoBundle;
  const files = await Promise.all(
    pictures.map(async ({ name, size }) => ({
      name,
      size,
      blob: await (await fetched(`/demo/media/${name}`)).blob(),
    })),
  );
  for (const { name, blob, size } of files) await keepPicture(FIRST_SITE, name, blob, size);
  await database().transaction('rw', database().sites, database().posts, database().bodies, async () => {
    if ((await database().sites.count()) > 0) return;
    for (const { id, fields, draft } of posts)
      await addPost(FIRST_SITE, id, fields.updated || fields.date || '2026-11-02T09:00:00Z', {
        fields,
        draft,
      });
    await database().sites.add({ ...site, id: FIRST_SITE, revision: 1 });
  });
}

/** Throws everything of the demo database away and fills it anew. */
export async function resetDemo(): Promise<void> {
  await Promise.all(database().tables.map((table) => table.clear()));
  await fillDemo();
}
