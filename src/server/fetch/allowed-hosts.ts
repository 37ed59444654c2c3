/** Hosts that whoever starts the server lets it ask although they are not public, each with the port where one was named. */
export interface AllowedHost {
  /** As a URL writes it: lower case, IPv6 in brackets. */
  name: string;
  /** Null: the usual ports. */
  port: number | null;
}

/** Reads `ALLOW_HOSTS`: `localhost:8080, intranet.example`. What is no host is passed over. */
export function allowedHosts(text: string): AllowedHost[] {
  return text.split(',').flatMap((part) => {
    const written = part.trim();
    if (written === '' || /[/?#@\s]/.test(written)) return [];
    try {
      const { hostname } = new URL(`http://${written}`);
      const port = /:(\d{1,5})$/.exec(written)?.[1];
      return [{ name: hostname, port: port === undefined ? null : Number(port) }];
    } catch {
      return [];
    }
  });
}

/** Ports that every public host may be asked at. */
const USUAL = new Set([80, 443]);

/** What may be asked of a host: `any` of its addresses where it was allowed by name, else `public` ones alone; null: nothing. */
export function allowanceFor(url: URL, allowed: readonly AllowedHost[]): 'any' | 'public' | null {
  const port = Number(url.port || (url.protocol === 'https:' ? 443 : 80));
  if (
    allowed.some(
      (host) =>
        host.name === url.hostname && (host.port ?? port) === port && (host.port !== null || USUAL.has(port)),
    )
  )
    return 'any';
  return USUAL.has(port) ? 'public' : null;
}
