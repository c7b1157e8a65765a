import { BlockList, isIPv6 } from 'node:net'
import { hostname, networkInterfaces } from 'node:os'

/** Networks that are not reached from outside: RFC 1918, RFC 3927, RFC 4193, RFC 4291, and this computer itself. */
export const HOUSE_NETWORKS = [
  ...['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8'],
  ...['fc00::/7', 'fe80::/10', '::1/128'],
]
const house = new BlockList()
for (const network of HOUSE_NETWORKS) {
  const [address, length] = network.split('/')
  house.addSubnet(address, Number(length), isIPv6(address) ? 'ipv6' : 'ipv4')
}

/** This computer's addresses on the networks of the house; one that is open to the world is none of them. */
export const ownAddresses = (interfaces = networkInterfaces()) =>
  Object.values(interfaces)
    .flat()
    .filter(a => a && !a.internal && a.family === 'IPv4' && house.check(a.address))
    .map(a => a.address)

/** This computer's name as it may stand in a certificate: letters, digits and hyphens. */
export const ownName = (name = hostname()) =>
  name
    .split('.')[0]
    .toLowerCase()
    .replaceAll(/[^a-z\d-]/g, '-') || 'wembric'
/** All names and addresses of this computer, for its certificate. */
export const ownNames = addresses => ['localhost', ownName(), `${ownName()}.local`, '127.0.0.1', ...addresses]
