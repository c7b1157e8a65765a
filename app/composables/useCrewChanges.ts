import { ref } from 'vue'
import type { OneTimeCode, PersonRow } from '~~/shared/people'
import { api } from '../utils/api'
import { useForm } from './useForm'
import { useSaid } from './useSaid'

/** What a lead changes about the people of the shop. */
export function useCrewChanges() {
  const form = useForm()
  const said = useSaid()
  const people = ref<PersonRow[]>([])
  const code = ref<{ person: PersonRow; made: OneTimeCode } | null>(null)
  const load = async () => {
    people.value = (await form.send(() => api('GET /api/people'))) ?? people.value
  }
  /** Does it, says so, and reads the crew anew; what was refused is said by the form. */
  async function change(work: () => Promise<unknown>): Promise<void> {
    code.value = null
    if ((await form.send(work)) === null) return
    said()
    await load()
  }
  return {
    form,
    people,
    code,
    load,
    role: ({ id, role }: PersonRow) =>
      change(() => api('PUT /api/people/:id', { id, body: { role: role === 'lead' ? 'mechanic' : 'lead' } })),
    end: ({ id }: PersonRow) => change(() => api('DELETE /api/people/:id', { id })),
    back: ({ id }: PersonRow) => change(() => api('POST /api/people/:id/back', { id })),
    signOut: ({ id }: PersonRow) => change(() => api('POST /api/people/:id/sign-out', { id })),
    async makeCode(person: PersonRow): Promise<void> {
      const made = await form.send(() => api('POST /api/people/:id/code', { id: person.id }))
      code.value = made && { person, made }
    },
  }
}
