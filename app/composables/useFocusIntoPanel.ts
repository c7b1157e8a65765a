import { nextTick, watch } from 'vue'

/** What the focus goes to in a panel that has no field of its own to begin with. */
const FIRST = 'input, textarea, select, button, [tabindex]'

/**
 * Whoever works by keyboard or hears the page goes along: into a panel when it opens, and back to where they were when
 * it closes. Whatever has taken the focus by itself keeps it.
 * @param kind which panel is open; “keys” is none
 * @param within the part of the page that panels open in
 */
export function useFocusIntoPanel(kind: () => string, within: () => HTMLElement | null): void {
  let from: HTMLElement | null = null
  watch(kind, async (now, before) => {
    const active = document.activeElement
    if (before === 'keys' && active instanceof HTMLElement && active !== document.body) from = active
    await nextTick()
    await nextTick()
    const panel = within()
    if (!panel || panel.contains(document.activeElement)) return
    const back = now === 'keys' && from?.isConnected ? from : null
    const first = panel.querySelector<HTMLElement>(now === 'keys' ? '[data-testid="instruction"]' : FIRST)
    const to = back ?? first
    if (to && to.tabIndex < 0) to.tabIndex = -1
    to?.focus({ preventScroll: now === 'keys' })
  })
}
