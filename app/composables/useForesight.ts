import { onUnmounted, type Ref, watch } from 'vue'
import { foresee, type JobEvent, type JobTools, type NextThing } from '~~/core/job'
import { whenIdle } from '../utils/idle'

/** The wheel has turned by then, and nobody answers sooner. */
const AFTER_MS = 800
/**
 * While somebody turns a crank or reads a blade, works out one key after the other what its answer would lead to: so
 * that the next instruction is there at once when it is given, also on a slow phone.
 */
export function useForesight({
  tools,
  log,
  next,
  nowMs,
}: {
  tools: Ref<JobTools | null>
  log: Ref<JobEvent[]>
  next: Ref<NextThing | null>
  nowMs: Ref<number>
}): void {
  let timer: ReturnType<typeof setTimeout> | undefined
  let turn = 0
  const answersOf = () => (next.value?.keys ?? []).flatMap(({ happening }) => (happening ? [happening] : []))
  watch(
    // the clock makes the same keys anew every twenty seconds
    [() => tools.value, () => log.value, () => JSON.stringify(answersOf())],
    () => {
      clearTimeout(timer)
      const own = ++turn
      const answers = answersOf()
      const one = () => {
        const happening = answers.shift()
        if (own !== turn || !happening || !tools.value) return
        foresee(tools.value, log.value, happening, nowMs.value)
        whenIdle(one)
      }
      timer = setTimeout(() => whenIdle(one), AFTER_MS)
    },
    { immediate: true },
  )
  onUnmounted(() => {
    clearTimeout(timer)
    turn++
  })
}
