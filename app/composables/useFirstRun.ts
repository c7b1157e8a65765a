import { onMounted, ref } from 'vue'
import { api } from '../utils/api'

/** What a shop has of what a job on record needs; null while that is not known. */
export function useFirstRun() {
  const has = ref<{ set: boolean; model: boolean; machine: boolean } | null>(null)
  onMounted(async () => {
    try {
      const [sets, models, machines] = await Promise.all([
        api('GET /api/blade-sets'),
        api('GET /api/models', { query: { q: '', limit: 1 } }),
        api('GET /api/machines', { query: { q: '' } }),
      ])
      has.value = { set: sets.length > 0, model: models.rows.length > 0, machine: machines.length > 0 }
    } catch {
      // nothing is ticked off that nobody told
    }
  })
  return has
}
