import { useNow } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { type BayColumn, coldByClock } from '~~/core/job'
import type { BayCard, BayResponse } from '~~/shared/board'
import type { DueResponse } from '~~/shared/machines'
import { LOCALE } from '../language'
import { useSessionStore } from '../stores/session'
import { api, isAway } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { useLive } from './useLive'

/** The day's board and what is due: fetched, kept up to date, and moved about. */
export function useBoard() {
  const session = useSessionStore()
  const bay = ref<BayResponse | null>(null)
  const due = ref<DueResponse | null>(null)
  const failed = ref('')
  const tick = useNow({ interval: 15_000 })
  /** The shop's time, however this device's clock stands. */
  const nowMs = computed(() => tick.value.getTime() + session.skewMs)
  const clock = (atMs: number): string =>
    new Date(atMs).toLocaleTimeString(LOCALE, {
      hour: 'numeric',
      minute: '2-digit',
      timeZone: session.shop?.timeZone ?? 'UTC',
    })

  async function load(): Promise<void> {
    try {
      bay.value = await api('GET /api/bay')
      session.learnTime(bay.value.now)
      session.offline = false
      failed.value = ''
      due.value = await api('GET /api/due', { query: { weeks: 6, most: 40 } })
    } catch (error) {
      session.offline = isAway(error)
      failed.value = wordsFor(error)
    }
  }
  onMounted(load)
  let soon: ReturnType<typeof setTimeout> | undefined
  const loadSoon = () => {
    clearTimeout(soon)
    soon = setTimeout(load, 100)
  }
  useLive(loadSoon, loadSoon)

  /** A card that cools stands among the ready ones once the clock says so, without asking the shop. */
  const columnOf = (card: BayCard): BayColumn =>
    card.column === 'cooling' && coldByClock(card.cooling, nowMs.value) ? 'ready' : card.column
  /** Gives a card to a person and a place; shown at once, and as the shop has it if that is refused. */
  async function place(jobId: number, personId: number | null, beforeJobId: number | null): Promise<void> {
    const cards = bay.value?.cards ?? []
    const card = cards.find(c => c.jobId === jobId)
    if (!card) return
    const others = cards.filter(c => c !== card)
    const index = beforeJobId === null ? others.length : others.findIndex(c => c.jobId === beforeJobId)
    const moved = { ...card, assigned: bay.value!.crew.find(p => p.id === personId) ?? null, turn: null }
    bay.value = { ...bay.value!, cards: [...others.slice(0, index), moved, ...others.slice(index)] }
    let wrong = ''
    try {
      await api('PUT /api/jobs/:id/place', { id: jobId, body: { personId, beforeJobId } })
    } catch (error) {
      wrong = wordsFor(error)
    }
    await load()
    failed.value ||= wrong
  }
  return { bay, due, failed, nowMs, clock, load, columnOf, place }
}
