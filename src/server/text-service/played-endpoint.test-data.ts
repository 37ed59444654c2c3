import { createServer, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** An endpoint of the chat-completions shape on this machine. Its models play what can go wrong. */
export interface PlayedEndpoint {
  base: string;
  /** Bodies that it was asked with, and the keys. */
  asked: { model: string; key: string; body: Record<string, unknown> }[];
  /** Requests that were broken off by whoever asked. */
  brokenOff: number;
  /** Milliseconds between two pieces; may be changed while one is told. */
  pace: number;
  /** What the good models answer next. */
  text: string;
  close(): Promise<void>;
}

export const PLAYED_KEY = 'sk-played-0123456789-secret-end4';

/** Sentences that its good model answers, a word a piece. */
export const PLAYED_TEXT =
  'Begin with the list and not with the bags. Lay out everything that you mean to take.\n\nThen take a third of it away again. What is left fits into two bags at the back.';

const chunk = (content: string, finish: string | null = null) =>
  `data: ${JSON.stringify({ id: 'x', model: 'played-1', choices: [{ index: 0, delta: content === '' ? {} : { content }, finish_reason: finish }] })}\n\n`;

const sleep = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Starts one. `pace`: milliseconds between two pieces; `text`: what the good models answer. */
export async function playEndpoint({
  pace = 0,
  text = PLAYED_TEXT,
  port = 0,
}: {
  pace?: number;
  text?: string;
  port?: number;
} = {}): Promise<PlayedEndpoint> {
  const asked: PlayedEndpoint['asked'] = [];
  const state = { times: new Map<string, number>(), brokenOff: 0, pace, text };
  const piecesOf = (some: string) => some.match(/\s*\S+/g) ?? [];
  const open = (response: ServerResponse) => response.writeHead(200, { 'content-type': 'text/event-stream' });
  const refuse = (
    response: ServerResponse,
    status: number,
    message: string,
    headers: Record<string, string> = {},
  ) =>
    response
      .writeHead(status, { 'content-type': 'application/json', ...headers })
      .end(JSON.stringify({ error: { message } }));
  const tell = async (response: ServerResponse, some: readonly string[] = piecesOf(state.text)) => {
    open(response);
    for (const piece of some) {
      if (response.destroyed) return;
      response.write(chunk(piece));
      if (state.pace > 0) await sleep(state.pace);
    }
    response.write(chunk('', 'stop'));
    response.write(
      `data: ${JSON.stringify({ choices: [], usage: { prompt_tokens: 7, completion_tokens: 9 } })}\n\n`,
    );
    response.end('data: [DONE]\n\n');
  };
  const answer = async (model: string, key: string, response: ServerResponse): Promise<void> => {
    const times = (state.times.get(model) ?? 0) + 1;
    state.times.set(model, times);
    const pieces = piecesOf(state.text);
    const [first = ''] = pieces;
    switch (model) {
      case 'unknown-key':
        return void refuse(response, 401, `Incorrect key provided: ${key}.`);
      case 'forbidden':
        return void refuse(response, 403, 'Not for you.');
      case 'no-such-model':
        return void refuse(response, 404, 'The model does not exist.');
      case 'busy-once':
        if (times === 1) return void refuse(response, 429, 'Too many.', { 'retry-after': '1' });
        return tell(response);
      case 'busy-long':
        return void refuse(response, 429, 'Too many.', { 'retry-after': '600' });
      case 'busy-wait':
        return void refuse(response, 429, 'Too many.', { 'retry-after': '30' });
      case 'ill-twice':
        if (times < 3) return void refuse(response, 503, 'Resting.');
        return tell(response);
      case 'ill':
        return void refuse(response, 500, 'It hurts.');
      case 'stalls':
        open(response);
        response.write(chunk(first));
        return;
      case 'mute':
        return;
      case 'cuts':
        open(response);
        for (const piece of pieces.slice(0, 5)) response.write(chunk(piece));
        await sleep(30);
        response.destroy();
        return;
      case 'ends-early':
        open(response);
        for (const piece of pieces.slice(0, 5)) response.write(chunk(piece));
        response.end();
        return;
      case 'malformed':
        open(response);
        response.write(chunk(first));
        response.write('data: {"choices": [{"delta": {"cont\n\n');
        response.write('data: 7\n\n');
        response.write(chunk(pieces[1] ?? ''));
        response.write(chunk('', 'stop'));
        response.end('data: [DONE]\n\n');
        return;
      case 'whole':
        response.writeHead(200, { 'content-type': 'application/json' }).end(
          JSON.stringify({
            model: 'played-1',
            choices: [{ message: { role: 'assistant', content: state.text }, finish_reason: 'stop' }],
          }),
        );
        return;
      case 'page':
        response.writeHead(200, { 'content-type': 'text/html' }).end('<h1>Welcome</h1>');
        return;
      case 'empty':
        return tell(response, []);
      case 'huge':
        return tell(
          response,
          Array.from({ length: 300 }, () => 'word '.repeat(200)),
        );
      case 'short-of-room':
        open(response);
        for (const piece of pieces.slice(0, 5)) response.write(chunk(piece));
        response.write(chunk('', 'length'));
        response.end('data: [DONE]\n\n');
        return;
      case 'says-error':
        open(response);
        response.write(chunk(first));
        response.end(`data: ${JSON.stringify({ error: { message: 'The model fell over.' } })}\n\n`);
        return;
      case 'moved':
        response.writeHead(307, { location: 'http://169.254.1.1/' }).end();
        return;
      default:
        return tell(response);
    }
  };
  const server = createServer((request, response) => {
    const key = (request.headers.authorization ?? '').replace(/^Bearer /, '');
    if (request.url === '/v1/models') {
      if (key !== PLAYED_KEY) return void refuse(response, 401, `Incorrect key provided: ${key}.`);
      response
        .writeHead(200, { 'content-type': 'application/json' })
        .end(JSON.stringify({ data: [{ id: 'good' }, { id: 'another' }, { id: 3 }] }));
      return;
    }
    response.on('close', () => {
      if (!response.writableEnded) state.brokenOff += 1;
    });
    const parts: Buffer[] = [];
    request.on('data', (part: Buffer) => parts.push(part));
    request.on('end', () => {
      const body = JSON.parse(Buffer.concat(parts).toString('utf8')) as { model: string };
      asked.push({ model: body.model, key, body });
      void answer(body.model, key, response);
    });
  });
  await new Promise<void>((done) => server.listen(port, '127.0.0.1', done));
  const { port: heard } = server.address() as AddressInfo;
  return {
    base: `http://127.0.0.1:${heard}/v1`,
    asked,
    get brokenOff() {
      return state.brokenOff;
    },
    get pace() {
      return state.pace;
    },
    set pace(milliseconds) {
      state.pace = milliseconds;
    },
    get text() {
      return state.text;
    },
    set text(next) {
      state.text = next;
    },
    close: () =>
      new Promise((done) => {
        server.closeAllConnections();
        server.close(() => done());
      }),
  };
}
