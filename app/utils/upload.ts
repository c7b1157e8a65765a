import type { ProblemBody } from '~~/shared/problem'
import { NoAnswer, Refused } from './api'

/**
 * Sends a file's bytes as they are, under an id where it must not be taken twice, telling how much of it is gone. Stops
 * when the signal says so.
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
    request.upload.onprogress = event => {
      if (event.lengthComputable) onPart(event.loaded / event.total)
    }
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
    request.send(file)
  })
}
