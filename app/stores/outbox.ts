import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Happening, JobEvent } from '~~/core/job'
import { onStoreLost, type Opening, type Waiting } from '../local/database'
import { openingsWaiting, refuseOpening, settleOpening } from '../local/openings'
import {
  draftAnswer,
  keep,
  keepAgain,
  letGo,
  markRefused,
  pageDeviceId,
  type Seen,
  settle,
  waitingAnswers,
} from '../local/outbox'
import { append, isAway, Refused } from '../utils/api'
import { sendOpening } from '../utils/send-opening'
import { t } from '../words'
import { useSessionStore } from './session'

const RETRY_MS = 2000
/** So long is waited for another tab that sends, before an answer that cannot be written down is given up. */
const TURN_MS = 5000
type Taken = (jobId: number, event: JobEvent, lastSeq: number) => void
type Changed = (jobId: number) => void

/** An answer that could neither be written down here nor sent. It does not count. */
class NotRecorded extends Error {
  override readonly name = 'NotRecorded'
  constructor() {
    super(t('outbox.that-answer-was-not-saved'))
  }
}

/** Answers on their way to the shop: kept here first, sent one after another, gone only when they are committed. */
export const useOutboxStore = defineStore('outbox', () => {
  const session = useSessionStore()
  const waiting = shallowRef<Waiting[]>([])
  /** What is wrong with keeping answers on this device, in words; null while all is well. */
  const trouble = ref<string | null>(null)
  const listeners = new Set<Taken>()
  const watchers = new Set<Changed>()
  let timer: ReturnType<typeof setTimeout> | null = null

  const mine = (w: Waiting): boolean => w.shopId === session.shop?.id && w.personId === session.person?.id
  let device = ''
  let lastNumber = 0
  /** Painted, and just being written down: not to be sent before. */
  const unwritten = new Set<string>()
  /** In this page's memory alone, for the store could not be written. */
  const unkept = new Set<string>()

  /** Other pages of this browser hear of each answer, and look into the store again. */
  const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('wembric-answers')
  const tellOthers = (jobId: number) => others?.postMessage(jobId)
  others?.addEventListener('message', ({ data }: MessageEvent<number>) => {
    for (const watcher of watchers) watcher(data)
  })

  /**
   * Reads what waits in this browser. @returns the last number that was given: all up to it is known now, or was sent
   */
  async function load(): Promise<number> {
    device = await pageDeviceId()
    const found = await waitingAnswers()
    lastNumber = Math.max(lastNumber, found.lastNumber)
    const here = new Set(found.waiting.map(w => w.id))
    const inMemory = waiting.value.filter(w => (unwritten.has(w.id) || unkept.has(w.id)) && !here.has(w.id))
    waiting.value = [...found.waiting, ...inMemory]
    return found.lastNumber
  }

  const drop = (id: string): void => {
    unwritten.delete(id)
    unkept.delete(id)
    waiting.value = waiting.value.filter(w => w.id !== id)
  }

  /**
   * Takes an answer: on the screen at once, written down beside it, then sent. What cannot be written down goes to the
   * shop at once.
   * @throws NotRecorded where neither works; the answer is taken off the screen again
   */
  async function add(jobId: number, happening: Happening, seen: Seen): Promise<void> {
    const { person, shop } = session
    if (!person || !shop) throw new Error(t('common.nobody-is-signed-in'))
    // the job may be on the screen before this page has read its own name
    device ||= await pageDeviceId()
    const draft = draftAnswer(
      { shopId: shop.id, personId: person.id, personName: person.name },
      { id: device, seq: ++lastNumber },
      jobId,
      happening,
      seen,
      Date.now() + session.skewMs,
    )
    unwritten.add(draft.id)
    waiting.value = [...waiting.value, draft]
    try {
      const kept = await keep(draft)
      lastNumber = Math.max(lastNumber, kept.deviceSeq)
      waiting.value = waiting.value.map(w => (w.id === kept.id ? kept : w))
      trouble.value = null
      tellOthers(jobId)
    } catch {
      unkept.add(draft.id)
    }
    unwritten.delete(draft.id)
    if (!unkept.has(draft.id)) return void flush()
    await flush(TURN_MS)
    if (!unkept.has(draft.id)) {
      trouble.value = t('outbox.this-device-cannot-keep-answers')
      return
    }
    drop(draft.id)
    throw new NotRecorded()
  }

  function later(): void {
    timer ??= setTimeout(() => {
      timer = null
      void flush()
    }, RETRY_MS)
  }

  /** The shop has it: it waits no more, whether the store can say so or not. */
  async function taken(entry: Waiting, event: JobEvent): Promise<void> {
    await settle(entry, event).catch(() => {})
    drop(entry.id)
    tellOthers(entry.jobId)
  }

  async function refuse(entry: Waiting, words: string): Promise<void> {
    await markRefused(entry, words).catch(() => unkept.add(entry.id))
    waiting.value = waiting.value.map(w => (w.id === entry.id ? { ...w, refused: words } : w))
  }

  /** Jobs that began on this device and that the shop does not know yet. */
  const openings = shallowRef<Opening[]>([])
  async function readOpenings(): Promise<void> {
    openings.value = (await openingsWaiting().catch(() => openings.value)).filter(o => o.shopId === session.shop?.id)
  }
  /** Opens at the shop what began here. @returns whether answers may be sent: the shop answers */
  async function sendOpenings(): Promise<boolean> {
    await readOpenings()
    for (const opening of openings.value.filter(o => o.personId === session.person?.id && !o.refused))
      try {
        await sendOpening(opening)
        session.offline = false
        await settleOpening(opening.jobId)
        tellOthers(opening.jobId)
      } catch (error) {
        if (isAway(error)) session.offline = true
        if (error instanceof Refused && error.status === 401) session.expired = true
        if (!(error instanceof Refused) || error.status >= 500 || error.status === 429) later()
        else if (error.status !== 401) {
          await refuseOpening(opening, error.problem)
          continue
        }
        return false
      } finally {
        await readOpenings()
      }
    return true
  }
  /** A job that began here and that the shop refused to open, or null. */
  const refusedOpening = (jobId: number): Opening | null =>
    openings.value.find(o => o.jobId === jobId && o.refused !== null) ?? null

  /** Sends one answer. Returns whether the next may go. */
  async function send(entry: Waiting): Promise<boolean> {
    try {
      const { event, lastSeq, now } = await append('POST /api/jobs/:id/events', {
        id: entry.jobId,
        body: entry.request,
      })
      session.learnTime(now)
      session.offline = false
      for (const listener of listeners) listener(entry.jobId, event, lastSeq)
      await taken(entry, event)
      return true
    } catch (error) {
      if (isAway(error)) session.offline = true
      if (error instanceof Refused && error.status === 401) session.expired = true
      if (!(error instanceof Refused) || error.status >= 500 || error.status === 429) later()
      else if (error.status !== 401) {
        await refuse(entry, error.message)
        return true
      }
      return false
    }
  }

  /** The first that may go. One that is just being written down holds up those after it: order is kept. */
  function nextToSend(): Waiting | null {
    // answers of a job that the shop has not opened wait behind its opening
    const unopened = new Set(openings.value.map(o => o.jobId))
    const next = waiting.value.find(w => mine(w) && !w.refused && !unopened.has(w.jobId))
    return next && !unwritten.has(next.id) ? next : null
  }

  async function sendAll(): Promise<void> {
    if (session.expired || !(await sendOpenings())) return
    for (let next = nextToSend(); next; next = nextToSend()) if (!(await send(next))) break
  }
  let running: Promise<void> | null = null
  const flushHere = (): Promise<void> =>
    (running ??= sendAll().finally(() => {
      running = null
    }))

  /**
   * One tab sends at a time, so that the device's order is kept. @param turnMs waits so long for its turn; else it
   * tries later
   */
  async function flush(turnMs = 0): Promise<void> {
    if (!navigator.locks) return flushHere()
    const turn = turnMs ? { signal: AbortSignal.timeout(turnMs) } : { ifAvailable: true }
    await navigator.locks
      .request('wembric-outbox', turn, async lock => {
        if (lock) await flushHere()
        else later()
      })
      .catch(later)
  }

  async function discard(id: string): Promise<void> {
    drop(id)
    await letGo(id)
    await load()
  }

  // cleared under our feet: what still waits is written down anew
  onStoreLost(() => {
    for (const entry of waiting.value) {
      if (unwritten.has(entry.id)) continue
      unkept.add(entry.id)
      keepAgain(entry)
        .then(() => unkept.delete(entry.id))
        .catch(() => {})
    }
    void flush()
  })

  return {
    waiting,
    openings,
    refusedOpening,
    readOpenings,
    trouble,
    load,
    add,
    flush,
    discard,
    /** Tells of each answer that the server has taken. Returns how to stop. */
    onTaken: (listener: Taken) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    /** Tells when another page of this browser has given an answer or seen one taken. Returns how to stop. */
    onOtherPage: (watcher: Changed) => {
      watchers.add(watcher)
      return () => watchers.delete(watcher)
    },
    toSend: computed(() => waiting.value.filter(w => mine(w) && !w.refused).length),
    ofOthers: computed(() => waiting.value.filter(w => !mine(w)).length),
    refused: computed(() => waiting.value.filter(w => mine(w) && w.refused)),
  }
})
