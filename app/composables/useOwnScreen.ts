import { useStorage } from '@vueuse/core'
import type { JobPin } from '~~/core/job'

/** How this device shows things: in dim light, and with which unit first. Nobody else's screen changes. */
export const useDim = () => useStorage('wembric-dim', false)
/** Instruction and keys large enough to be read from two meters. */
export const useBig = () => useStorage('wembric-big', false)
/** Black on white, or white on black in the dim: for a flashlight, or the sun on the screen. */
export const useStark = () => useStorage('wembric-stark', false)
/** Which unit stands first at the Bench; null as the shop has it. */
export const useUnitFirst = () =>
  useStorage<JobPin['unit'] | null>('wembric-unit', null, undefined, {
    serializer: { read: text => (text === 'mm' || text === 'thou' ? text : null), write: unit => unit ?? '' },
  })
