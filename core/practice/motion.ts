import { type Engine, rodLengthMm, type Role, valveEvents, wrap } from '../engine'

/**
 * The true cam of a virtual engine, by local angle: it opens and closes at these angles at the check lift, with ramps
 * before and after. Its flanks follow a law of their own, not the one that the judgement draws, so that neither can
 * hide an error of the other.
 */
export interface TrueCam {
  opensDeg: number
  closesDeg: number
  rampDeg: number
  checkMm: number
  greatestMm: number
}

/** The lift at the check events of seat timing given without one; from memory. */
const SEAT_LIFT_MM = 0.11
/** The greatest lift of a cam without data, by the stroke. From memory. */
const GREATEST_PER_STROKE = 0.11

/** The cam that the data of an engine describe, ground so many degrees late. */
export function trueCam(engine: Engine, role: Role, lateDeg = 0): TrueCam {
  const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, role)
  const checkMm = engine.cam === null ? 1 : (engine.cam.checkLiftMm ?? SEAT_LIFT_MM)
  return {
    opensDeg: opensDeg + lateDeg,
    closesDeg: closesDeg + lateDeg,
    rampDeg,
    checkMm,
    greatestMm: Math.max(engine.strokeMm * GREATEST_PER_STROKE, checkMm * 1.5),
  }
}

/**
 * Lift of a true cam over its base circle: ramps of constant acceleration that turn over half-way, and half a sine
 * between the events.
 * @param localDeg degrees after the cylinder's compression TDC, any value
 * @returns mm, 0 on the base circle, the check lift at the events
 */
export function camLiftMm({ opensDeg, closesDeg, rampDeg, checkMm, greatestMm }: TrueCam, localDeg: number): number {
  const sinceSeat = wrap(localDeg - opensDeg + rampDeg)
  const open = closesDeg - opensDeg
  if (sinceSeat >= open + 2 * rampDeg) return 0
  const onRamp = Math.min(sinceSeat, open + 2 * rampDeg - sinceSeat) / rampDeg
  if (onRamp < 1) return checkMm * (onRamp < 0.5 ? 2 * onRamp ** 2 : 1 - 2 * (1 - onRamp) ** 2)
  return checkMm + (greatestMm - checkMm) * Math.sin((Math.PI * (sinceSeat - rampDeg)) / open)
}

/**
 * How far the piston is below its top, by the place of the crank pin and the rod from there.
 * @param localDeg crank angle after the cylinder's TDC, any value
 * @returns mm in [0, stroke]
 */
export function pistonBelowTopMm(engine: Pick<Engine, 'strokeMm' | 'rodMm'>, localDeg: number): number {
  const throwMm = engine.strokeMm / 2
  const rodMm = rodLengthMm(engine)
  const pin = { x: throwMm * Math.sin((localDeg * Math.PI) / 180), y: throwMm * Math.cos((localDeg * Math.PI) / 180) }
  return throwMm + rodMm - (pin.y + Math.sqrt(rodMm ** 2 - pin.x ** 2))
}

/**
 * The crank angle past top, in [0, 180], at which the piston is so far down: the downward stroke halved until it is
 * found.
 */
export function pastTopDeg(engine: Pick<Engine, 'strokeMm' | 'rodMm'>, downMm: number): number {
  let [from, to] = [0, 180]
  for (let i = 0; i < 50; i++) {
    const middle = (from + to) / 2
    if (pistonBelowTopMm(engine, middle) < downMm) from = middle
    else to = middle
  }
  return from
}
