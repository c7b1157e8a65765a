import type { H3Event } from 'h3'
import proxyAddr from 'proxy-addr'

/**
 * Where a request comes from. What a proxy says of that is believed only where its address is named in
 * WEMBRIC_TRUSTED_PROXY (addresses or networks, with commas between): anybody can send the header.
 */
export function clientAddress(event: H3Event): string {
  const named = (process.env.WEMBRIC_TRUSTED_PROXY ?? '')
    .split(',')
    .map(a => a.trim())
    .filter(Boolean)
  return proxyAddr(event.node.req, named) ?? 'unknown'
}
