import { isIPv6 } from 'node:net';

/** The groups of an IPv6 address, spelled out. */
function groupsOf(address: string): string[] {
  const [head = '', tail] = address.split('::');
  const left = head === '' ? [] : head.split(':');
  const right = tail === undefined || tail === '' ? [] : tail.split(':');
  return tail === undefined
    ? left
    : [...left, ...Array.from({ length: Math.max(0, 8 - left.length - right.length) }, () => '0'), ...right];
}

/**
 * The network that an address belongs to, as far as one person may change addresses in it: the address itself, or the first
 * half of one of version 6.
 */
export function networkOf(ip: string | undefined): string {
  const address = (ip ?? '').replace(/^::ffff:(?=\d+\.)/i, '').replace(/%.*$/, '');
  if (!isIPv6(address)) return address;
  return `${groupsOf(address)
    .slice(0, 4)
    .map((group) => Number.parseInt(group, 16).toString(16))
    .join(':')}::/64`;
}
