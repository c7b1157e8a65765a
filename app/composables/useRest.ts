import { useEventListener } from '@vueuse/core'
import { onUnmounted, ref, watch } from 'vue'

/**
 * So long keys are deaf after what they answer was painted anew, ms: a thumb that bounces, or taps twice in a hurry,
 * comes down again within 400 ms of its first tap. From memory.
 */
export const REST_MS = 400

/** A finger is not waited for longer than this, ms. From memory. */
const LONGEST_HOLD_MS = 3_000

/** Two frames: the first paints what has changed. Where none come, in a tab in the background, a tenth of a second. */
const painted = (): Promise<void> =>
  new Promise(done => {
    setTimeout(done, 100)
    requestAnimationFrame(() => requestAnimationFrame(() => done()))
  })

/**
 * Keys that rest for a moment after a tap, and after what they answer has changed, and until the finger is up: the
 * second tap of two in a hurry would answer a question that nobody has read yet.
 * @param question what the keys answer; when it changes, they rest
 */
export function useRest(question: () => unknown) {
  const resting = ref(false)
  /** Fingers that are on the screen. */
  const down = new Set<number>()
  let turn = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let slept = false
  const wake = () => {
    if (slept && down.size === 0) resting.value = false
  }
  useEventListener(window, 'pointerdown', e => down.add(e.pointerId), { capture: true, passive: true })
  useEventListener(window, ['pointerup', 'pointercancel'], e => {
    down.delete(e.pointerId)
    // the click of this finger comes first
    setTimeout(wake)
  })

  async function rest(): Promise<void> {
    const mine = ++turn
    clearTimeout(timer)
    resting.value = true
    slept = false
    await painted()
    if (mine !== turn) return
    timer = setTimeout(() => {
      slept = true
      wake()
      // one whose lifting was not told would hold the keys for ever
      timer = setTimeout(() => {
        down.clear()
        wake()
      }, LONGEST_HOLD_MS)
    }, REST_MS)
  }
  onUnmounted(() => clearTimeout(timer))
  watch(question, rest, { immediate: true })
  /** Does it unless the keys rest. */
  function unlessResting(act: () => unknown): void {
    if (resting.value) return
    void rest()
    act()
  }
  return { resting, unlessResting }
}
