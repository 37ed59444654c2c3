import express, { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { TextEvent, TextRequest, TextWay } from '../../core/writing/index.ts';
import type { Outward } from '../fetch/outward.ts';
import { Refusal } from '../fetch/refusal.ts';
import { TokenStore } from '../host/token-store.ts';
import { ownPages } from '../own-pages.ts';
import { askChat, type ChatPatience, modelsOf, PATIENCE } from './chat-endpoint.ts';
import { endpointAddress } from './endpoint-address.ts';
import { readTextRequest, readTextWay } from './read-request.ts';
import { standIn } from './stand-in.ts';

/** What the routes to text are made with. */
export interface TextRoutesOptions {
  /** Folder in which keys lie. */
  folder: string;
  version: string;
  outward: Partial<Outward>;
  /** Milliseconds between two pieces of the stand-in. */
  pace?: number;
  patience?: ChatPatience;
}

/** As much as a draft with its study may be. */
const MAX_REQUEST = '6mb';
const PACE = 10;
/** Milliseconds for a list of models. */
const MODELS_WITHIN = 15_000;
/** Keys of fewer characters show none of them. */
const SHOWN_FROM = 12;
const LIMIT = {
  windowMs: 60_000,
  limit: 240,
  standardHeaders: 'draft-7',
  legacyHeaders: false,
  message: { problem: 'Too many requests for text within a minute. Wait a moment and try again.' },
} as const;

/** The endpoint by which a key is kept: the same however its address is written. */
const keyName = (base: string) => base.trim().replace(/\/+$/, '');

/** What a page may know of a key. */
const shownKey = (key: string | null) => ({
  isSet: key !== null,
  ends: key !== null && key.length >= SHOWN_FROM ? key.slice(-4) : '',
});

/**
 * The way of the application's pages to text: a request is answered with server-sent events, each a `TextEvent` as JSON. Keys are
 * put in and used here, and never told.
 */
export function textRoutes({
  folder,
  version,
  outward: given,
  pace = PACE,
  patience = PATIENCE,
}: TextRoutesOptions): Router {
  const keys = new TokenStore(folder);
  const outward: Outward = {
    allowed: [],
    agent: `DuneSparrow/${version}`,
    within: patience.silence,
    mostBytes: 5_000_000,
    ...given,
  };
  const router = Router();
  router.use(ownPages('Texts'), rateLimit(LIMIT), (_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    next();
  });
  const json = express.json({ limit: MAX_REQUEST });

  const eventsOf = (way: TextWay, request: TextRequest, signal: AbortSignal): AsyncIterable<TextEvent> =>
    way.kind === 'stand-in'
      ? standIn(pace).generate(request, { signal })
      : askChat(
          {
            base: way.base,
            model: way.model,
            key: keys.of(keyName(way.base)) ?? '',
            messages: request.messages,
            temperature: request.temperature,
            maxTokens: request.maxTokens,
          },
          outward,
          signal,
          patience,
        );

  router.post('/generate', json, async (request, response) => {
    const body = (request.body ?? {}) as { way?: unknown; request?: unknown };
    const way = readTextWay(body.way);
    const asked = readTextRequest(body.request);
    if (!way) {
      response.status(400).json({
        problem:
          'It is not known where the text comes from. Choose it in House rules; an endpoint needs its address.',
      });
      return;
    }
    if (!asked) {
      response.status(400).json({ problem: 'That is no request for text.' });
      return;
    }
    const stop = new AbortController();
    response.on('close', () => stop.abort());
    response.writeHead(200, {
      'content-type': 'text/event-stream; charset=utf-8',
      // Held back to be packed, the first piece would come with the last.
      'cache-control': 'no-cache, no-transform',
    });
    try {
      for await (const event of eventsOf(way, asked, stop.signal)) {
        if (stop.signal.aborted) break;
        response.write(`data: ${JSON.stringify(event)}\n\n`);
      }
    } catch {
      // A fault of ours: what has come stays, and the page is told that there is no more.
      if (!stop.signal.aborted)
        response.write(
          `data: ${JSON.stringify({ kind: 'end', finish: 'failed', model: '', problem: 'The text could not be made.', note: '', usage: null } satisfies TextEvent)}\n\n`,
        );
    }
    response.end();
  });

  router.get('/key', (request, response) => {
    const { base } = request.query;
    if (typeof base !== 'string') response.status(400).json({ problem: 'Say of which endpoint.' });
    else response.json(shownKey(keys.of(keyName(base))));
  });
  router.put('/key', json, (request, response) => {
    const { base, key } = (request.body ?? {}) as { base?: unknown; key?: unknown };
    if (typeof base !== 'string' || base.trim() === '' || typeof key !== 'string') {
      response.status(400).json({ problem: 'Say for which endpoint the key is.' });
      return;
    }
    // A header holds one line of plain characters.
    if (!/^[\x21-\x7e]{0,500}$/.test(key.trim())) {
      response.status(400).json({ problem: 'That is no key: it has blanks or characters that none has.' });
      return;
    }
    try {
      endpointAddress(base, 'models', outward.allowed);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      response.status(409).json({ problem: error.message });
      return;
    }
    keys.set(keyName(base), key.trim());
    response.json(shownKey(keys.of(keyName(base))));
  });
  router.post('/models', json, async (request, response) => {
    const way = readTextWay({ kind: 'endpoint', model: '', ...(request.body as object | undefined) });
    if (way?.kind !== 'endpoint') {
      response.status(400).json({ problem: 'Give the address of an endpoint first.' });
      return;
    }
    const off = new AbortController();
    response.on('close', () => off.abort());
    try {
      const signal = AbortSignal.any([off.signal, AbortSignal.timeout(MODELS_WITHIN)]);
      response.json({
        models: await modelsOf({ base: way.base, key: keys.of(keyName(way.base)) ?? '' }, outward, signal),
      });
    } catch (error) {
      if (off.signal.aborted) return;
      if (!(error instanceof Refusal)) throw error;
      response.status(502).json({ problem: error.message });
    }
  });
  return router;
}
