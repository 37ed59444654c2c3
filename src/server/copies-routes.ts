import { createWriteStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { supersededCopies } from '../core/formats/index.ts';
import { ownPages } from './own-pages.ts';

/** `<database> <instant, with dashes for colons> <posts>.backup.zip`; nothing else is written or handed out. */
const NAME =
  /^(dune-sparrow(?:-demo)?)_(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}\.\d{3}Z)_(\d{1,7})\.backup\.zip$/;
/** As much as a backup may hold. */
const MAX_BYTES = 1_000_000_000;

/** A copy that lies with the server. */
interface ServerCopy {
  name: string;
  /** Of which database of the browser. */
  database: string;
  /** UTC instant. */
  made: string;
  posts: number;
}

function copyOf(name: string): ServerCopy | null {
  const [, database, stamp, posts] = NAME.exec(name) ?? [];
  if (!database) return null;
  const made = stamp.replace(/T(\d\d)-(\d\d)-/, 'T$1:$2:');
  return Number.isFinite(Date.parse(made)) ? { name, database, made, posts: Number(posts) } : null;
}

/** A stream that ends with an error where more comes through it than a backup may hold. */
function atMost(bytes: number): Transform {
  let seen = 0;
  return new Transform({
    transform(part: Buffer, _encoding, done) {
      seen += part.length;
      done(seen > bytes ? new Error('too large') : null, part);
    },
  });
}

/**
 * Keeps the backups that pages hand over, in a folder of the machine: outside of the browser, which may drop all that
 * it holds when its disk is full. Written whole or not at all; those of a day, then one a day for a week.
 */
export function copiesRoutes(folder: string): Router {
  const router = Router();
  const copies = async (): Promise<ServerCopy[]> =>
    // Before the first copy there is no folder.
    (await readdir(folder).catch(() => [] as string[]))
      .flatMap((name) => copyOf(name) ?? [])
      .sort((a, b) => (a.made < b.made ? 1 : -1));
  router.use(ownPages('Copies'));
  router.get('/', async (_request, response) => {
    response.setHeader('cache-control', 'no-store').json({ copies: await copies() });
  });
  router.get('/:name', async ({ params: { name } }, response) => {
    if (!copyOf(name) || !(await stat(join(folder, name)).catch(() => null))) {
      response.status(404).json({ problem: 'That copy is not kept any more.' });
      return;
    }
    response.setHeader('cache-control', 'no-store').type('application/zip');
    response.sendFile(name, { root: folder });
  });
  router.put('/:name', async (request, response) => {
    const copy = copyOf(request.params.name);
    if (!copy) {
      response.status(400).json({ problem: 'That is no name of a copy.' });
      return;
    }
    const part = join(folder, `${copy.name}.part`);
    try {
      await mkdir(folder, { recursive: true });
      await pipeline(request, atMost(MAX_BYTES), createWriteStream(part));
      const file = await open(part, 'r+');
      await file.sync();
      await file.close();
      await rename(part, join(folder, copy.name));
    } catch (error) {
      await rm(part, { force: true });
      const full = (error as NodeJS.ErrnoException).code === 'ENOSPC';
      response
        .status(full ? 507 : 500)
        .json({ problem: full ? 'The disk of the server is full.' : 'The copy did not arrive whole.' });
      return;
    }
    const own = (await copies()).filter(({ database }) => database === copy.database);
    const gone = new Set(
      supersededCopies(
        own.map(({ made }) => made),
        copy.made,
      ),
    );
    for (const { name, made } of own) if (gone.has(made)) await rm(join(folder, name), { force: true });
    response.status(201).json({ copies: (await copies()).length });
  });
  return router;
}
