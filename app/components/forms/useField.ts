import { computed, inject, watch } from 'vue'
import { FORM_AROUND } from './checked-form'

/** A field of a checked form, by its name there: what is wrong with it, or else odd, and that it was left. */
export function useField(told: { name?: string; wrong?: string; odd?: string }) {
  const around = inject(FORM_AROUND, null)
  watch(
    () => told.name,
    (name, _, onCleanup) => {
      if (name && around) onCleanup(around.register(name))
    },
    { immediate: true, flush: 'post' },
  )
  return {
    wrong: computed(() => told.wrong ?? (told.name ? around?.wrong(told.name) : undefined) ?? told.odd),
    leave: () => {
      if (told.name) around?.leave(told.name)
    },
  }
}
