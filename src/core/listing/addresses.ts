/** The address pattern of a site that says nothing else. */
export const DEFAULT_ADDRESS_PATTERN = '/{slug}';

/**
 * An address in comparable form: its path without host, query, fragment, index file, file ending or closing slash,
 * decoded, lower case. Relative addresses are resolved against `base` (a path). Null for addresses of another kind.
 */
export function comparablePath(address: string, base = '/'): string | null {
  let url: URL;
  try {
    url = new URL(address, `http://site.invalid${base.startsWith('/') ? base : `/${base}`}`);
  } catch {
    return null;
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:') return null;
  let path = url.pathname;
  try {
    path = decodeURIComponent(path);
  } catch {
    // A stray per cent sign: the path as written will do.
  }
  path = path
    .toLowerCase()
    .replace(/\/index\.(?:html?|php)$/, '/')
    .replace(/\.(?:html?|php|md|markdown|txt)$/, '')
    .replace(/\/+$/, '');
  return path === '' ? '/' : path;
}

/** What kind of place a link leads to. `host` is the site's own, as an address or a bare host name; null: not known. */
export function linkKind(
  href: string,
  host: string | null,
): 'internal' | 'external' | 'fragment' | 'mail' | 'other' {
  const trimmed = href.trim();
  if (trimmed.startsWith('#')) return 'fragment';
  if (/^mailto:/i.test(trimmed)) return 'mail';
  const absolute = /^(?:https?:)?\/\/([^/?#]*)/i.exec(trimmed);
  if (absolute) return host !== null && bareHost(absolute[1]) === bareHost(host) ? 'internal' : 'external';
  return /^[a-z][a-z0-9+.-]*:/i.test(trimmed) ? 'other' : 'internal';
}

const bareHost = (host: string) =>
  host
    .toLowerCase()
    .replace(/^https?:\/\//, '')
    .replace(/[/?#].*$/, '')
    .replace(/^.*@/, '')
    .replace(/:\d+$/, '')
    .replace(/^www\./, '');
