import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import type { PhotoRow } from '~~/shared/machines'
import { usePhotosStore } from '../stores/photos'
import { api, isAway } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { shrunk } from '../utils/shrunk'
import { t } from '../words'
import { useForm } from './useForm'

const MOST = 5 * 1024 * 1024

/** Photos of a machine, or of one job on it: those that the shop has, and those that still wait on this device. */
export function usePhotos(given: { machineId: number; jobId?: number }) {
  const store = usePhotosStore()
  const form = useForm()
  const photos = ref<PhotoRow[]>([])
  const part = ref<number | null>(null)

  /** A photo of this job, or of this machine where no job is meant. */
  const isHere = (p: { machineId: number; jobId: number | null }) =>
    given.jobId === undefined ? p.machineId === given.machineId : p.jobId === given.jobId

  async function load(): Promise<void> {
    // the machine of a quick job that the shop does not know yet has no number
    if (given.machineId === 0) return
    try {
      photos.value = (await api('GET /api/machines/:id/photos', { id: given.machineId })).filter(
        p => given.jobId === undefined || p.jobId === given.jobId,
      )
    } catch (error) {
      // without an answer what is known stays; new ones are kept here
      if (!isAway(error)) form.failed.value = wordsFor(error)
    }
  }
  /** Addresses of the pictures that wait, made once each and given back when they are gone. */
  const addresses = new Map<string, string>()
  const waiting = computed(() =>
    store.waiting.filter(isHere).map(p => {
      const address = addresses.get(p.id) ?? URL.createObjectURL(new Blob([p.bytes], { type: p.type }))
      addresses.set(p.id, address)
      return { id: p.id, address, refused: p.refused }
    }),
  )
  watch(waiting, now => {
    for (const [id, address] of addresses)
      if (!now.some(p => p.id === id)) {
        URL.revokeObjectURL(address)
        addresses.delete(id)
      }
  })

  async function take(file: File): Promise<void> {
    part.value = 0
    await form.send(async () => {
      const photo = await shrunk(file)
      if (photo.size > MOST)
        throw new Error(t('use-photos.this-photo-has-mb-5', { size: (photo.size / 1024 / 1024).toFixed(1) }))
      await store.add(given.machineId, given.jobId ?? null, photo, p => {
        part.value = p
      })
    })
    part.value = null
  }
  async function drop(id: number): Promise<void> {
    if (await form.send(() => api('DELETE /api/photos/:id', { id }))) await load()
  }

  let stop = () => {}
  onMounted(async () => {
    const end = store.onTaken(photo => {
      if (isHere(photo)) void load()
    })
    stop = () => void end()
    await Promise.all([load(), store.load().catch(() => {})])
  })
  onUnmounted(() => {
    stop()
    for (const address of addresses.values()) URL.revokeObjectURL(address)
  })
  return { photos, waiting, part, failed: form.failed, take, drop, discard: store.discard }
}
