import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { type Options, rateLimit } from 'express-rate-limit';
import { copiesRoutes } from './copies-routes.ts';
import { networkRoutes } from './fetch/network-routes.ts';
import type { Outward } from './fetch/outward.ts';
import { hostRoutes } from './host/host-routes.ts';
import type { Publishing } from './host/publishing.ts';
import { hostCheck } from './host-check.ts';
import { marketRoutes } from './market/market-routes.ts';
import { securityHeaders } from './security-headers.ts';
import { textRoutes } from './text-service/text-routes.ts';

/** What the server sends and from where. */
export interface AppOptions {
  /** Folder of the built application. */
  web: string;
  /** Folder of the demo data; null: served without. */
  demo: string | null;
  /** File with the simulated market. */
  market: string;
  version: string;
  /** Names under which it may be asked besides those of this machine. */
  hosts?: readonly string[];
  /** Folder in which copies are kept that pages hand over; null: none are. */
  copies?: string | null;
  /** Folder in which keys of text services lie; null: no text is made. */
  texts?: string | null;
  /** What sends posts to where they are published; null: nothing does. */
  publishing?: Publishing | null;
  /** How the network is asked where it is not as usual: hosts that are allowed, say. */
  outward?: Partial<Outward>;
}

/** The policy of every response: scripts, fonts and data from here alone; styles may stand in elements. */
const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  workerSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  mediaSrc: ["'self'", 'blob:'],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
  objectSrc: ["'none'"],
};

/** Requests for figures that one address may make: a long study asks some dozens of times. */
const MARKET_LIMIT: Partial<Options> = {
  windowMs: 60_000,
  limit: 600,
  standardHeaders: 'draft-7',
  legacyHeaders: false,
  message: { problem: 'Too many requests within a minute. Wait a moment and try again.' },
};

const readIf = (path: string) => (existsSync(path) ? readFileSync(path, 'utf8') : null);

/** Whether a request comes from another machine: on the way to this one nothing is gained by packing. */
const isFar = ({ socket: { remoteAddress = '' } }: Pick<express.Request, 'socket'>): boolean =>
  !/^(?:::ffff:)?127\.|^::1$/.test(remoteAddress);

/** The Express application: the built pages, compressed and cached, deep links answered with the application. */
export function createApp({
  web,
  demo,
  market,
  version,
  hosts = [],
  copies = null,
  texts = null,
  publishing = null,
  outward = {},
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders(POLICY));
  app.use(
    compression({ filter: (request, response) => isFar(request) && compression.filter(request, response) }),
  );
  app.use(hostCheck(hosts));
  app.get('/healthz', (_request, response) => {
    response.json({ status: 'ok', version });
  });
  const page = readFileSync(join(web, 'index.html'), 'utf8').replace(
    'name="dune-sparrow-demo" content="off"',
    `name="dune-sparrow-demo" content="${demo ? 'on' : 'off'}"`,
  );
  app.use(
    '/assets',
    express.static(join(web, 'assets'), { immutable: true, maxAge: '1y', index: false, fallthrough: false }),
  );
  if (demo) app.use('/demo', express.static(demo, { maxAge: 0, index: false, fallthrough: false }));
  app.use('/market', rateLimit(MARKET_LIMIT), marketRoutes(market));
  app.use('/network', networkRoutes(version, outward));
  if (copies) app.use('/copies', copiesRoutes(copies));
  if (texts) app.use('/text', textRoutes({ folder: texts, version, outward }));
  if (publishing) app.use('/host', hostRoutes(publishing));
  // A worker that the browser keeps must never be an old one; with and without the demo it is another.
  const worker = readIf(join(web, 'service-worker.js'));
  if (worker !== null)
    app.get('/service-worker.js', (_request, response) => {
      response
        .type('text/javascript')
        .setHeader('cache-control', 'no-cache')
        .send(worker.replace('`dune-sparrow-', `\`dune-sparrow-${demo ? 'demo-' : ''}`));
    });
  app.use(express.static(web, { index: false, maxAge: '1h' }));
  app.get('/{*path}', (request, response) => {
    // A missing file is missing; only addresses of screens get the application.
    if (/\.[a-z0-9]+$/i.test(request.path)) {
      response.status(404).type('text').send('There is no such file.');
      return;
    }
    response.type('html').setHeader('cache-control', 'no-cache').send(page);
  });
  app.use(
    (
      error: { status?: number },
      _request: express.Request,
      response: express.Response,
      _next: express.NextFunction,
    ) => {
      const status = error.status ?? 500;
      response
        .status(status)
        .type('text')
        .send(status === 404 ? 'There is no such file.' : 'The server could not answer this request.');
    },
  );
  return app;
}
