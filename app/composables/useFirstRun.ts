import { ref, watch } from 'vue'
import { api } from '../utils/api'

/** What a shop without jobs has of what a job on record needs; null while that is not known, and nobody asks. */
export function useFirstRun(isEmpty: () => boolean) {
  const has = ref<{ set: boolean; model: boolean; machine: boolean } | null>(null)
  watch(isEmpty, async empty => {
    if (!empty) return
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
