import { defineEventHandler } from 'h3'
import { pool } from '../database/pool'
import { listen } from '../services/live'
import { sendProblem } from './send-problem'
import { currentPerson } from './session'

const ALIVE_MS = 20_000
/**
 * Whether a listener is still signed in is looked up each five minutes: it hears nothing but numbers, and must not cost
 * a poll.
 */
const SIGNS_A_LOOK = 15
/** A listener that takes nothing for so long is let go: what is kept for it must not fill the memory. */
const MOST_BUFFERED = 256 * 1024

/**
 * A stream that says only “job J is at N”. Written straight to the line: a thousand listeners cost a thousand writes
 * and no more.
 */
export const liveRoute = defineEventHandler(async event => {
  try {
    const person = await currentPerson(event)
    const { req, res } = event.node
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
      'connection': 'keep-alive',
    })
    const say = (lines: string) => {
      if (res.writableLength > MOST_BUFFERED) res.destroy()
      else res.write(lines)
    }
    // headers and a first sign of life at once, so that whoever waits for the line knows that it is open
    say('event: alive\ndata:\n\n')
    const stop = listen(pool(), person.shopId, say)
    let signs = 0
    const alive = setInterval(() => {
      say('event: alive\ndata:\n\n')
      // a session that has ended hears no more; a database that does not answer ends nobody
      if (++signs % SIGNS_A_LOOK === 0)
        currentPerson(event).catch((error: { status?: number }) => {
          if (error.status === 401) res.end()
        })
    }, ALIVE_MS)
    await new Promise<void>(done => {
      res.once('close', done)
      res.once('error', () => done())
      req.once('aborted', done)
    })
    clearInterval(alive)
    stop()
  } catch (error) {
    return sendProblem(event, error)
  }
})
