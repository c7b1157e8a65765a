import type { HandBands } from '../feeler'
import type { Random } from './random'

/**
 * How a hand errs. `wrongShare` of what it says about the crank is not so; `reachDeg` is how exactly it stops, `feelMm`
 * how far a blade’s feel is off at most.
 */
export interface HandErrors {
  random: Random
  wrongShare: number
  reachDeg: number
  feelMm: number
  /**
   * How wide this hand's drag and pinch are, and from how much play on it feels a rocker click; as usual where not
   * told. mm
   */
  bands?: HandBands
  clicksFromMm?: number
  /** Share of stops at which it overshoots and turns back, and says nothing of it. */
  turnsBackShare?: number
  /** Gives a reason rather than choosing another way of finding the stops. */
  keepsToItsWay?: boolean
}
/** Stops on the line, feels what is there, and is never wrong. */
export const STEADY = (): HandErrors => ({ random: () => 0.5, wrongShare: 0, reachDeg: 0, feelMm: 0 })
