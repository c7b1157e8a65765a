import { onMounted, ref } from 'vue'
import type { JobPin } from '~~/core/job'
import type { BodySent, Unfinished } from '~~/shared/api'
import { useOutboxStore } from '../stores/outbox'
import { api } from '../utils/api'
import { useForm } from './useForm'

/** A quick job that is to become a machine on record. What was told already stands in the form. */
export function useKeepJob(jobId: number) {
  const outbox = useOutboxStore()
  const form = useForm()
  const reading = useForm()
  const pin = ref<JobPin | null>(null)
  onMounted(async () => {
    // what opens it goes first, where it has not reached the shop
    await outbox.flush()
    pin.value = (await reading.send(async () => (await api('GET /api/jobs/:id', { id: jobId, query: {} })).pin)) ?? null
  })
  const keep = (body: Unfinished<BodySent<'POST /api/jobs/:id/keep'>>) =>
    form.send(() => api('POST /api/jobs/:id/keep', { id: jobId, body }))
  return { form, reading, pin, keep }
}
