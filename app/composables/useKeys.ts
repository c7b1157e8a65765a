import { useStorage } from '@vueuse/core'
import { onMounted, onUnmounted } from 'vue'

/** Single-key shortcuts rest while somebody types, and can be switched off. */
export const useShortcutsOn = () => useStorage('wembric-shortcuts', true)

/** Keys that may be held down: they move a choice, and answer nothing. */
const HELD = ['ArrowLeft', 'ArrowRight', '[', ']']

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.getAttribute('role') === 'combobox')

/**
 * Answers to keys without modifiers.
 * @param handlers by `KeyboardEvent.key`, letters in lower case; a handler that returns false leaves the key alone
 */
export function useKeys(handlers: Record<string, () => unknown>): void {
  const on = useShortcutsOn()
  const listen = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || (!on.value && event.key !== 'Escape'))
      return
    // a key held down a moment too long answers no second question
    if (event.repeat && !HELD.includes(event.key)) return
    // Enter on a focused button is that button's own
    if (event.key === 'Enter' && event.target instanceof HTMLElement && event.target.closest('button, a')) return
    const handler = handlers[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (handler && handler() !== false) event.preventDefault()
  }
  onMounted(() => window.addEventListener('keydown', listen))
  onUnmounted(() => window.removeEventListener('keydown', listen))
}
