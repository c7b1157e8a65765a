import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import type { JobView } from '~~/core/job'
import { MINUTE_MS } from '~~/core/units'
import type { RevisionRow } from '~~/shared/spec-book'
import { api } from '../utils/api'

const ASKED_EVERY_MS = MINUTE_MS

/**
 * The revision that came into force since a job began, where it is not the one that the job goes by. Asked for now and
 * then; offline, what was known stays.
 */
export function useNewerSpec(jobId: number, view: () => JobView | null) {
  const known = ref<RevisionRow | null>(null)
  async function ask(): Promise<void> {
    try {
      known.value = (await api('GET /api/jobs/:id/newer-spec', { id: jobId })).newer
    } catch {
      /* no answer: the job goes on by what it has */
    }
  }
  onMounted(ask)
  useIntervalFn(ask, ASKED_EVERY_MS)
  const visibility = useDocumentVisibility()
  watch(visibility, now => {
    if (now === 'visible') void ask()
  })
  return computed(() =>
    known.value && view()?.state.status === 'open' && known.value.revision > view()!.pin.spec.revision
      ? known.value
      : null,
  )
}
