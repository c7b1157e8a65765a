import { onMounted, ref, shallowRef } from 'vue'
import { watchDebounced } from '@vueuse/core'
import type { Act, PracticeEngine, PracticeStart } from '~~/core/practice'
import type { BestRun, PracticeResponse } from '~~/shared/practice'
import type { ModelResponse, SearchResponse } from '~~/shared/spec-book'
import { api, wordsFor } from '../utils/api'

/** What is practised on beside the built-in engines, and the best of each: kept by the shop's server, so that practising goes on without it. */
export function usePracticeShelf() {
  const best = ref<BestRun[]>([])
  const own = shallowRef<PracticeEngine[]>([])
  const failed = ref('')
  const kept = ref('')
  const q = ref('')
  const tried = async (work: () => Promise<void>) => {
    failed.value = ''
    try { await work() }
    catch (error) { failed.value = wordsFor(error) }
  }
  onMounted(() => tried(async () => { best.value = (await api.get<PracticeResponse>('/api/practice')).best }))
  watchDebounced(q, text => tried(async () => {
    if (!text.trim()) { own.value = []; return }
    const { rows } = await api.get<SearchResponse>(`/api/models?q=${encodeURIComponent(text)}&limit=6`)
    const models = await Promise.all(rows.map(row => api.get<ModelResponse>(`/api/models/${row.id}`)))
    own.value = models.map(({ model }) => ({ id: `model-${model.id}`, name: `${model.maker} ${model.model}`, about: model.kind, engine: model.engine }))
  }), { debounce: 200 })

  /** Hands a run over to be kept. */
  async function handOver({ kind, level, seed, guidance, robot }: PracticeStart, seconds: number, acts: Act[]): Promise<void> {
    kept.value = 'Handing it over …'
    try {
      const answer = await api.post<{ best: BestRun[] }>('/api/practice', { engineId: kind.id, level, seed, guidance, robot: robot ?? false, seconds, acts })
      best.value = answer.best
      kept.value = 'Kept with the shop’s runs.'
    }
    catch (error) { kept.value = `Not kept: ${wordsFor(error)}` }
  }
  return { best, own, failed, kept, q, handOver }
}
