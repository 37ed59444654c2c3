import { goOut } from './go-out.ts';
import type { HostPace } from './host-pace.ts';
import type { Outward } from './outward.ts';
import { Refusal } from './refusal.ts';

/** How a link stands, as it crosses to the page. */
export interface AddressCheck {
  address: string;
  state: 'fine' | 'moved' | 'gone' | 'unsure';
  status: number | null;
  to: string | null;
  says: string;
}

/** Answers by which a host says that it does not know HEAD, or takes us for one who should not ask. */
const ASK_AGAIN = new Set([400, 401, 403, 404, 405, 406, 429, 500, 501, 503]);
const GONE = new Set([404, 410]);

/** Asks whether anything stands at an address; the head of a page alone, and only where that is refused its beginning. */
export async function checkAddress(
  address: string,
  outward: Outward,
  pace: HostPace,
  calledOff?: AbortSignal,
): Promise<AddressCheck> {
  try {
    let answer = await goOut(address, 'HEAD', outward, pace, { calledOff });
    if (ASK_AGAIN.has(answer.status))
      answer = await goOut(address, 'GET', outward, pace, { headOnly: true, calledOff });
    const { status, movedTo } = answer;
    if (GONE.has(status))
      return { address, state: 'gone', status, to: null, says: `There is no page (${status}).` };
    if (status >= 400)
      return {
        address,
        state: 'unsure',
        status,
        to: null,
        says: `It answers ${status}: it may well open in a browser. Look yourself.`,
      };
    return movedTo === null
      ? { address, state: 'fine', status, to: null, says: '' }
      : { address, state: 'moved', status, to: movedTo, says: `It has moved for good to ${movedTo}.` };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const state = error.kind === 'no-host' ? 'gone' : 'unsure';
    return { address, state, status: null, to: null, says: error.message };
  }
}
