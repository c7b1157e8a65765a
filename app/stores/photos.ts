import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { computed, shallowRef } from 'vue'
import type { PhotoRow } from '~~/shared/machines'
import type { WaitingPhoto } from '../local/database'
import { openingsWaiting } from '../local/openings'
import { keepPhoto, letGoPhoto, waitingPhotos } from '../local/photos'
import { Refused } from '../utils/api'
import { upload } from '../utils/upload'
import { t } from '../words'
import { useSessionStore } from './session'

const RETRY_MS = 5000

/** Photos on their way to the shop: kept on this device first, sent one after another, gone when they are committed. */
export const usePhotosStore = defineStore('photos', () => {
  const session = useSessionStore()
  const waiting = shallowRef<WaitingPhoto[]>([])
  const listeners = new Set<(photo: WaitingPhoto) => void>()
  const mine = (p: WaitingPhoto) => p.shopId === session.shop?.id && p.personId === session.person?.id
  let timer: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    waiting.value = await waitingPhotos()
  }

  /**
   * Takes a photo: kept here, then sent. Where it cannot be kept it goes to the shop at once. @throws Refused, NoAnswer
   */
  async function add(machineId: number, jobId: number | null, file: Blob, onPart: (part: number) => void) {
    const { person, shop } = session
    if (!person || !shop) throw new Error(t('common.nobody-is-signed-in'))
    const photo: WaitingPhoto = {
      id: uuidv7(),
      shopId: shop.id,
      personId: person.id,
      machineId,
      jobId,
      takenAt: Date.now(),
      bytes: await file.arrayBuffer(),
      type: file.type,
      refused: null,
    }
    try {
      await keepPhoto(photo)
    } catch {
      await sendOne(photo, onPart)
      return
    }
    waiting.value = [...waiting.value, photo]
    await flush(onPart)
    const refused = waiting.value.find(p => p.id === photo.id)?.refused
    if (!refused) return
    // whoever chose the file is here and is told; nothing of it is kept
    await discard(photo.id)
    throw new Error(refused)
  }

  async function sendOne(photo: WaitingPhoto, onPart: (part: number) => void): Promise<void> {
    await upload<PhotoRow>(
      // a job that began here knows its machine when the shop does
      photo.jobId === null ? `/api/machines/${photo.machineId}/photos` : `/api/jobs/${photo.jobId}/photos`,
      new Blob([photo.bytes], { type: photo.type }),
      onPart,
      new AbortController().signal,
      photo.id,
    )
    for (const listener of listeners) listener(photo)
  }

  /** Jobs that began here and that the shop does not know yet: their photos wait for them. */
  async function jobsNotOpened(): Promise<Set<number>> {
    return new Set((await openingsWaiting().catch(() => [])).map(o => o.jobId))
  }
  function later(): void {
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), RETRY_MS)
  }

  let running: Promise<void> | null = null
  async function sendAll(onPart: (part: number) => void): Promise<void> {
    for (;;) {
      const ready = waiting.value.filter(p => mine(p) && !p.refused)
      const unopened = await jobsNotOpened()
      const next = ready.find(p => p.jobId === null || !unopened.has(p.jobId))
      if (!next) return ready.length > 0 ? later() : undefined
      try {
        await sendOne(next, onPart)
        await letGoPhoto(next.id)
        waiting.value = waiting.value.filter(p => p.id !== next.id)
      } catch (error) {
        if (error instanceof Refused && error.status < 500 && error.status !== 401 && error.status !== 429) {
          const refused = { ...next, refused: error.message }
          await keepPhoto(refused).catch(() => {})
          waiting.value = waiting.value.map(p => (p.id === next.id ? refused : p))
        } else return later()
      }
    }
  }
  /** Sends what waits; one at a time. */
  const flush = (onPart: (part: number) => void = () => {}): Promise<void> =>
    (running ??= sendAll(onPart).finally(() => {
      running = null
    }))

  async function discard(id: string): Promise<void> {
    await letGoPhoto(id)
    waiting.value = waiting.value.filter(p => p.id !== id)
  }

  return {
    waiting: computed(() => waiting.value.filter(mine)),
    load,
    add,
    flush,
    discard,
    /** Tells when the shop has taken a photo. Returns how to stop. */
    onTaken: (listener: (photo: WaitingPhoto) => void) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
})
