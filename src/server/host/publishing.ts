import type { BlogSettings } from '../../core/blog/index.ts';
import type { BlogStore } from '../blog/blog-store.ts';
import type { Outward } from '../fetch/ask-once.ts';
import { type BlogHost, HostProblem } from './blog-host.ts';
import { MicropubClient } from './micropub-client.ts';
import type { Way } from './send-job.ts';
import { SendQueue } from './send-queue.ts';
import { TokenStore } from './token-store.ts';

/** The blog that stands beside the application. */
export interface StandIn {
  /** Without closing slash. */
  address: string;
  token: string;
  /** What the house decided of how it looks. */
  settings: () => BlogSettings;
  setSettings: (settings: BlogSettings) => void;
}

/** The blog beside the application, over its store. */
export const standInOf = (address: string, store: BlogStore): StandIn => ({
  address,
  token: store.ownToken(),
  settings: () => store.settings,
  setSettings: (settings) => {
    store.settings = settings;
  },
});

/** Everything by which posts get out. */
export interface Publishing {
  queue: SendQueue;
  tokens: TokenStore;
  hostOf: (way: Way) => BlogHost;
  /** Where a post stands now that was sent to an address. */
  addressNow: (way: Way, url: string) => string;
  standIn: () => StandIn | null;
}

/** Milliseconds within which a host must have taken what it is sent: some do their work first and answer then. */
const WITHIN = 30_000;
const MOST_BYTES = 20_000_000;

/** Opens what waits to be sent under a folder; `standIn` answers the blog beside, once it stands. */
export function openPublishing(
  folder: string,
  version: string,
  given: Partial<Outward>,
  standIn: () => StandIn | null,
  pauses?: readonly number[],
): Publishing {
  const outward: Outward = {
    allowed: [],
    agent: `DuneSparrow/${version} (a writer's own program, publishing)`,
    within: WITHIN,
    mostBytes: MOST_BYTES,
    ...given,
  };
  const tokens = new TokenStore(folder);
  const hostOf = (way: Way): BlogHost => {
    if (way.kind === 'stand-in') {
      const blog = standIn();
      if (!blog)
        throw new HostProblem('away', 'The blog beside the application does not stand. Start it anew.');
      const { hostname, port } = new URL(blog.address);
      // It is this server's own: no other private address is opened by it.
      const allowed = [...outward.allowed, { name: hostname, port: Number(port) || null }];
      return new MicropubClient(`${blog.address}/micropub`, blog.token, { ...outward, allowed }, true);
    }
    const token = tokens.of(way.endpoint);
    if (token === null)
      throw new HostProblem('refused', `There is no token for ${way.endpoint}. Set one in House rules.`);
    return new MicropubClient(way.endpoint, token, outward);
  };
  // The blog beside may stand at another port than when a post was sent to it.
  const addressNow = (way: Way, url: string): string => {
    const blog = way.kind === 'stand-in' && URL.canParse(url) ? standIn() : null;
    return blog ? `${blog.address}${new URL(url).pathname}` : url;
  };
  const queue = new SendQueue(folder, hostOf, Date.now, pauses, addressNow);
  return { queue, tokens, hostOf, addressNow, standIn };
}
