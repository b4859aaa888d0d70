import { BlockList } from 'node:net'
import { hostname, networkInterfaces } from 'node:os'

/** The networks that nobody on the internet has; the shop's authority speaks for no others. */
export const privateNetworks = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8']
/** The endings of names that mean a machine on its own network. */
export const ownZones = ['local', 'localhost', 'lan', 'home.arpa', 'internal']

const isPrivate = new BlockList()
for (const network of privateNetworks) {
  const [address = '', bits] = network.split('/')
  isPrivate.addSubnet(address, Number(bits))
}

export interface Addresses {
  readonly names: readonly string[]
  readonly ips: readonly string[]
}

/** By which names and addresses this machine is found, for itself and on its own network. */
export function ownAddresses(): Addresses {
  const host = hostname().toLowerCase()
  const inZone = ownZones.some((zone) => host === zone || host.endsWith(`.${zone}`))
  const called = /^[a-z0-9-]+(\.[a-z0-9-]+)*$/.test(host) ? [inZone ? host : `${host.split('.')[0]}.local`] : []
  const ips = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && isPrivate.check(address))
    .map(({ address }) => address)
  return { names: [...called, 'localhost'], ips: [...ips, '127.0.0.1'] }
}

/** Those that another machine reaches. */
export const fromElsewhere = ({ names, ips }: Addresses): string[] => [
  ...ips.filter((ip) => !ip.startsWith('127.')),
  ...names.filter((name) => name !== 'localhost'),
]
