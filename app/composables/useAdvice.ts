import { type Remote, wrap } from 'comlink'
import { onUnmounted, shallowRef } from 'vue'
import { type Advice, adviseBySearch } from '~~/core/position'
import type { Weigh } from '~~/core/job'
import type { AdviceRequest, AdviceWorker } from '../workers/advice'
import AdviceThread from '../workers/advice?worker'

/**
 * Weighs the next move in a worker: null at first, then the advice, for which whatever read it is worked out again.
 * Where no worker can be had, it is weighed at once.
 */
export function useAdvice(): Weigh {
  const found = shallowRef(new Map<string, Advice>())
  const asked = new Set<string>()
  let thread: Worker | null = null
  let remote: Remote<AdviceWorker> | null = null

  function worker(): Remote<AdviceWorker> {
    if (!remote) {
      thread = new AdviceThread()
      remote = wrap<AdviceWorker>(thread)
    }
    return remote
  }
  onUnmounted(() => thread?.terminate())

  return (model, position, noted) => {
    // plain data: what waits in the outbox is reactive, and a worker takes no proxies
    const request = JSON.parse(
      JSON.stringify({
        engine: model.engine,
        school: model.plan.school,
        oneAtATime: model.plan.byCylinder,
        noted,
        tightBy: model.tightBy,
      }),
    ) as AdviceRequest
    const key = JSON.stringify([request.engine.decompressor, request.school, request.oneAtATime, request.noted])
    const known = found.value.get(key)
    if (known || asked.has(key)) return known ?? null
    asked.add(key)
    const keep = (advice: Advice) => {
      found.value = new Map(found.value).set(key, advice)
    }
    worker()(request)
      .then(keep)
      .catch(() => keep(adviseBySearch(model, position, noted)))
    return null
  }
}
