import { type LookupAddress, lookup } from 'node:dns';
import { type IncomingMessage, request as requestHttp } from 'node:http';
import { request as requestHttps } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import type { Readable } from 'node:stream';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { type AllowedHost, allowanceFor } from './allowed-hosts.ts';
import { isPublicAddress } from './public-address.ts';
import { Refusal } from './refusal.ts';

/** Finds the addresses of a name; that of the machine unless a test plays one. */
export type Resolve = (
  name: string,
  done: (error: NodeJS.ErrnoException | null, addresses: LookupAddress[]) => void,
) => void;

const resolveName: Resolve = (name, done) => lookup(name, { all: true, verbatim: true }, done);

/** How the server goes out. */
export interface Outward {
  allowed: readonly AllowedHost[];
  /** Who it says it is. */
  agent: string;
  resolve?: Resolve;
  /** Milliseconds for an answer with all its redirects. */
  within: number;
  /** Bytes of an answer, also once they are unpacked. */
  mostBytes: number;
}

/** One answer, not followed. */
export interface Answer {
  status: number;
  headers: IncomingMessage['headers'];
  body: Buffer;
}

/** Refuses addresses that nobody may ask for, before anything is sent. */
export function checkedUrl(address: string, allowed: readonly AllowedHost[]): URL {
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    throw new Refusal('not-allowed', `"${address.slice(0, 200)}" is no address.`);
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new Refusal('not-allowed', 'Only http and https addresses are asked for.');
  if (url.username || url.password)
    throw new Refusal('not-allowed', 'An address with a name or a password in it is not asked for.');
  const allowance = allowanceFor(url, allowed);
  if (allowance === null)
    throw new Refusal('not-allowed', `${url.host} is not asked: only the ports 80 and 443 are.`);
  const literal = url.hostname.replace(/^\[|\]$/g, '');
  if (allowance === 'public' && isIP(literal) !== 0 && !isPublicAddress(literal)) throw notPublic(url);
  return url;
}

const notPublic = (url: URL): Refusal =>
  new Refusal(
    'not-allowed',
    `${url.hostname} is not on the public internet. Whoever starts the server can allow it with ALLOW_HOSTS.`,
  );

/**
 * The look-up that a connection uses: what is connected to is the very address that was checked, so that a name which changes
 * its address in between gains nothing. A name with one address that is not public is refused whole.
 */
export function checkedLookup(
  url: URL,
  allowed: readonly AllowedHost[],
  resolve: Resolve = resolveName,
): LookupFunction {
  return (name, options, done) => {
    resolve(name, (error, found) => {
      if (error || found.length === 0) {
        done(new Refusal('no-host', `There is no host named ${name}.`) as NodeJS.ErrnoException, '', 4);
        return;
      }
      if (allowanceFor(url, allowed) !== 'any' && !found.every(({ address }) => isPublicAddress(address))) {
        done(notPublic(url) as unknown as NodeJS.ErrnoException, '', 4);
        return;
      }
      if (options.all) done(null, found);
      else done(null, found[0].address, found[0].family);
    });
  };
}

/**
 * Sends one request and reads its answer, within the bounds; no cookies, nothing that tells who the writer is but what
 * `headers` say.
 */
export function askOnce(
  url: URL,
  method: 'GET' | 'HEAD' | 'POST',
  { allowed, agent, resolve = resolveName, mostBytes }: Outward,
  signal: AbortSignal,
  {
    headOnly = false,
    accept = '*/*',
    headers: said = {},
    body: sent,
  }: { headOnly?: boolean; accept?: string; headers?: Record<string, string>; body?: Buffer } = {},
): Promise<Answer> {
  return new Promise((done, fail) => {
    const send = url.protocol === 'https:' ? requestHttps : requestHttp;
    const request = send(url, {
      method,
      agent: false,
      signal,
      lookup: checkedLookup(url, allowed, resolve),
      maxHeaderSize: 64 * 1024,
      headers: {
        'user-agent': agent,
        accept,
        'accept-encoding': 'gzip, deflate, br',
        ...(sent ? { 'content-length': String(sent.length) } : {}),
        ...said,
      },
    });
    const failed = (error: Error) => {
      request.destroy();
      fail(error);
    };
    request.on('error', (error: NodeJS.ErrnoException) => failed(asRefusal(error, url)));
    request.on('response', (response) => {
      const { statusCode: status = 0, headers } = response;
      if (method === 'HEAD' || headOnly) {
        done({ status, headers, body: Buffer.alloc(0) });
        request.destroy();
        return;
      }
      if (Number(headers['content-length']) > mostBytes) {
        failed(tooLarge(url, mostBytes));
        return;
      }
      const parts: Buffer[] = [];
      let bytes = 0;
      let packed = 0;
      response.on('data', (part: Buffer) => {
        packed += part.length;
        if (packed > mostBytes) failed(tooLarge(url, mostBytes));
      });
      response.on('error', (error: NodeJS.ErrnoException) => failed(asRefusal(error, url)));
      response.on('aborted', () => failed(new Refusal('no-answer', `${url.host} broke off its answer.`)));
      const body = unpacked(response, headers['content-encoding']);
      body.on('data', (part: Buffer) => {
        bytes += part.length;
        if (bytes > mostBytes) failed(tooLarge(url, mostBytes));
        else parts.push(part);
      });
      body.on('error', () =>
        failed(new Refusal('no-answer', `The answer of ${url.host} cannot be unpacked.`)),
      );
      body.on('end', () => done({ status, headers, body: Buffer.concat(parts) }));
    });
    request.end(sent);
  });
}

function unpacked(response: IncomingMessage, encoding: string | undefined): Readable {
  switch (encoding?.trim().toLowerCase()) {
    case 'gzip':
    case 'x-gzip':
      return response.pipe(createGunzip());
    case 'deflate':
      return response.pipe(createInflate());
    case 'br':
      return response.pipe(createBrotliDecompress());
    default:
      return response;
  }
}

const tooLarge = (url: URL, most: number): Refusal =>
  new Refusal('too-large', `What lies at ${url.host} is larger than ${Math.round(most / 1_000_000)} MB.`);

/** What went wrong on the way, as a sentence. */
export function asRefusal(error: NodeJS.ErrnoException, url: URL): Error {
  if (error instanceof Refusal) return error;
  if (error.name === 'AbortError' || error.code === 'ABORT_ERR')
    return new Refusal('no-answer', `${url.host} did not answer in time.`);
  if (error.code === 'ECONNREFUSED') return new Refusal('no-answer', `${url.host} takes no connection.`);
  if (/CERT|SSL|TLS|SELF_SIGNED|ALTNAME|VERIFY/.test(error.code ?? ''))
    return new Refusal('no-answer', `The certificate of ${url.host} is not valid.`);
  return new Refusal('no-answer', `${url.host} did not answer as a web server does.`);
}
