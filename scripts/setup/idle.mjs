/**
 * A connection that is idle is kept for longer than a proxy in front keeps it (60 s is usual: nginx, module
 * ngx_http_upstream, keepalive_timeout), or the proxy asks on one that is being closed, and its user gets an error.
 */
const KEPT_MS = 75_000
/** Lets a server keep idle connections. @returns the server */
export function keepingIdle(server) {
  server.keepAliveTimeout = KEPT_MS
  server.headersTimeout = KEPT_MS + 5000
  return server
}
