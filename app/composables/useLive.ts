import { onMounted, onUnmounted } from 'vue'

/** A job is at a number of its log, or the board has changed. */
export type News = { jobId: number; seq: number } | { board: number }

/** Listens for news while the page is shown. The browser itself tries again when the line breaks. */
export function useLive(changed: (news: News) => void): void {
  let source: EventSource | null = null
  onMounted(() => {
    source = new EventSource('/api/live')
    source.onmessage = message => changed(JSON.parse(message.data as string) as News)
  })
  onUnmounted(() => source?.close())
}
