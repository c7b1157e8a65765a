import { type H3Event, setResponseHeader, setResponseStatus } from 'h3'
import { toProblem } from '../problem'

/** Answers with what went wrong, as problem+json. */
export function sendProblem(event: H3Event, error: unknown): string {
  const { retryAfterS, ...problem } = toProblem(error, event.context.requestId as string | undefined)
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  if (retryAfterS !== undefined) setResponseHeader(event, 'retry-after', retryAfterS)
  return JSON.stringify(problem)
}
