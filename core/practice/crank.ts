import { firingAngle, type Place, placePeriod, valveById, wrap } from '../engine'
import { pastTopDeg } from './motion'
import { localDeg, type VirtualEngine } from './virtual-engine'

/** Turns the crank, backward when negative. The cam follows at once forward, and lags by the chain's slack backward. */
export function turnCrank(v: VirtualEngine, deg: number): void {
  v.crankDeg = wrap(v.crankDeg + deg)
  v.camAheadDeg = Math.min(v.nature.chainSlackDeg, Math.max(0, v.camAheadDeg - deg))
}

/** The cycle angle at which a hand would stop for a place, by the engine's true cam. */
export function trueAngle(v: VirtualEngine, place: Place): number {
  const { engine } = v
  switch (place.kind) {
    case 'mark':
      return engine.marks[place.markIndex]!.angleDeg
    case 'cam-mark':
      return engine.camMarks[place.camMarkIndex]!.angleDeg
    case 'piston-top':
      return firingAngle(engine, place.cylinderId)
    case 'rod-drop':
      return firingAngle(engine, place.cylinderId) + pastTopDeg(engine, place.dropMm)
    case 'valve': {
      const { role, cylinderId } = valveById(engine, place.valveId)
      const { opensDeg, closesDeg, rampDeg } = v.nature.cams[role]
      const at = {
        'starts to open': opensDeg,
        'just closed': closesDeg + rampDeg,
        'fully open': (opensDeg + closesDeg) / 2,
        'open': (opensDeg + closesDeg) / 2,
      }[place.sight]
      return firingAngle(engine, cylinderId) + at
    }
  }
}

/** A place that the crank already stands on counts as passed: the next one is at least so much ahead. From memory. */
const AT_LEAST_ON_DEG = 7

/** Turns on until a place shows, for the so-manieth time. @param offDeg how far from it the hand stops */
export function turnToPlace(v: VirtualEngine, place: Place, times = 1, offDeg = 0): void {
  const period = placePeriod(place)
  turnCrank(
    v,
    AT_LEAST_ON_DEG + wrap(trueAngle(v, place) - v.crankDeg - AT_LEAST_ON_DEG, period) + (times - 1) * period + offDeg,
  )
}

/** Whole turns, then to the place nearest to where they end. */
export function turnWhole(v: VirtualEngine, turns: number, place: Place, offDeg = 0): void {
  const [at, period, end] = [trueAngle(v, place), placePeriod(place), v.crankDeg + 360 * turns]
  turnCrank(v, 360 * turns + at + period * Math.round((end - at) / period) - end + offDeg)
}

/** On past the shutting of a cylinder's intake, then to the place. */
export function watchIntake(v: VirtualEngine, cylinderId: string, place: Place, offDeg = 0): void {
  const { closesDeg, rampDeg } = v.nature.cams.intake
  const shuts = firingAngle(v.engine, cylinderId) + closesDeg + rampDeg
  turnCrank(v, wrap(shuts - v.crankDeg))
  turnCrank(v, wrap(trueAngle(v, place) - shuts, placePeriod(place)) + offDeg)
}

/**
 * Past a compression top by so much, the springs and what pressure is left roll the crank on; nearer it stays, beyond
 * it rests. From memory.
 */
const RUNS_ON_DEG = { from: 4, to: 14 }

/** How far the crank rolls on by itself when it is let go a little past compression. Degrees, 0 where it rests. */
export function kickDeg(v: VirtualEngine): number {
  const past = v.engine.cylinders
    .map(c => localDeg(v, c.id))
    .find(deg => deg > RUNS_ON_DEG.from && deg < RUNS_ON_DEG.to)
  return past === undefined ? 0 : RUNS_ON_DEG.to - past
}
