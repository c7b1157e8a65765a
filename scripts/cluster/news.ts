import { performance } from 'node:perf_hooks'

/** Hears live news at a server, and when each job was said to be at which number of its log. */
export function hear(
  url: string,
  cookie: string,
): { at: (jobId: number, seq: number) => number | null; stop: () => void } {
  const heard = new Map<number, { seq: number; at: number }[]>()
  const stop = new AbortController()
  const listen = async () => {
    while (!stop.signal.aborted) {
      const stream = await fetch(`${url}/api/live`, { headers: { cookie }, signal: stop.signal }).catch(() => null)
      const decoder = new TextDecoder()
      try {
        for await (const part of (stream?.body ?? []) as AsyncIterable<Uint8Array>)
          for (const [, data] of decoder.decode(part, { stream: true }).matchAll(/^data: (\{.*\})$/gm)) {
            const { jobId, seq } = JSON.parse(data!) as { jobId?: number; seq?: number }
            if (jobId !== undefined)
              heard.set(jobId, [...(heard.get(jobId) ?? []), { seq: seq!, at: performance.now() }])
          }
      } catch {
        // cut off: it listens again
      }
      await new Promise(done => setTimeout(done, 200))
    }
  }
  void listen()
  return {
    at: (jobId, seq) => heard.get(jobId)?.find(h => h.seq >= seq)?.at ?? null,
    stop: () => stop.abort(),
  }
}
