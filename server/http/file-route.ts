import { defineEventHandler, getHeader, type H3Event, setResponseHeader } from 'h3'
import type { Said } from '../../core/said'
import { pool } from '../database/pool'
import type { Pool } from '../database/query'
import { Problem } from '../problem'
import type { SignedIn } from '../services/people'
import type { WholeFile } from '../services/whole-file'
import { inLanguage } from '../words'
import { sendProblem } from './send-problem'
import { currentPerson } from './session'

/** The body as bytes, up to a limit: no more of it is taken into memory. */
export async function readBytes(event: H3Event, most: number, tooMuch: Said): Promise<Buffer> {
  if (Number(getHeader(event, 'content-length') ?? 0) > most) throw new Problem('too-much', tooMuch)
  const pieces: Buffer[] = []
  let length = 0
  for await (const piece of event.node.req as AsyncIterable<Buffer>) {
    length += piece.length
    if (length > most) throw new Problem('too-much', tooMuch)
    pieces.push(piece)
  }
  return Buffer.concat(pieces)
}

async function send(event: H3Event, work: () => Promise<WholeFile>): Promise<unknown> {
  setResponseHeader(event, 'cache-control', 'no-store')
  return inLanguage(getHeader(event, 'accept-language'), async () => {
    try {
      const { type, bytes, name, keepSeconds } = await work()
      setResponseHeader(event, 'content-type', type)
      if (name) setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
      if (keepSeconds) setResponseHeader(event, 'cache-control', `private, max-age=${keepSeconds}, immutable`)
      return bytes
    } catch (error) {
      return sendProblem(event, error)
    }
  })
}

/** A route of a signed-in person that answers with a file. */
export const bytesRoute = (work: (given: { pool: Pool; event: H3Event; person: SignedIn }) => Promise<WholeFile>) =>
  defineEventHandler(event =>
    send(event, async () => work({ pool: pool(), event, person: await currentPerson(event) })),
  )
/** A route that answers with a file to whoever knows its secret address. */
export const openBytesRoute = (work: (given: { pool: Pool; event: H3Event }) => Promise<WholeFile>) =>
  defineEventHandler(event => send(event, () => work({ pool: pool(), event })))
/** A route that takes a file in as it comes, of whatever size. */
export const takingRoute = (work: (given: { pool: Pool; event: H3Event }) => Promise<void>) =>
  defineEventHandler(event =>
    send(event, async () => {
      await work({ pool: pool(), event })
      return { type: 'application/json', bytes: JSON.stringify({ ok: true }) }
    }),
  )
