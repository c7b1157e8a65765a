import { computed, onMounted, ref } from 'vue'
import type { Act, PracticeEngine, PracticeStart } from '~~/core/practice'
import type { BestRun, PracticeResponse, RunOverTime } from '~~/shared/practice'
import { api } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { t } from '../words'
import { useFinder } from './useFinder'
import { useForm } from './useForm'

/** Models of the spec book as engines to practise on. */
async function enginesLike(text: string): Promise<PracticeEngine[]> {
  if (!text.trim()) return []
  const { rows } = await api('GET /api/models', { query: { q: text, limit: 6 } })
  const models = await Promise.all(rows.map(row => api('GET /api/models/:id', { id: row.id })))
  return models.map(({ model }) => ({
    id: `model-${model.id}`,
    name: `${model.maker} ${model.model}`,
    about: model.kind,
    engine: model.engine,
  }))
}

/**
 * What is practised on beside the built-in engines, and the best of each: kept by the shop's server, so that practising
 * goes on without it.
 */
export function usePracticeShelf() {
  const best = ref<BestRun[]>([])
  const runsKept = ref<RunOverTime[]>([])
  const kept = ref('')
  const take = (answer: PracticeResponse) => {
    best.value = answer.best
    runsKept.value = answer.runs
  }
  const runs = useForm()
  const { q, found, failed } = useFinder(enginesLike, 200)
  onMounted(() =>
    runs.send(async () => {
      take(await api('GET /api/practice'))
    }),
  )

  /** Hands a run over to be kept. */
  async function handOver(
    { kind, level, seed, guidance, robot, drill }: PracticeStart,
    seconds: number,
    acts: Act[],
  ): Promise<void> {
    kept.value = t('use-practice-shelf.handing-it-over')
    try {
      const answer = await api('POST /api/practice', {
        body: {
          engineId: kind.id,
          level,
          seed,
          guidance,
          robot: robot ?? false,
          drill: drill ?? null,
          seconds,
          acts,
        },
      })
      take(answer)
      kept.value = t('use-practice-shelf.kept-with-the-shops-runs')
    } catch (error) {
      kept.value = t('use-practice-shelf.not-kept', { error: wordsFor(error) })
    }
  }
  return {
    best,
    over: runsKept,
    own: computed(() => found.value ?? []),
    failed: computed(() => failed.value || runs.failed.value),
    kept,
    q,
    handOver,
  }
}
