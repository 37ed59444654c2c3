import { type AllowedHost, allowanceFor } from '../fetch/allowed-hosts.ts';
import { checkedUrl } from '../fetch/outward.ts';
import { Refusal } from '../fetch/refusal.ts';

/** Names of this machine: what runs here may be asked without encryption. */
const THIS_MACHINE = new Set(['localhost', '127.0.0.1', '[::1]']);

/**
 * An address below an endpoint's base, and the hosts that may be asked for it. Plain http goes to this machine or to a host that was
 * allowed: anywhere else the key could be read on its way. Throws {@link Refusal}.
 *
 * @example endpointAddress('http://localhost:8080/v1', 'models', []).url.href // 'http://localhost:8080/v1/models'
 */
export function endpointAddress(
  base: string,
  path: string,
  allowed: readonly AllowedHost[],
): { url: URL; allowed: readonly AllowedHost[] } {
  let url: URL;
  try {
    url = new URL(`${base.trim().replace(/\/+$/, '')}/${path}`);
  } catch {
    throw new Refusal(
      'not-allowed',
      `"${base.slice(0, 200)}" is no address. Give one like https://text.example/v1.`,
    );
  }
  if (url.search || url.hash)
    throw new Refusal('not-allowed', 'The address of an endpoint has no "?" and no "#".');
  const port = Number(url.port || (url.protocol === 'https:' ? 443 : 80));
  const isHere = THIS_MACHINE.has(url.hostname);
  if (url.protocol === 'http:' && !isHere && allowanceFor(url, allowed) !== 'any')
    throw new Refusal(
      'not-allowed',
      `${url.host} is asked with https alone: by plain http the key could be read on its way. Whoever starts the server can allow it with ALLOW_HOSTS.`,
    );
  const hosts = isHere ? [...allowed, { name: url.hostname, port }] : allowed;
  return { url: checkedUrl(url.href, hosts), allowed: hosts };
}
