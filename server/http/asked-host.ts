import { getRequestHost, type H3Event } from 'h3'
import { isTrustedProxy } from './client-address'

/** The host that was asked for, without its port: what a trusted proxy says of it, or what the browser says. */
export const askedHost = (event: H3Event): string =>
  getRequestHost(event, { xForwardedHost: isTrustedProxy(event) })
    .replace(/:\d+$/, '')
    .toLowerCase()
