import express, { type RequestHandler, type Response, Router } from 'express';
import { zipSync } from 'fflate';
import { ownPages } from '../own-pages.ts';
import { HostProblem } from './blog-host.ts';
import type { Publishing } from './publishing.ts';
import { readOrder, readSettings, readSettingsPictures, readWay } from './read-order.ts';
import { accountOf, type Way } from './send-job.ts';

/** As much as a post and a picture may have. */
const MOST_POST = '12mb';
const MOST_PICTURE = '40mb';

function saySo(response: Response, error: unknown): void {
  if (!(error instanceof HostProblem)) throw error;
  const { kind, message: problem } = error;
  response.status(kind === 'away' ? 502 : 409).json({ problem, kind });
}

/**
 * The way of the application's pages to where posts are published: they hand over pictures and posts, see what became of them,
 * and never a token.
 */
export function hostRoutes({
  queue,
  tokens,
  hostOf,
  addressNow,
  standIn,
  readPage,
  content,
}: Publishing): Router {
  const router = Router();
  router.use(ownPages('Publishing'));
  router.use((_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    next();
  });
  const json = express.json({ limit: MOST_POST });

  router.get('/ways', (_request, response) => {
    const blog = standIn();
    response.json({
      standIn: blog ? { address: blog.address, settings: blog.settings() } : null,
      folder: content?.folder ?? null,
    });
  });
  router.put('/settings', json, (request, response) => {
    const blog = standIn();
    const settings = readSettings(request.body);
    if (!blog) response.status(409).json({ problem: 'The blog beside the application does not stand.' });
    else if (!settings)
      response.status(400).json({
        problem:
          'Those are no settings of a blog: look, posts a page, words, categories, addresses, redirects.',
      });
    else {
      const places = new Map(
        readSettingsPictures(request.body).flatMap(({ src, sha, name }) => {
          const bytes = queue.pictures.read(sha);
          const at = bytes && blog.putPicture(bytes, name);
          return at ? [[src, at]] : [];
        }),
      );
      blog.setSettings({
        ...settings,
        categories: settings.categories.map((one) =>
          one.picture
            ? { ...one, picture: { ...one.picture, src: places.get(one.picture.src) ?? one.picture.src } }
            : one,
        ),
      });
      response.json({ settings: blog.settings() });
    }
  });
  router.put('/token', json, (request, response) => {
    const { endpoint, token } = (request.body ?? {}) as { endpoint?: unknown; token?: unknown };
    if (typeof endpoint !== 'string' || endpoint.trim() === '' || typeof token !== 'string') {
      response.status(400).json({ problem: 'Say for which endpoint the token is.' });
      return;
    }
    // A header holds one line of plain characters.
    if (!/^[\x21-\x7e]*$/.test(token.trim())) {
      response.status(400).json({ problem: 'That is no token: it has blanks or characters that none has.' });
      return;
    }
    tokens.set(endpoint.trim(), token.trim());
    response.json({ isSet: token.trim() !== '' });
  });
  router.post('/try', json, async (request, response) => {
    const way = readWay((request.body as { way?: unknown } | undefined)?.way);
    if (!way) {
      response
        .status(400)
        .json({ problem: 'Say where posts are published: give the address of the endpoint.' });
      return;
    }
    try {
      response.json(await hostOf(way).capabilities());
    } catch (error) {
      saySo(response, error);
    }
  });
  /** Answers what stands at an address of a way. */
  const about =
    (what: string, answer: (way: Way, url: string) => Promise<unknown>): RequestHandler =>
    async (request, response) => {
      const { way: given, url } = (request.body ?? {}) as { way?: unknown; url?: unknown };
      const way = readWay(given);
      if (!way || typeof url !== 'string') {
        response.status(400).json({ problem: `Say which ${what} is to be read.` });
        return;
      }
      try {
        response.json(await answer(way, url));
      } catch (error) {
        saySo(response, error);
      }
    };
  router.post(
    '/read',
    json,
    about('post', async (way, url) => hostOf(way).read(addressNow(way, url))),
  );
  router.post('/page', json, about('page', readPage));

  router.get('/folder', (_request, response) => {
    if (!content) response.status(404).json({ problem: 'No folder of posts is open.' });
    else
      response.json({
        files: content.list().map(({ path, fields: { title } }) => ({ path, title })),
      });
  });
  router.get('/folder.zip', (_request, response) => {
    if (!content) response.status(404).json({ problem: 'No folder of posts is open.' });
    else {
      const files: Record<string, Uint8Array> = {};
      for (const { path, bytes } of content.everything()) files[path] = bytes;
      // Stored as they are: they go to a page on this machine.
      response.type('application/zip').send(Buffer.from(zipSync(files, { level: 0 })));
    }
  });

  router.get('/pictures/:sha', ({ params }, response) => {
    response.json({ isHere: queue.pictures.has(params.sha) });
  });
  router.put(
    '/pictures/:sha',
    express.raw({ type: () => true, limit: MOST_PICTURE }),
    (request, response) => {
      const isKept =
        Buffer.isBuffer(request.body) && queue.pictures.put(String(request.params['sha']), request.body);
      if (isKept) response.status(201).json({});
      else response.status(400).json({ problem: 'The picture did not arrive whole.' });
    },
  );

  router.get('/jobs', (_request, response) => {
    response.json({ jobs: queue.all().map(accountOf), folderChanges: content?.changeCount ?? null });
  });
  router.post('/jobs', json, (request, response) => {
    const order = readOrder(request.body);
    if (!order) {
      response.status(400).json({ problem: 'That is no order to send a post.' });
      return;
    }
    response.status(202).json(accountOf(queue.order(order)));
  });
  router.post('/jobs/:id/again', json, (request, response) => {
    const { known } = (request.body ?? {}) as { known?: unknown };
    const job = queue.again(
      String(request.params['id']),
      known === null || typeof known === 'string' ? known : undefined,
    );
    if (job) response.json(accountOf(job));
    else response.status(404).json({ problem: 'It is being sent just now, or was sent already.' });
  });
  router.delete('/jobs/:id', ({ params }, response) => {
    const job = queue.giveUp(params.id);
    if (job) response.json(accountOf(job));
    else response.status(404).json({ problem: 'It is being sent just now, or was sent already.' });
  });
  return router;
}
