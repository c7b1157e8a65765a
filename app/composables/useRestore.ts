import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import type { RestoreResponse } from '~~/shared/backups'
import { api } from '../utils/api'
import { upload } from '../utils/upload'
import { useForm } from './useForm'

const LOOK_EVERY_MS = 1000

/**
 * Brings a backup back on a server that has no shop: the file goes there, then it is restored. A page that is loaded
 * meanwhile, or after it, finds how it goes.
 */
export function useRestore() {
  const form = useForm()
  const state = ref<RestoreResponse>({ state: 'none' })
  /** How much of the file is there, as a share of 1; null where none is on its way. */
  const sent = ref<number | null>(null)
  const look = async () => {
    state.value = await api('GET /api/restore').catch(() => state.value)
    if (state.value.state !== 'running') watching.pause()
    else if (!watching.isActive.value) watching.resume()
  }
  const watching = useIntervalFn(look, LOOK_EVERY_MS, { immediate: false })
  onMounted(look)
  async function begin(file: File, password: string): Promise<void> {
    sent.value = 0
    const taken = await form.send(() =>
      upload('/api/restore/file', file, part => (sent.value = part), new AbortController().signal),
    )
    sent.value = null
    if (taken === null || (await form.send(() => api('PUT /api/restore', { body: { password } }))) === null) return
    state.value = { state: 'running', part: 0 }
    watching.resume()
  }
  return { form, state, sent, begin }
}
