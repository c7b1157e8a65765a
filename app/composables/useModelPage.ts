import { onMounted, ref } from 'vue'
import type { DeviceShop } from '~~/shared/device-job'
import type { ModelResponse } from '~~/shared/spec-book'
import { api, isAway } from '../utils/api'
import { useDeviceShop } from './useDeviceShop'
import { useForm } from './useForm'

/** The revision in force as the device has it: its figures, and no others. */
function fromDevice({ models, at }: DeviceShop, modelId: number): ModelResponse | null {
  const known = models.find(m => m.id === modelId)
  if (!known) return null
  const { hit, spec } = known
  const approved = spec.status === 'approved'
  return {
    model: { ...hit, revisionId: spec.revisionId, engine: spec.engine },
    revisions: [
      {
        ...{ id: spec.revisionId, modelId, revision: spec.revision, engine: spec.engine, reason: '', basedOn: null },
        ...{ answered: [], source: hit.source, sourceDate: hit.sourceDate, authorId: 0, author: hit.author },
        ...{ createdAt: at, approvedBy: null, approvedAt: approved ? at : null, approvalReason: '', sentBackBy: null },
        ...{ sentBackAt: null, sentBackReason: '', jobs: 0, page: false },
      },
    ],
    openJobs: [],
    mayApproveOwn: false,
    learned: null,
  }
}

/**
 * A model with its revisions; where no server answers, the figures in force as this device fetched them, `fetchedAt`.
 */
export function useModelPage(modelId: number) {
  const form = useForm()
  const device = useDeviceShop()
  const given = ref<ModelResponse | null>(null)
  const fetchedAt = ref<string | null>(null)
  const load = async () => {
    given.value = await form.send(async () => {
      try {
        const answer = await api('GET /api/models/:id', { id: modelId })
        fetchedAt.value = null
        return answer
      } catch (error) {
        const shop = isAway(error) ? await device.known() : null
        const known = shop && fromDevice(shop, modelId)
        if (!known) throw error
        fetchedAt.value = shop.at
        return known
      }
    })
  }
  onMounted(load)
  return { form, given, fetchedAt }
}
