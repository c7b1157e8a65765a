import type { H3Event } from 'h3'
import proxyAddr from 'proxy-addr'

/** Addresses or networks of proxies that are believed, with commas between, by WEMBRIC_TRUSTED_PROXY. */
const trusted = (): string[] =>
  (process.env.WEMBRIC_TRUSTED_PROXY ?? '')
    .split(',')
    .map(a => a.trim())
    .filter(Boolean)

/**
 * Where a request comes from. What a proxy says of that is believed only where its address is named: anybody can send
 * the header.
 */
export const clientAddress = (event: H3Event): string => proxyAddr(event.node.req, trusted()) ?? 'unknown'

/** Whether a request comes by way of a proxy that is believed. */
export const isTrustedProxy = (event: H3Event): boolean =>
  proxyAddr.compile(trusted())(event.node.req.socket.remoteAddress ?? '', 0)
