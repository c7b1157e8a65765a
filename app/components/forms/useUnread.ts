import { inject, onUnmounted } from 'vue'
import { FORM_AROUND } from './checked-form'

/** What is typed here and cannot be read holds the form around it back: it would keep what stood there before. */
export function useUnread(unread: () => boolean): void {
  const around = inject(FORM_AROUND, null)
  if (around) onUnmounted(around.holdBack(unread))
}
