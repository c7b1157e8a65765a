import { onMounted, ref } from 'vue'
import { api } from '../utils/api'

/** A tag that no machine has yet, as the shop numbers them; empty while nobody answers. */
export function useNextTag() {
  const tag = ref('')
  onMounted(async () => {
    const next = await api('GET /api/next-tag').catch(() => null)
    tag.value = next?.tag ?? ''
  })
  return tag
}
