import { watchDebounced } from '@vueuse/core'
import { type Ref, ref, shallowRef } from 'vue'
import { wordsFor } from '../utils/errors'

/** What is found as it is typed for. An answer that comes after a newer one was asked for is not shown. */
export function useFinder<T>(ask: (text: string) => Promise<T>, typingMs = 120) {
  const q = ref('')
  const found = shallowRef<T | null>(null) as Ref<T | null>
  const failed = ref('')
  let asked = 0
  let askedFor: string | null = null
  /** @returns whether this is what is shown now, and not something that was asked for since */
  async function find(): Promise<boolean> {
    const turn = ++asked
    askedFor = q.value
    try {
      const answer = await ask(q.value)
      if (turn !== asked) return false
      found.value = answer
      failed.value = ''
    } catch (error) {
      if (turn === asked) failed.value = wordsFor(error)
    }
    return turn === asked
  }
  /** The same at once, for a list that waits for its answer. */
  function findNow(text: string): Promise<boolean> {
    q.value = text
    return find()
  }
  watchDebounced(q, () => (q.value === askedFor ? undefined : find()), { debounce: typingMs })
  return { q, found, failed, find, findNow }
}
