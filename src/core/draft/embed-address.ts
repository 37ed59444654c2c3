import type { EmbedKind } from './draft.ts';

/** A kind of address that plays or shows something, as its host writes it. */
interface Known {
  hosts: RegExp;
  /** Path (with its query) of what a person opens; the first group names what is shown. */
  path: RegExp;
  kind: EmbedKind;
  /** The address of what is shown, from its name, where the host has several for one. */
  open?: (name: string, url: URL) => string;
}

/** An address with the second at which it is to begin, where the given one says so. */
const withTime = (address: string, url: URL): string => {
  const at = /^\d{1,6}/.exec(url.searchParams.get('t') ?? url.searchParams.get('start') ?? '')?.[0];
  return at ? `${address}${address.includes('?') ? '&' : '?'}t=${at}` : address;
};

/** Addresses as large hosts of recordings, maps and notes write them; a file is known by its ending, whatever its host. */
const KNOWN: readonly Known[] = [
  {
    hosts: /^(?:www\.|m\.|music\.)?youtube(?:-nocookie)?\.com$/,
    path: /^\/(?:watch\?(?:[^#]*&)?v=|embed\/|shorts\/|live\/)([\w-]{6,20})/,
    kind: 'video',
    open: (name) => `https://www.youtube.com/watch?v=${name}`,
  },
  {
    hosts: /^youtu\.be$/,
    path: /^\/([\w-]{6,20})/,
    kind: 'video',
    open: (name) => `https://www.youtube.com/watch?v=${name}`,
  },
  {
    hosts: /^(?:www\.|player\.)?vimeo\.com$/,
    path: /^\/(?:video\/)?(\d{5,12})(?:[/?#]|$)/,
    kind: 'video',
    open: (name) => `https://vimeo.com/${name}`,
  },
  {
    hosts: /^(?:www\.)?dailymotion\.com$/,
    path: /^\/(?:embed\/)?video\/([a-z0-9]{5,12})/i,
    kind: 'video',
    open: (name) => `https://www.dailymotion.com/video/${name}`,
  },
  {
    // PeerTube, on whatever host it runs.
    hosts: /./,
    path: /^\/(?:w|videos\/watch|videos\/embed)\/([A-Za-z0-9]{22}|[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12})(?:[?#]|$)/,
    kind: 'video',
    open: (name, url) => `${url.origin}/w/${name}`,
  },
  {
    hosts: /^open\.spotify\.com$/,
    path: /^\/(?:embed\/|intl-[a-z]{2}\/)?((?:episode|show|track|album|playlist)\/\w{10,30})/,
    kind: 'audio',
    open: (name) => `https://open.spotify.com/${name}`,
  },
  { hosts: /^(?:www\.)?soundcloud\.com$/, path: /^\/([\w-]+\/(?:sets\/)?[\w-]+)/, kind: 'audio' },
  {
    hosts: /^(?:www\.)?openstreetmap\.org$/,
    path: /^\/((?:export\/embed\.html|node|way|relation)\b|#map=|\?)/,
    kind: 'map',
  },
  { hosts: /^(?:www\.)?google\.[a-z.]{2,6}$|^maps\.google\.[a-z.]{2,6}$/, path: /^\/(maps\b)/, kind: 'map' },
  { hosts: /^(?:maps\.app\.)?goo\.gl$/, path: /^\/(?:maps\/)?(\w+)/, kind: 'map' },
  { hosts: /^(?:www\.|mobile\.)?(?:twitter|x)\.com$/, path: /^\/(\w+\/status\/\d+)/, kind: 'post' },
  { hosts: /^(?:www\.)?instagram\.com$/, path: /^\/((?:[\w.]+\/)?(?:p|reel)\/[\w-]+)/, kind: 'post' },
  { hosts: /^bsky\.app$/, path: /^\/(profile\/[^/]+\/post\/\w+)/, kind: 'post' },
  // Any server of the fediverse.
  { hosts: /./, path: /^\/(@[\w.-]+(?:@[\w.-]+)?\/\d{6,})(?:[?#]|$)/, kind: 'post' },
];

/** Files that a browser plays by itself. */
const FILES: readonly [RegExp, EmbedKind][] = [
  [/\.(?:mp4|m4v|webm|ogv|mov)$/i, 'video'],
  [/\.(?:mp3|m4a|aac|oga|ogg|opus|wav|flac)$/i, 'audio'],
];

/** An address that can be embedded. */
export interface EmbedAddress {
  kind: EmbedKind;
  /** What a person opens; of several addresses for one thing always the same. */
  href: string;
}

const urlOf = (address: string): URL | null => {
  try {
    const url = new URL(address.trim());
    return url.protocol === 'https:' || url.protocol === 'http:' ? url : null;
  } catch {
    return null;
  }
};

/**
 * What an address shows: a video, a recording to hear, a map, a post of a network; null for all others, which stay links.
 * `embedAddress('https://tide.example/talk.mp3')?.kind` is `audio`.
 */
export function embedAddress(address: string): EmbedAddress | null {
  const url = urlOf(address);
  if (!url) return null;
  const file = FILES.find(([ending]) => ending.test(url.pathname));
  if (file) return { kind: file[1], href: url.href };
  const path = `${url.pathname}${url.search}${url.hash}`;
  for (const { hosts, path: pattern, kind, open } of KNOWN) {
    const name = hosts.test(url.hostname) ? pattern.exec(path)?.[1] : undefined;
    if (name !== undefined) return { kind, href: open ? withTime(open(name, url), url) : url.href };
  }
  return null;
}

/** What a frame of a page shows, by the address that the frame loads: a page where nothing else is known; null where it loads none. */
export function framedAddress(address: string): EmbedAddress | null {
  const url = urlOf(address.startsWith('//') ? `https:${address}` : address);
  return url && (embedAddress(url.href) ?? { kind: 'page', href: url.href });
}

/** The address of a whole line; null where a line holds anything else. */
export const addressOfLine = (line: string): string | null =>
  /^https?:\/\/[^\s<>"]{3,2000}$/i.test(line.trim()) ? line.trim() : null;

const KIND_NAMES: Record<EmbedKind, string> = {
  video: 'Video',
  audio: 'Recording',
  map: 'Map',
  post: 'Post of a network',
  page: 'Page in a frame',
};

/** How a kind of embed is called. */
export const embedKindInWords = (kind: EmbedKind): string => KIND_NAMES[kind];
