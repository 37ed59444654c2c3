import { setTimeout as wait } from 'node:timers/promises';
import { type Answer, askOnce } from './ask-once.ts';
import type { HostPace } from './host-pace.ts';
import { checkedUrl, type Outward } from './outward.ts';
import { Refusal } from './refusal.ts';

/** Redirects that are followed. */
const MOST_REDIRECTS = 5;
const MOVED_FOR_GOOD = new Set([301, 308]);
const MOVED = new Set([301, 302, 303, 307, 308]);

/** Longest that a request waits for its turn with a busy host, in milliseconds. */
const LONGEST_WAIT = 120_000;

/** Says whether a host lets programs read a page. */
interface PageRules {
  allow(url: URL, calledOff?: AbortSignal): Promise<boolean>;
}

/** An answer with the way to it. */
export interface Followed extends Answer {
  /** The address that answered in the end. */
  address: string;
  /** Where the address that was asked for has moved to for good; null: nowhere, or not for good. */
  movedTo: string | null;
}

/**
 * Asks for an address and follows its redirects, each of them checked anew. Pages are asked for only where the host's robots
 * rules let us (`robots`). Throws {@link Refusal}.
 */
export async function goOut(
  address: string,
  method: 'GET' | 'HEAD',
  outward: Outward,
  pace: HostPace,
  {
    robots = null,
    headOnly = false,
    accept,
    calledOff,
  }: { robots?: PageRules | null; headOnly?: boolean; accept?: string; calledOff?: AbortSignal } = {},
): Promise<Followed> {
  let url = checkedUrl(address, outward.allowed);
  let movedTo: string | null = null;
  let forGood = true;
  let left = outward.within;
  for (let hop = 0; hop <= MOST_REDIRECTS; hop++) {
    if (robots && !(await robots.allow(url, calledOff)))
      throw new Refusal('not-allowed', `${url.host} asks programs not to read this page (robots.txt).`);
    await turnWith(url, pace, calledOff);
    const began = Date.now();
    // What a host takes is counted, what we wait for its turn is not.
    const time = AbortSignal.timeout(Math.max(1, left));
    const signal = calledOff ? AbortSignal.any([time, calledOff]) : time;
    const answer = await askOnce(url, method, outward, signal, { headOnly, accept });
    left -= Date.now() - began;
    const { location } = answer.headers;
    if (!MOVED.has(answer.status) || !location) return { ...answer, address: url.href, movedTo };
    let next: URL;
    try {
      next = new URL(location, url);
    } catch {
      throw new Refusal('no-answer', `${url.host} leads on to an address that is none.`);
    }
    if (forGood && MOVED_FOR_GOOD.has(answer.status)) movedTo = next.href;
    else forGood = false;
    url = checkedUrl(next.href, outward.allowed);
  }
  throw new Refusal('no-answer', `${url.host} leads on more than ${MOST_REDIRECTS} times.`);
}

async function turnWith(url: URL, pace: HostPace, calledOff: AbortSignal | undefined): Promise<void> {
  const turn = pace.turn(url.host);
  if (turn > LONGEST_WAIT)
    throw new Refusal('no-answer', `Too much was asked of ${url.host} at once. Wait a moment.`);
  if (turn > 0) await wait(turn, undefined, { signal: calledOff });
}
