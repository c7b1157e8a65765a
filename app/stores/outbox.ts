import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Happening, JobEvent } from '~~/core/job'
import type { EventResponse } from '~~/shared/event-request'
import type { Waiting } from '../local/database'
import { draftAnswer, keep, lastDeviceNumber, letGo, markRefused, pageDeviceId, waitingAnswers } from '../local/outbox'
import { api, NoAnswer, Refused } from '../utils/api'
import { useSessionStore } from './session'

const RETRY_MS = 2000
type Taken = (jobId: number, event: JobEvent, lastSeq: number) => void

/** Answers on their way to the shop: kept here first, sent one after another, gone only when they are committed. */
export const useOutboxStore = defineStore('outbox', () => {
  const session = useSessionStore()
  const waiting = shallowRef<Waiting[]>([])
  const sending = ref(false)
  const listeners = new Set<Taken>()
  let timer: ReturnType<typeof setTimeout> | null = null

  const mine = (w: Waiting): boolean => w.shopId === session.shop?.id && w.personId === session.person?.id
  let device = ''
  let lastNumber = 0
  /** Painted, but not yet written down: not to be sent. */
  const unwritten = new Set<string>()

  async function load(): Promise<void> {
    device = await pageDeviceId()
    lastNumber = Math.max(lastNumber, await lastDeviceNumber())
    waiting.value = [...(await waitingAnswers()), ...waiting.value.filter(w => unwritten.has(w.id))]
  }

  /** Takes an answer: on the screen at once, written down beside it, then sent. */
  async function add(jobId: number, happening: Happening, seenSeq: number): Promise<void> {
    const { person, shop } = session
    if (!person || !shop) throw new Error('Nobody is signed in.')
    const draft = draftAnswer(
      { shopId: shop.id, personId: person.id, personName: person.name },
      device,
      ++lastNumber,
      jobId,
      happening,
      seenSeq,
      Date.now() + session.skewMs,
    )
    unwritten.add(draft.id)
    waiting.value = [...waiting.value, draft]
    const kept = await keep(draft)
    unwritten.delete(draft.id)
    lastNumber = Math.max(lastNumber, kept.deviceSeq)
    waiting.value = waiting.value.map(w => (w.id === kept.id ? kept : w))
    void flush()
  }

  function later(): void {
    timer ??= setTimeout(() => {
      timer = null
      void flush()
    }, RETRY_MS)
  }

  /** Sends one answer. Returns whether the next may go. */
  async function send(entry: Waiting): Promise<boolean> {
    try {
      const { event, lastSeq, now } = await api.post<EventResponse>(`/api/jobs/${entry.jobId}/events`, entry.request)
      session.learnTime(now)
      session.offline = false
      for (const listener of listeners) listener(entry.jobId, event, lastSeq)
      await letGo(entry.id)
      waiting.value = waiting.value.filter(w => w.id !== entry.id)
      return true
    } catch (error) {
      if (error instanceof NoAnswer) session.offline = true
      if (error instanceof Refused && error.status === 401) session.expired = true
      if (!(error instanceof Refused) || error.status >= 500) later()
      else if (error.status !== 401) {
        await markRefused(entry, error.message)
        await load()
        return true
      }
      return false
    }
  }

  const nextToSend = () => waiting.value.find(w => mine(w) && !w.refused && !unwritten.has(w.id))

  async function flushHere(): Promise<void> {
    if (sending.value || session.expired) return
    sending.value = true
    try {
      for (let next = nextToSend(); next; next = nextToSend()) if (!(await send(next))) break
    } finally {
      sending.value = false
    }
  }

  /** One tab sends at a time, so that the device's order is kept. */
  async function flush(): Promise<void> {
    if (!navigator.locks) return flushHere()
    await navigator.locks.request('wembric-outbox', { ifAvailable: true }, async lock => {
      if (lock) await flushHere()
      else later()
    })
  }

  async function discard(id: string): Promise<void> {
    await letGo(id)
    await load()
  }

  return {
    waiting,
    load,
    add,
    flush,
    discard,
    /** Tells of each answer that the server has taken. Returns how to stop. */
    onTaken: (listener: Taken) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    toSend: computed(() => waiting.value.filter(w => mine(w) && !w.refused).length),
    ofOthers: computed(() => waiting.value.filter(w => !mine(w)).length),
    refused: computed(() => waiting.value.filter(w => mine(w) && w.refused)),
  }
})
