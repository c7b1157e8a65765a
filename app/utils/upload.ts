import type { ProblemBody } from '~~/shared/problem'
import { NoAnswer, Refused } from './api'

/** A line on which nothing moves for so long is dead, whatever it says of itself. ms, from memory */
const STALLED_MS = 60_000
/** The shop may work on a whole file for so long before it answers: a backup, a book of fifty thousand rows. */
const ANSWERED_MS = 600_000

/**
 * Sends a file's bytes as they are, under an id where it must not be taken twice, telling how much of it is gone. Stops
 * when the signal says so, or when nothing moves any more. @throws Refused, NoAnswer
 */
export function upload<T>(
  path: string,
  file: Blob,
  onPart: (part: number) => void,
  signal: AbortSignal,
  id?: string,
): Promise<T> {
  return new Promise((done, fail) => {
    const request = new XMLHttpRequest()
    request.open('POST', path)
    request.setRequestHeader('content-type', 'application/octet-stream')
    if (id) request.setRequestHeader('idempotency-key', id)
    let dead: ReturnType<typeof setTimeout>
    const within = (ms: number) => {
      clearTimeout(dead)
      dead = setTimeout(() => request.abort(), ms)
    }
    request.upload.onprogress = event => {
      within(STALLED_MS)
      if (event.lengthComputable) onPart(event.loaded / event.total)
    }
    request.upload.onload = () => within(ANSWERED_MS)
    request.onloadend = () => clearTimeout(dead)
    request.onerror = () => fail(new NoAnswer())
    request.onabort = () => fail(new NoAnswer())
    request.onload = () => {
      let body: unknown
      try {
        body = JSON.parse(request.responseText)
      } catch {
        return fail(new NoAnswer())
      }
      if (request.status >= 400) fail(new Refused(body as ProblemBody))
      else done(body as T)
    }
    signal.addEventListener('abort', () => request.abort())
    within(STALLED_MS)
    request.send(file)
  })
}
