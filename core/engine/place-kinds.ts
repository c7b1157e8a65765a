import type { z } from '../zod'
import { CYCLE_DEG } from './angle'
import type { placeSchema } from './place-schema'

export const VALVE_SIGHTS = ['starts to open', 'fully open', 'just closed', 'open'] as const
export type ValveSight = (typeof VALVE_SIGHTS)[number]

export type Place = z.infer<typeof placeSchema>

/** Whether two are the same place, with the same drop or mark. */
export const samePlace = (a: Place | null, b: Place | null): boolean => JSON.stringify(a) === JSON.stringify(b)

/** After how many crank degrees a place shows again: flywheel and piston each turn, cam and valves each cycle. */
export const placePeriod = (place: Place): 360 | 720 =>
  place.kind === 'cam-mark' || place.kind === 'valve' ? CYCLE_DEG : 360
