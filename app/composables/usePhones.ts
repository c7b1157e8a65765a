import { ref } from 'vue'
import type { PhonesResponse } from '~~/shared/phones'
import { api } from '../utils/api'
import { useForm } from './useForm'
import { useSaid } from './useSaid'

/** How phones of the house come here, and the devices that are signed in. */
export function usePhones() {
  const form = useForm()
  const said = useSaid()
  const phones = ref<PhonesResponse | null>(null)
  const load = async () => {
    phones.value = (await form.send(() => api('GET /api/phones'))) ?? phones.value
  }
  async function change(work: () => Promise<unknown>): Promise<boolean> {
    if ((await form.send(work)) === null) return false
    said()
    await load()
    return true
  }
  return {
    form,
    phones,
    load,
    rename: (device: string, name: string) =>
      change(() => api('PUT /api/signed-in/:device', { device, body: { name } })),
    signOut: (device: string) => change(() => api('DELETE /api/signed-in/:device', { device })),
  }
}
