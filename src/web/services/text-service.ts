import { EventSourceParserStream } from 'eventsource-parser/stream';
import type { TextEvent, TextService, TextWay } from '../../core/writing/index.ts';

/** Text could not be asked for, or the server said no; the message is a sentence. */
export class TextProblem extends Error {}

const AWAY = 'No text can be made: the server of Dune Sparrow is not running. Start it, and ask again.';

const failed = (problem: string, finish: 'failed' | 'stopped' = 'failed'): TextEvent => ({
  kind: 'end',
  finish,
  model: '',
  problem,
  note: '',
  usage: null,
});

/** The text service of a way, as the server of this page asks it. Every generation ends with its end, whatever happens. */
export const textService = (way: TextWay): TextService => ({
  async *generate(request, { signal }): AsyncGenerator<TextEvent> {
    let isEnded = false;
    try {
      const response = await fetch('/text/generate', {
        method: 'POST',
        cache: 'no-store',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ way, request }),
        signal,
      });
      if (!response.ok || !response.body) {
        const said = ((await response.json().catch(() => null)) as { problem?: unknown } | null)?.problem;
        yield failed(
          typeof said === 'string' ? said : `The server could not make a text (${response.status}).`,
        );
        return;
      }
      const reader = response.body
        .pipeThrough(new TextDecoderStream() as unknown as ReadableWritablePair<string, Uint8Array>)
        .pipeThrough(new EventSourceParserStream())
        .getReader();
      for (;;) {
        const { done, value } = await reader.read();
        if (done) break;
        const event = JSON.parse(value.data) as TextEvent;
        isEnded = event.kind === 'end';
        yield event;
        if (isEnded) return;
      }
      yield failed('The server broke off before the end. What came until then is kept.');
    } catch {
      if (isEnded) return;
      yield signal.aborted ? failed('', 'stopped') : failed(AWAY);
    }
  },
});

async function ask<Answer>(path: string, method: string, body?: unknown): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(`/text/${path}`, {
      method,
      cache: 'no-store',
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    throw new TextProblem(AWAY);
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok && answer !== null) return answer as Answer;
  const said = (answer as { problem?: unknown } | null)?.problem;
  throw new TextProblem(typeof said === 'string' ? said : AWAY);
}

/** What a page may know of a key. */
export interface ShownKey {
  isSet: boolean;
  /** Its last four characters; empty where it is too short to show any. */
  ends: string;
}

/** Whether an endpoint has a key. */
export const keyOf = (base: string): Promise<ShownKey> => ask(`key?base=${encodeURIComponent(base)}`, 'GET');

/** Gives the server the key of an endpoint; an empty one takes it away. It is never told again. */
export const setKey = (base: string, key: string): Promise<ShownKey> => ask('key', 'PUT', { base, key });

/** The models of an endpoint by name. */
export const modelsOf = async (base: string): Promise<string[]> =>
  (await ask<{ models: string[] }>('models', 'POST', { base })).models;
