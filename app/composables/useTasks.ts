import { reactive } from 'vue'
import type { TaskRow } from '~~/shared/board'
import { api } from '../utils/api'
import { useForm } from './useForm'

/** What is being typed for a job, by its id: it outlives the panel that it is typed into. */
export const typedTasks = reactive(new Map<number, string>())

/** What else a visit is for: added to a job, ticked, taken off. Each says whether it was done. */
export function useTasks() {
  const form = useForm()
  const add = async (jobId: number, name: string, needs: TaskRow['needs']): Promise<boolean> =>
    (await form.send(() => api('POST /api/jobs/:id/tasks', { id: jobId, body: { name, needs } }))) !== null
  const tick = async (id: number, done: boolean, because: string): Promise<boolean> =>
    (await form.send(() => api('PUT /api/tasks/:id', { id, body: { done, because } }))) !== null
  const drop = async (id: number): Promise<boolean> =>
    (await form.send(() => api('DELETE /api/tasks/:id', { id }))) !== null
  return { form, add, tick, drop }
}
