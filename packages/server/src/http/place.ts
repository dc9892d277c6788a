/** Where a request comes from on the network, as tries are counted by it. */
import { isIPv6 } from 'node:net';
import type { Request } from 'express';

/** Of an IPv6 address the network, since one machine has as many addresses in it as it likes. */
export function placeOf({ ip = '' }: Request): string {
  return isIPv6(ip) && !ip.startsWith('::ffff:') ? ip.split(':').slice(0, 4).join(':') : ip;
}
