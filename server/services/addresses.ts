import { BlockList, isIP, isIPv6 } from 'node:net'

/** Addresses of this machine itself, and of private networks (RFC 1918, RFC 4193). */
const [loopback, nearby] = [new BlockList(), new BlockList()]
loopback.addSubnet('127.0.0.0', 8, 'ipv4')
loopback.addAddress('::1', 'ipv6')
for (const [network, prefix] of [
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
] as const)
  nearby.addSubnet(network, prefix, 'ipv4')
nearby.addSubnet('fc00::', 7, 'ipv6')

const isIn = (list: BlockList, address: string) => list.check(address, isIPv6(address) ? 'ipv6' : 'ipv4')

/** Is it this machine itself? */
export const isLoopback = (address: string): boolean => isIP(address) !== 0 && isIn(loopback, address)
/** Is it this machine, or one of a private network? */
export const isNear = (address: string): boolean =>
  isIP(address) !== 0 && (isIn(loopback, address) || isIn(nearby, address))
