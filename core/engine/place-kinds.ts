import { CYCLE_DEG } from './angle'
import type { Place } from './place-schema'

/** Whether two are the same place, with the same drop or mark. */
export const samePlace = (a: Place | null, b: Place | null): boolean => JSON.stringify(a) === JSON.stringify(b)

/** After how many crank degrees a place shows again: flywheel and piston each turn, cam and valves each cycle. */
export const placePeriod = (place: Place): 360 | 720 =>
  place.kind === 'cam-mark' || place.kind === 'valve' ? CYCLE_DEG : 360
