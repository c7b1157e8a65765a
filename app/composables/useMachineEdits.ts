import type { ApiKey, BodySent, Unfinished } from '~~/shared/api'
import { api } from '../utils/api'
import { useForm } from './useForm'

type Typed<K extends ApiKey> = Unfinished<BodySent<K>>

/**
 * A machine is added, put right, or told of outside a job. Each gives the machine as it is then, or null where the form
 * says what is wrong.
 */
export function useMachineEdits() {
  const form = useForm()
  return {
    form,
    add: (body: Typed<'POST /api/machines'>) => form.send(() => api('POST /api/machines', { body })),
    edit: (id: number, body: Typed<'PUT /api/machines/:id'>) =>
      form.send(() => api('PUT /api/machines/:id', { id, body })),
    owner: (id: number, body: Typed<'POST /api/machines/:id/owner'>) =>
      form.send(() => api('POST /api/machines/:id/owner', { id, body })),
    meter: (id: number, body: Typed<'POST /api/machines/:id/meter'>) =>
      form.send(() => api('POST /api/machines/:id/meter', { id, body })),
    engine: (id: number, body: Typed<'POST /api/machines/:id/engine'>) =>
      form.send(() => api('POST /api/machines/:id/engine', { id, body })),
    merge: (id: number, intoId: number | null) =>
      form.send(() => api('POST /api/machines/:id/merge', { id, body: { intoId } })),
    pastVisit: (id: number, body: Typed<'POST /api/machines/:id/visits'>) =>
      form.send(() => api('POST /api/machines/:id/visits', { id, body })),
  }
}
