import { type IncomingMessage, request as requestHttp } from 'node:http';
import { request as requestHttps } from 'node:https';
import { asRefusal, checkedLookup, type Outward } from './outward.ts';

/**
 * Sends one request and answers once its head is here; what follows is read by whoever asked. Redirects are not followed; no
 * cookies, nothing that tells who the writer is but what `headers` say.
 */
export function openAnswer(
  url: URL,
  method: 'GET' | 'HEAD' | 'POST',
  { allowed, agent, resolve }: Pick<Outward, 'allowed' | 'agent' | 'resolve'>,
  signal: AbortSignal,
  { headers = {}, body }: { headers?: Record<string, string>; body?: string | Buffer } = {},
): Promise<IncomingMessage> {
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
        // Packed, pieces would wait for each other.
        'accept-encoding': 'identity',
        ...(body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }),
        ...headers,
      },
    });
    request.on('error', (error: NodeJS.ErrnoException) => fail(asRefusal(error, url)));
    request.on('response', done);
    request.end(body);
  });
}
