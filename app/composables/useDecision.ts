import { computed, ref } from 'vue'
import type { ModelResponse, RevisionRow } from '~~/shared/spec-book'
import { dayOf } from '../components/spec/revision-words'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { useForm } from './useForm'

/** What a lead decides on a draft: approve it, with a reason where it is their own, or send it back with one. */
export function useDecision(given: () => { model: ModelResponse; after: RevisionRow }, decided: () => void) {
  const session = useSessionStore()
  const form = useForm()
  const open = computed(() => {
    const { after } = given()
    return !after.approvedAt && !after.sentBackAt ? after : null
  })
  const own = computed(() => open.value?.authorId === session.person?.id)
  const mayApprove = computed(
    () => session.isLead && open.value !== null && (!own.value || given().model.mayApproveOwn),
  )
  const asking = ref<'approve' | 'back' | null>(null)
  const reason = ref('')
  const asked = () => ({ id: given().after.id, body: { reason: reason.value } })
  function done(): void {
    asking.value = null
    reason.value = ''
    decided()
  }
  async function approve(): Promise<void> {
    // the second of two taps in a hurry
    if (form.busy.value) return
    if (own.value && asking.value !== 'approve') return void (asking.value = 'approve')
    if (await form.send(() => api('POST /api/revisions/:id/approve', asked()))) done()
  }
  async function sendBack(): Promise<void> {
    if (form.busy.value) return
    if (asking.value !== 'back') return void (asking.value = 'back')
    if (await form.send(() => api('POST /api/revisions/:id/send-back', asked()))) done()
  }
  const day = (iso: string): string => dayOf(iso, session.shop?.timeZone)
  return { form, open, own, mayApprove, asking, reason, approve, sendBack, day }
}
