import { AIR_SIGMA_C, type CoolingCurve, coolingCurve, type Readiness, readyAt } from '../cooling'
import type { JobView } from './view'

/** The air of a shop where nobody read it. °C, from memory, and said to be assumed. */
export const USUAL_AIR_C = 20

/** How a job's engine cools: its curve, the limit, and when it will be cold enough; whether the air was read. */
export interface CoolingDown {
  curve: CoolingCurve
  limitC: number
  ready: Readiness
  airAssumed: boolean
}

/** A head that was read warm, on its way to cold; null without a reading, and once the last one is under the limit. */
export function coolingDown({ pin, state }: Pick<JobView, 'pin' | 'state'>): CoolingDown | null {
  const limitC = pin.spec.engine.coldLimitC
  if (!state.temperature || state.temperature.celsius <= limitC || pin.spec.engine.setWhen === 'hot') return null
  const curve = coolingCurve(
    state.headReadings.map(r => ({ atMs: Date.parse(r.at), celsius: r.celsius })),
    state.airC ?? USUAL_AIR_C,
    state.airC === null ? AIR_SIGMA_C.assumed : AIR_SIGMA_C.read,
  )
  return { curve, limitC, ready: readyAt(curve, limitC), airAssumed: state.airC === null }
}

/** Whether the clock alone says that a head is cold by now; the thermometer has the last word. */
export const coldByClock = (cooling: Pick<CoolingDown, 'ready'> | null, nowMs: number): boolean =>
  cooling?.ready.kind === 'at' && cooling.ready.atMs <= nowMs
