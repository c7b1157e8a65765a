import { createEventStream, defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import { listen } from '../services/live'
import { pool } from '../startup'
import { toProblem } from '../utils/problem'
import { currentPerson } from '../utils/session'

/** A stream that says only “job J is at N”. */
export default defineEventHandler(async event => {
  try {
    const person = await currentPerson(event)
    const stream = createEventStream(event)
    const stop = listen(pool(), person.shopId, changed => stream.push(JSON.stringify(changed)))
    const alive = setInterval(() => stream.push({ event: 'alive', data: '' }), 20_000)
    stream.onClosed(async () => {
      clearInterval(alive)
      stop()
      await stream.close()
    })
    return stream.send()
  } catch (error) {
    const problem = toProblem(error)
    setResponseStatus(event, problem.status)
    setResponseHeader(event, 'content-type', 'application/problem+json')
    return JSON.stringify(problem)
  }
})
