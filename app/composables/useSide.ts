import { type Component, computed, shallowRef, watch } from 'vue'
import { KEYS } from '../bench/panel'
import type { Given } from '../components/bench/side/side-panels'
import { fetchWords } from '../words'

type Side = { is: Component; props: Record<string, unknown> }

const panels = shallowRef<typeof import('../components/bench/side/side-panels') | null>(null)

/**
 * Reads, with its words, what may stand in the place of the keys: no job needs it first. Where it cannot be fetched, the
 * next one tries.
 */
export async function readSidePanels(): Promise<void> {
  panels.value ??= await fetchWords(['panels'])
    .then(() => import('../components/bench/side/side-panels'))
    .catch(() => null)
}

/**
 * What stands in the place of the keys. They stay until it is read; where it cannot be, or has nothing to show any more,
 * they are the keys again and answer.
 * @param given all that a panel is made from; null while there is no job yet
 * @returns the panel, and which kind is shown: “keys” where there is none
 */
export function useSide(given: () => Given | null) {
  const side = computed((): Side | null => {
    const all = given()
    return all && all.screen.panel.value.kind !== KEYS.kind ? (panels.value?.sideOf(all) ?? null) : null
  })
  const shown = computed(() => (side.value ? given()!.screen.panel.value.kind : KEYS.kind))
  watch(
    () => [given()?.screen.panel.value.kind ?? KEYS.kind, side.value === null] as const,
    async ([kind, isMissing]) => {
      if (kind === KEYS.kind || !isMissing) return
      await readSidePanels()
      const all = given()
      if (all && !side.value) all.screen.panel.value = KEYS
    },
  )
  return { side, shown }
}
