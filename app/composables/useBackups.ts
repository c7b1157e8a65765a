import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { BackupsResponse } from '~~/shared/backups'
import { api } from '../utils/api'
import { useForm } from './useForm'

const LOOK_EVERY_MS = 1000

/** The installation's backups; while one is made, by whomever, how far it is. */
export function useBackups() {
  const form = useForm()
  const backups = ref<BackupsResponse | null>(null)
  const load = async () => {
    backups.value = (await form.send(() => api('GET /api/backups'))) ?? backups.value
    if (!backups.value?.running) watching.pause()
    else if (!watching.isActive.value) watching.resume()
  }
  const watching = useIntervalFn(load, LOOK_EVERY_MS, { immediate: false })
  async function make(password: string): Promise<boolean> {
    if ((await form.send(() => api('POST /api/backups', { body: { password } }))) === null) return false
    await load()
    return true
  }
  return { form, backups, load, make, running: computed(() => backups.value?.running ?? null) }
}
