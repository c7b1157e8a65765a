import { randomUUID } from 'node:crypto'
import { getHeader, getResponseStatus, type H3Event, setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { tellRequest } from '../telling/log'
import { requests } from '../telling/metrics'

/** An id that a proxy gave, where it is one. */
const ID = /^[\w-]{8,64}$/
/** The pattern of an address: neither numbers nor what somebody typed. */
function routeOf(event: H3Event): string {
  const pattern = event.context.matchedRoute?.path
  if (pattern && pattern !== '/**') return pattern
  return /^\/(?:_nuxt|_fonts|ocr)\//.test(event.path) ? 'file' : 'page'
}

/** Gives each request an id, which its answer carries, and tells how it went. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    const given = getHeader(event, 'x-request-id') ?? ''
    event.context.requestId = ID.test(given) ? given : randomUUID()
    event.context.since = performance.now()
    setResponseHeader(event, 'x-request-id', event.context.requestId as string)
  })
  nitro.hooks.hook('afterResponse', event => {
    const ms = performance.now() - (event.context.since as number)
    const told = { method: event.method, route: routeOf(event), status: getResponseStatus(event) }
    requests.observe({ ...told, status: String(told.status) }, ms / 1000)
    tellRequest({ id: event.context.requestId as string, ...told, ms: Math.round(ms * 10) / 10 })
  })
})
