import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'

/** Runs `ip`, in one of our namespaces where one is named. */
const ip = (line: string): string => execFileSync('ip', line.split(' '), { encoding: 'utf8' })

export const NODES = [1, 2, 3] as const
export type Nth = (typeof NODES)[number]
/** Where a node hears from the other nodes, and where from the servers. */
export const amongNodes = (n: Nth): string => `10.77.1.${10 + n}`
export const forServers = (n: Nth): string => `10.77.2.${10 + n}`
export const space = (n: Nth): string => `wembric-node-${n}`

/**
 * Two networks: one among the nodes, which can be cut, and one from the servers to each node, which stays. Each node
 * has a namespace of its own; the servers are in ours.
 */
export function makeNetworks(): void {
  // the names of namespaces are files: ours lie where they go with our mounts
  mkdirSync('/run/netns', { recursive: true })
  execFileSync('mount', ['-t', 'tmpfs', 'names', '/run/netns'])
  ip('link set lo up')
  for (const name of ['nodes', 'servers']) {
    ip(`link add ${name} type bridge`)
    ip(`link set ${name} up`)
  }
  ip('addr add 10.77.2.1/24 dev servers')
  for (const n of NODES) {
    ip(`netns add ${space(n)}`)
    ip(`-n ${space(n)} link set lo up`)
    for (const [bridge, address] of [
      ['nodes', amongNodes(n)],
      ['servers', forServers(n)],
    ] as const) {
      ip(`link add ${bridge}-${n} type veth peer name in-${bridge} netns ${space(n)}`)
      ip(`link set ${bridge}-${n} master ${bridge} up`)
      ip(`-n ${space(n)} addr add ${address}/24 dev in-${bridge}`)
      ip(`-n ${space(n)} link set in-${bridge} up`)
    }
  }
}
/** Cuts a node off from the other nodes; the servers still reach it. */
export const cut = (n: Nth): string => ip(`link set nodes-${n} down`)
export const mend = (n: Nth): string => ip(`link set nodes-${n} up`)
export function removeNetworks(): void {
  for (const n of NODES) ip(`netns del ${space(n)}`)
  execFileSync('umount', ['/run/netns'])
}
