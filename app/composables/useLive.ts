import { onMounted, onUnmounted } from 'vue'

/** Listens for “job J is at N” while the page is shown. The browser itself tries again when the line breaks. */
export function useLive(changed: (news: { jobId: number, seq: number }) => void): void {
  let source: EventSource | null = null
  onMounted(() => {
    source = new EventSource('/api/live')
    source.onmessage = message => changed(JSON.parse(message.data as string) as { jobId: number, seq: number })
  })
  onUnmounted(() => source?.close())
}
