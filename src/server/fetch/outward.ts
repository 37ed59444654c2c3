import { type LookupAddress, lookup } from 'node:dns';
import { isIP, type LookupFunction } from 'node:net';
import { type AllowedHost, allowanceFor } from './allowed-hosts.ts';
import { isPublicAddress } from './public-address.ts';
import { Refusal } from './refusal.ts';

/** Finds the addresses of a name; that of the machine unless a test plays one. */
export type Resolve = (
  name: string,
  done: (error: NodeJS.ErrnoException | null, addresses: LookupAddress[]) => void,
) => void;

const resolveName: Resolve = (name, done) => lookup(name, { all: true, verbatim: true }, done);

/** How the server goes out. */
export interface Outward {
  allowed: readonly AllowedHost[];
  /** Who it says it is. */
  agent: string;
  resolve?: Resolve;
  /** Milliseconds for an answer with all its redirects. */
  within: number;
  /** Bytes of an answer, also once they are unpacked. */
  mostBytes: number;
}

/** Refuses addresses that nobody may ask for, before anything is sent. */
export function checkedUrl(address: string, allowed: readonly AllowedHost[]): URL {
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    throw new Refusal('not-allowed', `"${address.slice(0, 200)}" is no address.`);
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new Refusal('not-allowed', 'Only http and https addresses are asked for.');
  if (url.username || url.password)
    throw new Refusal('not-allowed', 'An address with a name or a password in it is not asked for.');
  const allowance = allowanceFor(url, allowed);
  if (allowance === null)
    throw new Refusal('not-allowed', `${url.host} is not asked: only the ports 80 and 443 are.`);
  const literal = url.hostname.replace(/^\[|\]$/g, '');
  if (allowance === 'public' && isIP(literal) !== 0 && !isPublicAddress(literal)) throw notPublic(url);
  return url;
}

const notPublic = (url: URL): Refusal =>
  new Refusal(
    'not-allowed',
    `${url.hostname} is not on the public internet. Whoever starts the server can allow it with ALLOW_HOSTS.`,
  );

/**
 * The look-up that a connection uses: what is connected to is the very address that was checked, so that a name which changes
 * its address in between gains nothing. A name with one address that is not public is refused whole.
 */
export function checkedLookup(
  url: URL,
  allowed: readonly AllowedHost[],
  resolve: Resolve = resolveName,
): LookupFunction {
  return (name, options, done) => {
    resolve(name, (error, found) => {
      if (error || found.length === 0) {
        done(new Refusal('no-host', `There is no host named ${name}.`) as NodeJS.ErrnoException, '', 4);
        return;
      }
      if (allowanceFor(url, allowed) !== 'any' && !found.every(({ address }) => isPublicAddress(address))) {
        done(notPublic(url) as unknown as NodeJS.ErrnoException, '', 4);
        return;
      }
      if (options.all) done(null, found);
      else done(null, found[0].address, found[0].family);
    });
  };
}

/** What went wrong on the way, as a sentence. */
export function asRefusal(error: NodeJS.ErrnoException, url: URL): Error {
  if (error instanceof Refusal) return error;
  if (error.name === 'AbortError' || error.name === 'TimeoutError' || error.code === 'ABORT_ERR')
    return new Refusal('no-answer', `${url.host} did not answer in time.`);
  if (error.code === 'ECONNREFUSED') return new Refusal('no-answer', `${url.host} takes no connection.`);
  if (/CERT|SSL|TLS|SELF_SIGNED|ALTNAME|VERIFY/.test(error.code ?? ''))
    return new Refusal('no-answer', `The certificate of ${url.host} is not valid.`);
  return new Refusal('no-answer', `${url.host} did not answer as a web server does.`);
}
