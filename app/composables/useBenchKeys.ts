import type { Ref } from 'vue'
import { navigateTo } from '#imports'
import { KEYS, type Panel } from '../bench/panel'
import type { useBench } from './useBench'
import type { BenchScreen } from './useBenchScreen'
import { useKeys } from './useKeys'

type Toggled = 'more' | 'log' | 'help' | 'evidence' | 'reasons' | 'sets' | 'wrench'

/** Shows a panel in the place of the keys, or the keys again where it stands already. */
export const toggling = (panel: Ref<Panel>) => (kind: Toggled) => {
  panel.value = panel.value.kind === kind ? KEYS : { kind }
}

/** The Bench’s single keys. A handler that returns false leaves its key alone. */
export function useBenchKeys(
  { view, next, wanted }: ReturnType<typeof useBench>,
  screen: BenchScreen,
  caution: { acknowledged: Ref<boolean>; acknowledge: () => unknown },
): void {
  const { panel, turnDeg, stacking } = screen
  const show = toggling(panel)
  const open = (kind: Toggled) => (screen.isOpen.value ? show(kind) : false)
  const turn = (deg: number) => () => {
    if (turnDeg.value !== null) turnDeg.value += deg
  }
  /** Enter is for what is only confirmed: it takes no job out of another hand, and settles no conflict. */
  const onlyConfirmed = () =>
    !screen.handOver.asked.value &&
    !screen.clash.value &&
    (screen.keys.value.length === 1 || screen.keys.value[0]?.happening?.type === 'confirmed')
  const nextValve = () => {
    const ids = screen.strip.value.map(v => v.valveId)
    wanted.value = ids[(ids.indexOf(screen.activeValve.value ?? '') + 1) % ids.length] ?? null
  }
  useKeys({
    ...Object.fromEntries([1, 2, 3, 4].map(n => [String(n), () => screen.press(n - 1)])),
    'Enter': () => (onlyConfirmed() ? screen.press(0) : false),
    'ArrowLeft': () => screen.chooseBlade(-1),
    'ArrowRight': () => screen.chooseBlade(1),
    '[': turn(-5),
    ']': turn(5),
    'u': () => screen.undo(),
    'v': nextValve,
    'm': () => show('more'),
    'l': () => show('log'),
    '?': () => show('help'),
    'Escape': () => {
      panel.value = KEYS
    },
    'e': () => open('evidence'),
    'w': () => show('reasons'),
    'x': () => (view.value?.pin.otherSets.length ? open('sets') : false),
    't': () => open('wrench'),
    '+': () => {
      if (next.value?.trial) stacking.value = !stacking.value
    },
    'o': () => {
      document.querySelector<HTMLInputElement>('#slot-hour')?.focus()
    },
    's': () => {
      if (next.value?.trial) panel.value = { kind: 'blade' }
    },
    'c': () => (caution.acknowledged.value ? false : caution.acknowledge()),
    'b': () => navigateTo('/'),
    'g': () => {
      const gate = next.value?.requirement
      if (gate && !gate.firm && screen.isOpen.value) panel.value = { kind: 'ask', asks: 'reason' }
    },
  })
}
