import { type Component, shallowRef } from 'vue'
import { KEYS } from '../../bench/panel'
import type { Given } from './side/side-panels'

const panels = shallowRef<typeof import('./side/side-panels') | null>(null)

/**
 * Reads what may stand in the place of the keys: no job needs it first. Where nothing can be fetched just now, the keys
 * stay, and it is tried again when something is asked for.
 */
export async function readSidePanels(): Promise<void> {
  panels.value ??= await import('./side/side-panels').catch(() => null)
}

/** What stands in the place of the keys; null where the keys do, and until it is read. */
export function sideOf(given: Given): { is: Component; props: Record<string, unknown> } | null {
  if (given.screen.panel.value.kind === KEYS.kind) return null
  if (panels.value) return panels.value.sideOf(given)
  void readSidePanels()
  return null
}
