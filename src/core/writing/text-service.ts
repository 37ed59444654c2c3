import type { TextRequest } from './patterns/index.ts';

/** How a generation ended. `length`: the answer was as long as it may be; `failed`: the sentence beside it says why. */
export type Finish = 'done' | 'length' | 'stopped' | 'failed';

/** What is said while text comes. */
export type TextEvent =
  | { kind: 'piece'; text: string }
  /** The service asked to wait. */
  | { kind: 'wait'; seconds: number; why: string }
  | ({ kind: 'end' } & TextEnd);

/** The end of a generation. */
export interface TextEnd {
  finish: Finish;
  /** The model that answered; empty: it was made without one. */
  model: string;
  /** Why it failed or what is not as it should be, in a sentence; empty: nothing. */
  problem: string;
  /** What a stand-in says of what it made; empty: nothing. */
  note: string;
  /** Tokens, where the service counts them. */
  usage: { prompt: number; answer: number } | null;
}

/** Where text comes from, as its house chose. */
export interface TextWay {
  kind: 'stand-in' | 'endpoint';
  /** Of the endpoint, kept while the stand-in is chosen: its address up to `/chat/completions`, and the model. */
  base: string;
  model: string;
}

/** Makes text of a request, piece by piece; the last event is its end, however it ends. Ends early by the signal. */
export interface TextService {
  generate(request: TextRequest, options: { signal: AbortSignal }): AsyncIterable<TextEvent>;
}

/** Bytes of an answer; more is no answer to what was asked. */
export const MAX_TEXT_BYTES = 200_000;
