import type { IncomingMessage } from 'node:http';
import { createParser } from 'eventsource-parser';
import { MAX_TEXT_BYTES, type TextEnd, type TextEvent } from '../../core/writing/index.ts';

/** Bytes that are read of an answer that is no text: a fault in words, a list of models. */
const MAX_PLAIN_BYTES = 1_000_000;
/** Characters of an endpoint's own words that are told. */
const MOST_TOLD = 300;

export const ended = (
  finish: TextEnd['finish'],
  model: string,
  problem = '',
  usage: TextEnd['usage'] = null,
): TextEvent => ({ kind: 'end', finish, model, problem, note: '', usage });

/** A part of a stream, or all of an answer. */
interface Chunk {
  model?: unknown;
  choices?: {
    delta?: { content?: unknown };
    message?: { content?: unknown };
    finish_reason?: unknown;
  }[];
  usage?: { prompt_tokens?: unknown; completion_tokens?: unknown } | null;
  error?: { message?: unknown } | string;
}

const usageOf = ({ usage }: Chunk): TextEnd['usage'] =>
  typeof usage?.prompt_tokens === 'number' && typeof usage.completion_tokens === 'number'
    ? { prompt: usage.prompt_tokens, answer: usage.completion_tokens }
    : null;

const errorOf = ({ error }: Chunk): string => {
  const said = typeof error === 'string' ? error : error?.message;
  return typeof said === 'string' ? said.slice(0, MOST_TOLD) : '';
};

const asText = (content: unknown): string => (typeof content === 'string' ? content : '');

/** Reads server-sent events with pieces of text; the last event told is the end, with what came before it in any case. */
export async function* readStream(
  response: IncomingMessage,
  {
    host,
    model: asked,
    heard,
    signal,
  }: { host: string; model: string; heard: () => void; signal: AbortSignal },
): AsyncGenerator<TextEvent> {
  const waiting: Chunk[] = [];
  let malformed = 0;
  let isDone = false;
  const parser = createParser({
    onEvent: ({ data }) => {
      if (data.trim() === '[DONE]') {
        isDone = true;
        return;
      }
      try {
        const chunk: unknown = JSON.parse(data);
        if (typeof chunk === 'object' && chunk !== null) waiting.push(chunk as Chunk);
        else malformed += 1;
      } catch {
        malformed += 1;
      }
    },
    onError: () => {
      malformed += 1;
    },
  });
  let bytes = 0;
  let model = asked;
  let finish = '';
  let usage: TextEnd['usage'] = null;
  let isCut = false;
  const decoder = new TextDecoder();
  const chunks = response[Symbol.asyncIterator]() as AsyncIterator<Buffer>;
  for (;;) {
    let next: IteratorResult<Buffer>;
    try {
      next = await chunks.next();
    } catch (error) {
      // Ended by whoever asked, or by silence: they say so.
      if (signal.aborted) throw error;
      isCut = true;
      break;
    }
    if (next.done) break;
    heard();
    parser.feed(decoder.decode(next.value, { stream: true }));
    for (const chunk of waiting.splice(0)) {
      const said = errorOf(chunk);
      if (said) {
        response.destroy();
        yield ended('failed', model, `${host} broke off: ${said}`, usage);
        return;
      }
      if (typeof chunk.model === 'string' && chunk.model) ({ model } = chunk as { model: string });
      usage = usageOf(chunk) ?? usage;
      const [choice] = chunk.choices ?? [];
      const text = asText(choice?.delta?.content ?? choice?.message?.content);
      if (typeof choice?.finish_reason === 'string') finish = choice.finish_reason;
      if (text === '') continue;
      bytes += Buffer.byteLength(text);
      if (bytes > MAX_TEXT_BYTES) {
        response.destroy();
        yield ended(
          'length',
          model,
          `The answer is longer than ${MAX_TEXT_BYTES / 1000} kB: the rest was not taken.`,
          usage,
        );
        return;
      }
      yield { kind: 'piece', text };
    }
    if (isDone) break;
  }
  response.destroy();
  const gaps =
    malformed > 0
      ? `${malformed} ${malformed === 1 ? 'part' : 'parts'} of the answer could not be read: look for a gap.`
      : '';
  if (!isDone && finish === '')
    yield ended(
      'failed',
      model,
      bytes === 0 && !isCut
        ? `${host} answered with nothing.`
        : `${host} broke off before the end. What came until then is kept.`,
      usage,
    );
  else if (bytes === 0) yield ended('failed', model, gaps || `${host} answered with nothing.`, usage);
  else if (finish === 'length')
    yield ended(
      'length',
      model,
      ['The answer was as long as it may be; go on from where it stops.', gaps].filter(Boolean).join(' '),
      usage,
    );
  else yield ended('done', model, gaps, usage);
}

/** Reads an answer that came whole although pieces were asked for. */
export async function* readWhole(
  response: IncomingMessage,
  { host, model: asked }: { host: string; model: string },
): AsyncGenerator<TextEvent> {
  const text = await readText(response);
  let chunk: Chunk;
  try {
    chunk = JSON.parse(text) as Chunk;
  } catch {
    yield ended(
      'failed',
      asked,
      `${host} did not answer as an endpoint of this shape does. Look at its address.`,
    );
    return;
  }
  const said = errorOf(chunk);
  const [choice] = chunk.choices ?? [];
  const model = asText(chunk.model) || asked;
  const content = asText(choice?.message?.content ?? choice?.delta?.content);
  if (said || content.trim() === '') {
    yield ended(
      'failed',
      model,
      said ? `${host} refused: ${said}` : `${host} answered with nothing.`,
      usageOf(chunk),
    );
    return;
  }
  const whole = Buffer.from(content);
  const isLong = whole.length > MAX_TEXT_BYTES;
  yield {
    kind: 'piece',
    text: isLong
      ? whole
          .subarray(0, MAX_TEXT_BYTES)
          .toString('utf8')
          .replace(/\uFFFD+$/, '')
      : content,
  };
  yield ended(
    isLong || choice?.finish_reason === 'length' ? 'length' : 'done',
    model,
    isLong ? `The answer is longer than ${MAX_TEXT_BYTES / 1000} kB: the rest was not taken.` : '',
    usageOf(chunk),
  );
}

/** The text of an answer, as much of it as is worth reading. */
export async function readText(response: IncomingMessage): Promise<string> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of response as AsyncIterable<Buffer>) {
    parts.push(part);
    bytes += part.length;
    if (bytes > MAX_PLAIN_BYTES) {
      response.destroy();
      break;
    }
  }
  return Buffer.concat(parts).toString('utf8');
}

/** What a refusal means and what to do, in words; the endpoint's own words follow, without the key should it repeat that. */
export async function refusalInWords(
  response: IncomingMessage,
  status: number,
  { host, model, key }: { host: string; model: string; key: string },
  tries: number,
): Promise<string> {
  let own = '';
  try {
    const text = await readText(response);
    own = errorOf(JSON.parse(text) as Chunk);
  } catch {
    // It says nothing that can be told.
  }
  if (key !== '') own = own.split(key).join('…');
  const told = own ? ` It says: "${own.replace(/\s+/g, ' ').trim()}"` : '';
  if (status === 401) return `${host} does not know the key (401). Set the key again in House rules.${told}`;
  if (status === 403) return `${host} does not let this key do that (403).${told}`;
  if (status === 404)
    return `${host} has no model "${model}", or nothing at this address (404). Choose a model in House rules.${told}`;
  if (status === 429) return `${host} has had too many requests (429). Ask again later.${told}`;
  if (status >= 500)
    return `${host} could not answer (${status})${tries > 1 ? `, asked ${tries} times` : ''}. Ask again later.${told}`;
  if (status >= 300 && status < 400)
    return `${host} leads elsewhere (${status}): give the address where it answers itself.`;
  return `${host} refused (${status}).${told}`;
}
