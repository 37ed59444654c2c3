import { isIP } from 'node:net';
import type { RequestHandler } from 'express';

const OWN = new Set(['localhost', '127.0.0.1', '[::1]']);

/** The name in a `Host` header, without its port and in lower case. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Answers only requests that are meant for this server: by a name of this machine, an address in figures, or a name that
 * was allowed. A page elsewhere can give its own name the address of this machine, and would be answered otherwise; it
 * gets 421 (RFC 9110, Misdirected Request).
 */
export function hostCheck(allowed: readonly string[]): RequestHandler {
  const names = new Set([...OWN, ...allowed.map((name) => name.toLowerCase())]);
  return ({ headers }, response, next) => {
    const name = nameOf(headers.host ?? '');
    if (names.has(name) || isIP(name.replace(/^\[|\]$/g, '')) !== 0) next();
    else
      response
        .status(421)
        .type('text')
        .send('This server does not answer to that name. Start it with ALLOWED_HOSTS set to the name.');
  };
}
