import { nextTick, type Ref, type TemplateRef } from 'vue'

/**
 * Keeps the list of a field that finds as it is typed: it changes once, when the answer is there, for a row that
 * changed under a thumb would be the wrong one; and an answer that comes after somebody has picked opens it no more.
 */
export function usePicker<T extends object>(
  picked: Ref<T | string | null>,
  suggestions: Ref<T[]>,
  field: TemplateRef<{ hide: () => void }>,
) {
  return async (found: T[]): Promise<void> => {
    suggestions.value = [...found]
    if (typeof picked.value !== 'object' || picked.value === null) return
    await nextTick()
    field.value?.hide()
  }
}
