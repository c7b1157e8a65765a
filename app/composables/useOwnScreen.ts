import { useStorage } from '@vueuse/core'
import type { JobPin } from '~~/core/job'

/** How this device shows things: in dim light, and with which unit first. Nobody else's screen changes. */
export const useDim = () => useStorage('wembric-dim', false)
/** Which unit stands first at the Bench; null as the shop has it. */
export const useUnitFirst = () =>
  useStorage<JobPin['unit'] | null>('wembric-unit', null, undefined, {
    serializer: { read: text => (text === 'mm' || text === 'thou' ? text : null), write: unit => unit ?? '' },
  })
