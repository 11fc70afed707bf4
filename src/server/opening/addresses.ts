import { BlockList } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { domainToASCII } from 'node:url';

/** Private ranges: RFC 1918 for IPv4, RFC 4193 for IPv6. Only in these may the door stand. */
export const PRIVATE_RANGES = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', 'fc00::/7'] as const;
/** The machine itself, for tests of the door. */
export const LOOPBACK_RANGE = '127.0.0.0/8';

/** The link-local domain of RFC 6762, under which a machine answers to its own name without any server of names. */
export const LOCAL_DOMAIN = 'local';

const inside = new BlockList();
for (const range of [...PRIVATE_RANGES, LOOPBACK_RANGE]) {
  const [network, bits] = range.split('/') as [string, string];
  inside.addSubnet(network, Number(bits), network.includes(':') ? 'ipv6' : 'ipv4');
}

/** Whether an address is of a home network or of the machine itself; anything else is the wide world. */
export const isPrivate = (address: string): boolean => inside.check(address, address.includes(':') ? 'ipv6' : 'ipv4');

/** The private addresses of this machine, without the loopback; IPv4 first, for that is what is read out and typed. */
export function listPrivateAddresses(interfaces = networkInterfaces()): string[] {
  return Object.values(interfaces)
    .flatMap((own) => own ?? [])
    .filter(({ internal, address }) => !internal && isPrivate(address))
    .sort((a, b) => a.family.localeCompare(b.family))
    .map(({ address }) => address);
}

/** The name this machine has on its own network. */
export function localName(name = hostname()): string {
  const [first = ''] = domainToASCII(name).split('.');
  return `${first === '' ? 'workshop' : first}.${LOCAL_DOMAIN}`;
}
