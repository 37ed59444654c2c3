import { safeHref } from '../draft/index.ts';

const HOST = /^[\p{L}\p{N}_-]+(?:\.[\p{L}\p{N}_-]+)*\.\p{L}{2,}(?::\d+)?(?:[/?#]\S*)?$/u;

/**
 * The address that somebody typed, as it can be linked to: with a scheme, from the root of the site, or a fragment as it
 * is; a bare host gets `https://`. Null for words, and for a scheme that a link may not have.
 *
 * @example
 * typedAddress('saltmarsh.example/rent') // 'https://saltmarsh.example/rent'
 * typedAddress('tide tables') // null
 * typedAddress('javascript:alert(1)') // null
 */
export function typedAddress(typed: string): string | null {
  const address = typed.trim();
  if (/\s/.test(address)) return null;
  if (/^(?:\/|#)\S/.test(address) || address === '/') return address;
  // A host with a port looks like a scheme, but for its dot.
  if (HOST.test(address)) return `https://${address}`;
  return /^[a-z][a-z\d+.-]*:./i.test(address) ? safeHref(address) : null;
}
