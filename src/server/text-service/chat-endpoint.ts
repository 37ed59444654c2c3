import { setTimeout as wait } from 'node:timers/promises';
import type { Message, TextEvent } from '../../core/writing/index.ts';
import { openAnswer } from '../fetch/open-answer.ts';
import type { Outward } from '../fetch/outward.ts';
import { Refusal } from '../fetch/refusal.ts';
import { endpointAddress } from './endpoint-address.ts';
import { ended, readStream, readText, readWhole, refusalInWords } from './read-chat.ts';
import { Silence } from './silence.ts';

/** What an endpoint is asked. */
export interface ChatOrder {
  base: string;
  model: string;
  /** Empty: it wants none. */
  key: string;
  messages: readonly Message[];
  temperature: number;
  maxTokens: number;
}

/** How long an endpoint is waited for; a test makes them short. */
export interface ChatPatience {
  /** Milliseconds without a piece. */
  silence: number;
  /** Milliseconds before the second and the third try of an endpoint that cannot answer just now. */
  again: readonly number[];
  /** Seconds at most that it may ask to wait. */
  longestWait: number;
}

export const PATIENCE: ChatPatience = { silence: 60_000, again: [1000, 3000], longestWait: 60 };

/** Times that an endpoint may ask to wait for one answer. */
const MOST_WAITS = 3;

/**
 * Asks an endpoint of the chat-completions shape and tells its answer as it comes. Whatever happens, what has come stays and the last
 * event is the end; its sentence never holds the key.
 */
export async function* askChat(
  order: ChatOrder,
  outward: Outward,
  signal: AbortSignal,
  patience: ChatPatience = PATIENCE,
): AsyncGenerator<TextEvent> {
  const { base, model, key } = order;
  let host = '';
  let tries = 0;
  let waits = 0;
  try {
    const { url, allowed } = endpointAddress(base, 'chat/completions', outward.allowed);
    host = url.host;
    for (;;) {
      const silence = new Silence(patience.silence, signal);
      try {
        const response = await openAnswer(url, 'POST', { ...outward, allowed }, silence.signal, {
          headers: {
            'content-type': 'application/json',
            accept: 'text/event-stream, application/json',
            ...(key ? { authorization: `Bearer ${key}` } : {}),
          },
          body: JSON.stringify({
            model,
            messages: order.messages,
            temperature: order.temperature,
            max_tokens: order.maxTokens,
            stream: true,
          }),
        });
        const status = response.statusCode ?? 0;
        if (status === 429 && waits < MOST_WAITS) {
          const seconds = secondsToWait(response.headers['retry-after'], patience.longestWait, waits);
          response.destroy();
          if (seconds === null) {
            yield ended('failed', model, `${host} asks to come back in more than a minute. Ask again later.`);
            return;
          }
          waits += 1;
          yield { kind: 'wait', seconds, why: `${host} has had too many requests and asks to wait.` };
          silence.end();
          await wait(seconds * 1000, undefined, { signal });
          continue;
        }
        if (status >= 500 && tries < patience.again.length) {
          response.destroy();
          silence.end();
          await wait(patience.again[tries], undefined, { signal });
          tries += 1;
          continue;
        }
        if (status !== 200) {
          yield ended(
            'failed',
            model,
            await refusalInWords(response, status, { host, model, key }, tries + 1),
          );
          return;
        }
        const isStream = /text\/event-stream/i.test(response.headers['content-type'] ?? '');
        yield* isStream
          ? readStream(response, { host, model, heard: () => silence.heard(), signal: silence.signal })
          : readWhole(response, { host, model });
        return;
      } catch (error) {
        if (signal.aborted) throw error;
        if (silence.isOver)
          throw new Refusal(
            'no-answer',
            `${host} has sent nothing for ${Math.round(patience.silence / 1000)} seconds. What came until then is kept.`,
          );
        throw error;
      } finally {
        silence.end();
      }
    }
  } catch (error) {
    if (signal.aborted) yield ended('stopped', model);
    else if (error instanceof Refusal) yield ended('failed', model, error.message);
    else yield ended('failed', model, `${host || 'The endpoint'} did not answer as one of this shape does.`);
  }
}

/** Seconds of a `Retry-After` (a number, or an HTTP date), or a few more with each time where it says none; null: too many. */
export function secondsToWait(said: string | undefined, longest: number, times: number): number | null {
  if (said === undefined || said.trim() === '') return Math.min(longest, 2 ** (times + 1));
  const seconds = /^\d+$/.test(said.trim())
    ? Number(said)
    : Math.ceil((Date.parse(said) - Date.now()) / 1000);
  if (!Number.isFinite(seconds)) return Math.min(longest, 2 ** (times + 1));
  return seconds > longest ? null : Math.max(0, seconds);
}

const MAX_MODELS = 500;

/** The models of an endpoint by name. Throws {@link Refusal}. */
export async function modelsOf(
  { base, key }: Pick<ChatOrder, 'base' | 'key'>,
  outward: Outward,
  signal: AbortSignal,
): Promise<string[]> {
  const { url, allowed } = endpointAddress(base, 'models', outward.allowed);
  const response = await openAnswer(url, 'GET', { ...outward, allowed }, signal, {
    headers: { accept: 'application/json', ...(key ? { authorization: `Bearer ${key}` } : {}) },
  });
  const status = response.statusCode ?? 0;
  if (status !== 200)
    throw new Refusal(
      'no-answer',
      await refusalInWords(response, status, { host: url.host, model: '', key }, 1),
    );
  const text = await readText(response);
  try {
    const { data } = JSON.parse(text) as { data?: { id?: unknown }[] };
    return (data ?? [])
      .flatMap(({ id }) => (typeof id === 'string' ? [id] : []))
      .slice(0, MAX_MODELS)
      .sort();
  } catch {
    throw new Refusal('no-answer', `${url.host} did not answer with a list of models. Type the name of one.`);
  }
}
