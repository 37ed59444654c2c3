import { isIP } from 'node:net';
import type { RequestHandler } from 'express';

const OWN = new Set(['localhost', '127.0.0.1', '[::1]']);

/** The name in a `Host` header, without its port and in lower case. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Bound to these, the server is heard under every address of the machine. */
const EVERYWHERE = ['0.0.0.0', '::', '[::]'];

/**
 * Answers only requests that are meant for this server: by `localhost`, by an address that it is bound to, or by a name
 * that was allowed; `allowed` holds all of these. A page elsewhere can give its own name the address of this machine,
 * and would be answered otherwise; it gets 421 (RFC 9110, Misdirected Request).
 */
export function hostCheck(allowed: readonly string[]): RequestHandler {
  const names = new Set([...OWN, ...allowed.map((name) => name.toLowerCase())]);
  const isEverywhere = EVERYWHERE.some((address) => names.has(address));
  return ({ headers }, response, next) => {
    const name = nameOf(headers.host ?? '');
    const address = name.replace(/^\[|\]$/g, '');
    if (names.has(name) || names.has(address) || (isEverywhere && isIP(address) !== 0)) next();
    else
      response
        .status(421)
        .type('text')
        .send('This server does not answer to that name. Start it with HOST_NAMES set to the name.');
  };
}
