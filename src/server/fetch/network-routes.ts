import { randomBytes, timingSafeEqual } from 'node:crypto';
import express, { type RequestHandler, Router } from 'express';
import { type Options, rateLimit } from 'express-rate-limit';
import { ownPages } from '../own-pages.ts';
import { checkAddress } from './check-address.ts';
import { HostPace } from './host-pace.ts';
import type { Outward } from './outward.ts';
import { readPage } from './read-page.ts';
import { RobotsRules } from './robots-rules.ts';

/** Milliseconds and bytes for one answer. */
const WITHIN = 10_000;
const MOST_BYTES = 5_000_000;
const LONGEST_ADDRESS = 4000;

/** Questions that one page may ask: a long post links to some hundreds of addresses. */
const LIMIT: Partial<Options> = {
  windowMs: 60_000,
  limit: 600,
  standardHeaders: 'draft-7',
  legacyHeaders: false,
  message: { problem: 'Too many addresses within a minute. Wait a moment and try again.' },
};

/** The name by which a host's robots.txt may speak of us. */
const ROBOTS_NAME = 'DuneSparrow';

/** The header in which a page shows that it is one of ours. */
const TOKEN_HEADER = 'x-dune-sparrow';

/**
 * The way of the application's pages to the network: they ask this server, which asks for public addresses alone. Whoever asks
 * shows a token that only a page of this origin can read; what is answered is data, never a page.
 */
export function networkRoutes(version: string, given: Partial<Outward>): Router {
  const outward: Outward = {
    allowed: [],
    agent: `DuneSparrow/${version} (a writer's own program, checking links)`,
    within: WITHIN,
    mostBytes: MOST_BYTES,
    ...given,
  };
  const token = randomBytes(24).toString('base64url');
  const pace = new HostPace();
  const router = Router();
  router.use(ownPages('Questions to the network'));
  router.get('/token', (_request, response) => {
    response.setHeader('cache-control', 'no-store').json({ token });
  });
  router.use(withToken(token), rateLimit(LIMIT), express.json({ limit: '16kb' }));
  /** Answers a question about an address; one that its page no longer waits for is called off. */
  const about =
    (answer: (address: string, off: AbortSignal) => Promise<unknown>, wish: string): RequestHandler =>
    async (request, response) => {
      const { address } = (request.body ?? {}) as { address?: unknown };
      if (typeof address !== 'string' || address.length > LONGEST_ADDRESS) {
        response.status(400).json({ problem: `Say which address is to be ${wish}.` });
        return;
      }
      const off = new AbortController();
      response.on('close', () => off.abort());
      try {
        response.json(await answer(address, off.signal));
      } catch (error) {
        if (!off.signal.aborted) throw error;
      }
    };
  router.post(
    '/check',
    about((address, off) => checkAddress(address, outward, pace, off), 'checked'),
  );
  const robots = new RobotsRules(outward, pace, ROBOTS_NAME);
  router.post(
    '/page',
    about((address, off) => readPage(address, outward, pace, robots, off), 'read'),
  );
  return router;
}

function withToken(token: string): RequestHandler {
  const wanted = Buffer.from(token);
  return ({ headers }, response, next) => {
    const shown = Buffer.from(String(headers[TOKEN_HEADER] ?? ''));
    if (shown.length === wanted.length && timingSafeEqual(shown, wanted)) next();
    else
      response.status(403).json({ problem: 'This page is not known to the server any more. Load it anew.' });
  };
}
