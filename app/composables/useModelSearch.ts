import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { SearchResponse } from '~~/shared/spec-book'
import { api, wordsFor } from '../utils/api'

const TYPING_MS = 90

/** Models as they are typed for; the answer to what was typed last is the one that is shown. */
export function useModelSearch(limit = 20, machine?: string) {
  const q = ref('')
  const found = ref<SearchResponse | null>(null)
  const failed = ref('')
  let asked = 0
  async function ask(): Promise<void> {
    const turn = ++asked
    try {
      const answer = await api.get<SearchResponse>(`/api/models?${new URLSearchParams({ q: q.value, limit: String(limit), ...machine ? { machine } : {} })}`)
      if (turn === asked) {
        found.value = answer
        failed.value = ''
      }
    }
    catch (error) { if (turn === asked) failed.value = wordsFor(error) }
  }
  watch(q, useDebounceFn(ask, TYPING_MS))
  return { q, found, failed, ask }
}
