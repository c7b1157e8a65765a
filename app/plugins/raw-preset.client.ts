import { markRaw, toRaw } from 'vue'
import { defineNuxtPlugin, useRuntimeConfig } from '#imports'

/**
 * The theme never changes: its thousands of values are not followed one by one, which took a slow
 * phone a while before its first page. Before the parts take it.
 */
export default defineNuxtPlugin({
  enforce: 'pre',
  setup() {
    const { theme } = (useRuntimeConfig().public.primevue as { options: { theme: { preset: object } } }).options
    markRaw(toRaw(theme.preset))
  },
})
