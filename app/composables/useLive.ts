import { useEventListener } from '@vueuse/core'
import { onMounted, onUnmounted } from 'vue'

/** A job is at a number of its log, or the board has changed. */
export type News = { jobId: number; seq: number } | { board: number }

/** Pauses before the line is opened again, ms: they grow while nobody answers. */
const PAUSES_MS = [1000, 2000, 4000, 8000, 16_000, 30_000]
/** The server gives a sign of life each 20 s; without one for so long the line is dead, as after sleep. */
const SILENCE_MS = 50_000

/**
 * A line to the shop's news that is opened again whatever ends it: a browser gives up for good at the first answer that
 * is an error, as a proxy gives while the server starts anew.
 * @param changed told of each piece of news
 * @param opened told each time the line is open, also the first: what came before is not told on it and must be fetched
 */
export function openLine(changed: (news: News) => void, opened: () => void) {
  let source: EventSource | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let silence: ReturnType<typeof setTimeout> | undefined
  let failures = 0

  function heard(): void {
    clearTimeout(silence)
    silence = setTimeout(open, SILENCE_MS)
  }
  function open(): void {
    clearTimeout(again)
    source?.close()
    source = new EventSource('/api/live')
    source.onopen = () => {
      failures = 0
      heard()
      opened()
    }
    source.onmessage = message => {
      heard()
      changed(JSON.parse(message.data as string) as News)
    }
    source.addEventListener('alive', heard)
    source.onerror = () => {
      clearTimeout(silence)
      // one that only lost its connection is tried again by the browser itself; one that was answered by an error is
      // not
      if (source?.readyState !== EventSource.CLOSED) return
      const pause = PAUSES_MS[Math.min(failures++, PAUSES_MS.length - 1)]!
      clearTimeout(again)
      again = setTimeout(open, pause * (0.75 + Math.random() / 2))
    }
  }
  function close(): void {
    clearTimeout(again)
    clearTimeout(silence)
    source?.close()
    source = null
  }
  open()
  return {
    close,
    /** Somebody is back at the page, or the network is: opens at once what is closed or still waits. */
    wake: () => {
      if (source?.readyState !== EventSource.OPEN) open()
    },
  }
}

/** Listens for news while the page is shown, and says when some may have been missed. */
export function useLive(changed: (news: News) => void, missed: () => void): void {
  let line: ReturnType<typeof openLine> | null = null
  onMounted(() => {
    line = openLine(changed, missed)
  })
  onUnmounted(() => line?.close())
  useEventListener(window, 'online', () => line?.wake())
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState !== 'visible') return
    line?.wake()
    missed()
  })
}
