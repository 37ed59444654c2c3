import { decodeText } from '../../core/draft/index.ts';
import { allowedHosts } from './allowed-hosts.ts';
import { goOut } from './go-out.ts';
import { HostPace } from './host-pace.ts';
import type { Outward } from './outward.ts';
import { type PageAnswer, readPage } from './read-page.ts';
import { Refusal } from './refusal.ts';
import { RobotsRules } from './robots-rules.ts';

/** Milliseconds and bytes for one answer. */
const WITHIN = 10_000;
const MOST_BYTES = 20_000_000;
const ROBOTS_NAME = 'DuneSparrow';

/** Reads from the network by the rules of the server: public addresses alone, a host at its own pace, robots rules kept. */
export interface NetworkReader {
  page(address: string): Promise<PageAnswer>;
  /** The text of a file that is no page, a sitemap say; a sentence where it cannot be had. */
  file(address: string): Promise<{ text: string; problem: '' } | { text: null; problem: string }>;
}

/** A reader for whoever has no server beside it. `allowed` names hosts that are not public, as `ALLOW_HOSTS` does. */
export function networkReader(agent: string, allowed: string): NetworkReader {
  const outward: Outward = { allowed: allowedHosts(allowed), agent, within: WITHIN, mostBytes: MOST_BYTES };
  const pace = new HostPace();
  const robots = new RobotsRules(outward, pace, ROBOTS_NAME);
  return {
    page: (address) => readPage(address, outward, pace, robots),
    async file(address) {
      try {
        const { status, body } = await goOut(address, 'GET', outward, pace, {
          accept: 'application/xml,text/xml',
        });
        if (status >= 400) return { text: null, problem: `The host answers ${status}.` };
        return { text: decodeText(body).text, problem: '' };
      } catch (error) {
        if (error instanceof Refusal) return { text: null, problem: error.message };
        throw error;
      }
    },
  };
}
