import type { IncomingMessage } from 'node:http';
import type { Readable } from 'node:stream';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { openAnswer } from './open-answer.ts';
import { asRefusal, type Outward } from './outward.ts';
import { Refusal } from './refusal.ts';

/** One answer, not followed. */
export interface Answer {
  status: number;
  headers: IncomingMessage['headers'];
  body: Buffer;
}

/** Sends one request and reads its answer, within the bounds. */
export async function askOnce(
  url: URL,
  method: 'GET' | 'HEAD' | 'POST',
  outward: Outward,
  signal: AbortSignal,
  {
    headOnly = false,
    accept = '*/*',
    headers: said = {},
    body,
  }: { headOnly?: boolean; accept?: string; headers?: Record<string, string>; body?: Buffer } = {},
): Promise<Answer> {
  const { mostBytes } = outward;
  const response = await openAnswer(url, method, outward, signal, {
    headers: { accept, 'accept-encoding': 'gzip, deflate, br', ...said },
    body,
  });
  return new Promise((done, fail) => {
    const { statusCode: status = 0, headers } = response;
    const failed = (error: Error) => {
      // Said first: what is destroyed says that it broke off.
      fail(signal.aborted ? asRefusal(signal.reason as Error, url) : error);
      response.destroy();
    };
    const brokeOff = () => failed(new Refusal('no-answer', `${url.host} broke off its answer.`));
    response.on('error', brokeOff);
    if (method === 'HEAD' || headOnly) {
      done({ status, headers, body: Buffer.alloc(0) });
      response.destroy();
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
    response.on('aborted', brokeOff);
    const content = unpacked(response, headers['content-encoding']);
    content.on('data', (part: Buffer) => {
      bytes += part.length;
      if (bytes > mostBytes) failed(tooLarge(url, mostBytes));
      else parts.push(part);
    });
    content.on('error', () =>
      failed(new Refusal('no-answer', `The answer of ${url.host} cannot be unpacked.`)),
    );
    content.on('end', () => done({ status, headers, body: Buffer.concat(parts) }));
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
