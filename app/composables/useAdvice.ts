import { type Remote, wrap } from 'comlink'
import { onUnmounted, shallowRef } from 'vue'
import type { Weigh } from '~~/core/job'
import { type Advice, adviseBySearch } from '~~/core/position'
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

  /** @throws where no worker can be had: it is not made, or its program does not load */
  const weighed = (request: AdviceRequest): Promise<Advice> =>
    new Promise((done, fail) => {
      thread ??= new AdviceThread()
      remote ??= wrap<AdviceWorker>(thread)
      // a program that does not load answers nothing, ever
      thread.addEventListener('error', fail, { once: true })
      remote(request).then(done, fail)
    })
  onUnmounted(() => thread?.terminate())

  return (model, position, noted) => {
    // plain data: what waits in the outbox is reactive, and a worker takes no proxies
    const key = JSON.stringify({
      engine: model.engine,
      school: model.plan.school,
      oneAtATime: model.plan.byCylinder,
      noted,
      tightBy: model.tightBy,
    } satisfies AdviceRequest)
    const known = found.value.get(key)
    if (known || asked.has(key)) return known ?? null
    asked.add(key)
    const keep = (advice: Advice) => {
      found.value = new Map(found.value).set(key, advice)
    }
    weighed(JSON.parse(key) as AdviceRequest)
      .then(keep)
      .catch(() => keep(adviseBySearch(model, position, noted)))
    return null
  }
}
