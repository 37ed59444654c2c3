import type { BlogSettings } from '../../core/blog/index.ts';
import { decodeText, UnreadableFile } from '../../core/draft/index.ts';
import type { BlogStore } from '../blog/blog-store.ts';
import { goOut } from '../fetch/go-out.ts';
import { HostPace } from '../fetch/host-pace.ts';
import type { Outward } from '../fetch/outward.ts';
import { Refusal } from '../fetch/refusal.ts';
import { type BlogHost, HostProblem } from './blog-host.ts';
import type { ContentFolder } from './content-folder.ts';
import { FolderHost } from './folder-host.ts';
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
  /** Keeps a picture; answers its path, null where it is none. */
  putPicture: (bytes: Uint8Array, name: string) => string | null;
}

/** The blog beside the application, over its store. */
export const standInOf = (address: string, store: BlogStore): StandIn => ({
  address,
  token: store.ownToken(),
  settings: () => store.settings,
  setSettings: (settings) => {
    store.settings = settings;
  },
  putPicture: (bytes, name) => store.putPicture(bytes, name),
});

/** The blog beside is this server's own: no other private address is opened by asking it. */
const ownHost = ({ address }: StandIn) => {
  const { hostname, port } = new URL(address);
  return { name: hostname, port: Number(port) || null };
};

/** Everything by which posts get out. */
export interface Publishing {
  queue: SendQueue;
  tokens: TokenStore;
  hostOf: (way: Way) => BlogHost;
  /** Where a post stands now that was sent to an address. */
  addressNow: (way: Way, url: string) => string;
  standIn: () => StandIn | null;
  /** The folder of posts that is open; null: none is. */
  content: ContentFolder | null;
  /** A page as its readers get it. Throws {@link HostProblem}. */
  readPage: (way: Way, url: string) => Promise<{ address: string; html: string }>;
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
  { pauses, content = null }: { pauses?: readonly number[]; content?: ContentFolder | null } = {},
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
      const allowed = [...outward.allowed, ownHost(blog)];
      return new MicropubClient(`${blog.address}/micropub`, blog.token, { ...outward, allowed }, true);
    }
    if (way.kind === 'folder') {
      if (!content)
        throw new HostProblem(
          'refused',
          'No folder of posts is open. Start Dune Sparrow with --content and the folder, or set CONTENT_DIR.',
        );
      return new FolderHost(content);
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
  const pace = new HostPace();
  const readPage = async (way: Way, url: string) => {
    const blog = way.kind === 'stand-in' ? standIn() : null;
    const allowed = blog ? [...outward.allowed, ownHost(blog)] : outward.allowed;
    try {
      const { status, body, address } = await goOut(
        addressNow(way, url),
        'GET',
        { ...outward, allowed },
        pace,
      );
      if (status >= 400)
        throw new HostProblem('missing', `Readers get no page there (${status}).`, { status });
      return { address, html: decodeText(body).text };
    } catch (error) {
      if (error instanceof Refusal) throw new HostProblem('away', error.message);
      if (error instanceof UnreadableFile) throw new HostProblem('refused', `The page ${error.message}`);
      throw error;
    }
  };
  return { queue, tokens, hostOf, addressNow, standIn, readPage, content };
}
