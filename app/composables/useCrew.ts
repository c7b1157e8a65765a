import { onMounted, ref } from 'vue'
import { navigateTo } from '#imports'
import type { CrewMember } from '~~/shared/change-of-hands'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { api, append } from '../utils/api'
import { useForm } from './useForm'
import { useOwnLanguage } from './useOwnLanguage'

/** The crew that may take over on this device by a PIN; nobody where no lead trusts it, or no server answers. */
export function useCrew() {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const own = useOwnLanguage()
  const form = useForm()
  const crew = ref<CrewMember[]>([])
  const asked = ref(false)
  onMounted(async () => {
    crew.value = (await api('GET /api/crew').catch(() => ({ people: [] }))).people
    asked.value = true
  })
  /** The next person works here: what waits of the one before is sent when they are back. */
  async function takeOver(personId: number, pin: string, path: string): Promise<void> {
    const given = await form.send(() => append('POST /api/session/pin', { body: { personId, pin } }))
    if (!given) return
    session.begin(given)
    void outbox.flush()
    if (!own.speakTheirs(path)) await navigateTo(path)
  }
  return { crew, asked, form, takeOver }
}
