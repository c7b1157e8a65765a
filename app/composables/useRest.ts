import { watch } from 'vue'
import { refAutoReset } from '@vueuse/core'

/** How long a bounced thumb takes to come down again, about; nobody reads a question in less. */
export const REST_MS = 300

/**
 * Keys that rest for a moment after a tap, and after what they answer has changed: the second tap of two in a hurry
 * would answer a question that nobody has read yet.
 * @param question what the keys answer; when it changes, they rest
 */
export function useRest(question: () => unknown) {
  const resting = refAutoReset(false, REST_MS)
  const rest = () => {
    resting.value = true
  }
  watch(question, rest, { immediate: true })
  /** Does it unless the keys rest. */
  function unlessResting(act: () => unknown): void {
    if (resting.value) return
    rest()
    act()
  }
  return { resting, unlessResting }
}
