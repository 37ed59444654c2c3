import { STAND_IN } from '../../core/site/index.ts';
import { type Message, RECIPES, type TextRequest, type TextWay } from '../../core/writing/index.ts';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const ROLES: ReadonlySet<unknown> = new Set(['system', 'user', 'assistant']);
/** Messages of one request: the request, and what was asked again. */
const MAX_MESSAGES = 20;
const MAX_NAME = 200;
const MAX_ADDRESS = 2000;

/** Where text comes from, as a page names it; null where it is none. */
export function readTextWay(given: unknown): TextWay | null {
  if (!isRecord(given)) return null;
  if (given['kind'] === 'stand-in') return STAND_IN;
  const { base, model } = given;
  if (given['kind'] !== 'endpoint' || typeof base !== 'string' || typeof model !== 'string') return null;
  if (base.trim() === '' || base.length > MAX_ADDRESS || model.length > MAX_NAME) return null;
  return { kind: 'endpoint', base: base.trim(), model: model.trim() };
}

/** A request as a page gives it; null where it is none. What the stand-in composes from is its own page's and taken as it is. */
export function readTextRequest(given: unknown): TextRequest | null {
  if (!isRecord(given) || !Array.isArray(given['messages']) || !isRecord(given['compose'])) return null;
  const { temperature, maxTokens, compose, messages } = given;
  if (typeof temperature !== 'number' || !(temperature >= 0 && temperature <= 2)) return null;
  if (!Number.isInteger(maxTokens) || (maxTokens as number) < 1 || (maxTokens as number) > 100_000)
    return null;
  if (messages.length === 0 || messages.length > MAX_MESSAGES) return null;
  const read = messages.map((message): Message | null =>
    isRecord(message) && ROLES.has(message['role']) && typeof message['content'] === 'string'
      ? { role: message['role'] as Message['role'], content: message['content'] }
      : null,
  );
  if (read.includes(null)) return null;
  const { recipe, known, values, before } = compose as Record<string, unknown>;
  if (!RECIPES.some((one) => one === recipe)) return null;
  if (!isRecord(known) || !Array.isArray(values) || !Array.isArray(before)) return null;
  return {
    messages: read as Message[],
    temperature,
    maxTokens: maxTokens as number,
    compose: compose as unknown as TextRequest['compose'],
  };
}
