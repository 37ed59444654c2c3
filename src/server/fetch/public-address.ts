import { BlockList, isIP } from 'node:net';

/**
 * Networks that are not the public internet, or lead into one that is not (IANA special-purpose registries, RFC 6890): this
 * machine, private and carrier networks, link-local, documentation, benchmarks, multicast, reserved, and the IPv6 forms that
 * carry an IPv4 address inside.
 */
const REFUSED_IPV4 = [
  '0.0.0.0/8',
  '10.0.0.0/8',
  '100.64.0.0/10',
  '127.0.0.0/8',
  '169.254.0.0/16',
  '172.16.0.0/12',
  '192.0.0.0/24',
  '192.0.2.0/24',
  '192.88.99.0/24',
  '192.168.0.0/16',
  '198.18.0.0/15',
  '198.51.100.0/24',
  '203.0.113.0/24',
  '224.0.0.0/4',
  '240.0.0.0/4',
];
/** Of IPv6 only 2000::/3 is given out, and in it these are not the public internet. */
const REFUSED_IPV6 = ['2001::/23', '2001:db8::/32', '2002::/16', '3fff::/20'];

const list = (networks: readonly string[], family: 'ipv4' | 'ipv6'): BlockList => {
  const all = new BlockList();
  for (const network of networks) {
    const [address, bits] = network.split('/');
    all.addSubnet(address, Number(bits), family);
  }
  return all;
};
const refusedIpv4 = list(REFUSED_IPV4, 'ipv4');
const givenOutIpv6 = list(['2000::/3'], 'ipv6');
const refusedIpv6 = list(REFUSED_IPV6, 'ipv6');

/** Whether an IP address (as text) is one of the public internet. Anything that is no address is not. */
export function isPublicAddress(address: string): boolean {
  const bare = address.replace(/%.*$/, '');
  const version = isIP(bare);
  if (version === 4) return !refusedIpv4.check(bare, 'ipv4');
  return version === 6 && givenOutIpv6.check(bare, 'ipv6') && !refusedIpv6.check(bare, 'ipv6');
}
