import { watchDebounced } from '@vueuse/core'
import { type Ref, ref, shallowRef } from 'vue'
import { wordsFor } from '../utils/errors'

/** What is found as it is typed for. An answer that comes after a newer one was asked for is not shown. */
export function useFinder<T>(ask: (text: string) => Promise<T>, typingMs = 120) {
  const q = ref('')
  const found = shallowRef<T | null>(null) as Ref<T | null>
  const failed = ref('')
  let asked = 0
  async function find(): Promise<void> {
    const turn = ++asked
    try {
      const answer = await ask(q.value)
      if (turn !== asked) return
      found.value = answer
      failed.value = ''
    } catch (error) {
      if (turn === asked) failed.value = wordsFor(error)
    }
  }
  watchDebounced(q, find, { debounce: typingMs })
  return { q, found, failed, find }
}
