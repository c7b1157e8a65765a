import { defineEventHandler, getHeader, setResponseHeaders } from 'h3'
import { say } from '../../core/said'
import { sendProblem } from '../http/send-problem'
import { Problem } from '../problem'
import { startedUp } from '../startup'

/** A write must come from our own page: browsers say where a request comes from, and a foreign page cannot hide it. */
function checkOrigin(origin: string | undefined, host: string | undefined, site: string | undefined): void {
  // a sandboxed page sends the word “null”, which is no address of ours either
  const foreign = origin
    ? !URL.canParse(origin) || new URL(origin).host !== host
    : site !== undefined && site !== 'same-origin' && site !== 'none'
  if (foreign) throw new Problem('foreign-site', say('refused.this-request-comes-from-another'))
}

/** Before any API route: the database is up to date, and writes come from our own pages. */
export default defineEventHandler(async event => {
  if (!event.path.startsWith('/api/')) return
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
    'referrer-policy': 'no-referrer',
  })
  if (event.path.startsWith('/api/health/')) return
  try {
    if (event.method !== 'GET' && event.method !== 'HEAD')
      checkOrigin(getHeader(event, 'origin'), getHeader(event, 'host'), getHeader(event, 'sec-fetch-site'))
    // how a restore goes is told while everything else waits for it
    if (event.path !== '/api/restore') await startedUp()
  } catch (error) {
    return sendProblem(event, error)
  }
})
