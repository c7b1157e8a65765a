import { onMounted, ref } from 'vue'
import type { ReminderResponse } from '~~/shared/machines'
import { api } from '../utils/api'
import { useForm } from './useForm'

/** The letter to an owner whose machines are due: its draft, their address, and that they were told. */
export function useReminder({ customerId, weeks }: { customerId: number; weeks: number }) {
  const form = useForm()
  const draft = ref<ReminderResponse | null>(null)
  const [subject, text, email] = [ref(''), ref(''), ref('')]
  onMounted(async () => {
    draft.value = await form.send(() => api('GET /api/customers/:id/reminder', { id: customerId, query: { weeks } }))
    if (!draft.value) return
    subject.value = draft.value.subject
    text.value = draft.value.text
    email.value = draft.value.email
  })
  /** Keeps an address that was changed. */
  async function saveEmail(): Promise<boolean> {
    if (email.value === draft.value?.email) return true
    const own = (await form.send(() => api('GET /api/customers')))?.find(c => c.id === customerId)
    if (!own) return false
    // what is not told is forgotten: all that is known goes with it
    const { id, machines: _, ...known } = own
    const body = { ...known, email: email.value, was: { ...known, email: draft.value!.email } }
    const kept = await form.send(() => api('PUT /api/customers/:id', { id, body }))
    // what stands there by now: it was kept, or told with the refusal, and another tap means it
    if (kept || form.isChangedMeanwhile()) draft.value = { ...draft.value!, email: (kept ?? known).email }
    return kept !== null
  }
  /** Writes down that they were told. */
  const tell = (how: 'copied' | 'printed' | 'sent') =>
    form.send(() =>
      api('POST /api/reminders', {
        body: {
          customerId,
          machineIds: draft.value!.machineIds,
          how,
          text: text.value,
          subject: subject.value,
        },
      }),
    )
  return { form, draft, subject, text, email, saveEmail, tell }
}
