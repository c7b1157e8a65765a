import { type Cam, type Engine, pistonDrop } from '../engine'
import { type Said, say } from '../said'
import { derivedFacts } from './derived'
import type { SpecField } from './spec-fields'

/** One thing that nobody told of an engine: what stands in its place, and what that costs at the bench. */
export interface Assumption {
  /** Where it would be told. */ field: SpecField
  says: Said
}

/** Cams of small engines open and close within so much of the assumed one. From memory of published timings. */
const CAM_SPREAD_DEG = 25
/** Strokes and rods of the engines that this is for, mm and strokes. From memory. */
const STROKES_MM = [40, 80] as const
const RODS_PER_STROKE = [1.5, 2] as const
/** As fine as a degree wheel is read. */
const DROP_STEP_DEG = 0.5

/** Crank angle past top at which a piston is so far down. Degrees, to half of one. */
function angleAtDrop(engine: Pick<Engine, 'strokeMm' | 'rodMm'>, dropMm: number): number {
  for (let deg = 0; deg < 180; deg += DROP_STEP_DEG) if (pistonDrop(engine, deg) >= dropMm) return deg
  return 180
}
const spreadOf = (values: number[]): number => Math.round((Math.max(...values) - Math.min(...values)) / 2)

const leastSpare = (engine: Engine): number => Math.min(180, ...derivedFacts(engine).stops.map(s => s.leastSpareDeg))
/** How much less a stop has to spare where the cam is another than the assumed one. */
function camCost(engine: Engine): number {
  const wide: Cam = {
    checkLiftMm: 1,
    intakeOpensBeforeTdcDeg: 10 + CAM_SPREAD_DEG,
    intakeClosesAfterBdcDeg: 45 + CAM_SPREAD_DEG,
    exhaustOpensBeforeBdcDeg: 45 + CAM_SPREAD_DEG,
    exhaustClosesAfterTdcDeg: 10 + CAM_SPREAD_DEG,
  }
  // with a cam that is told other stops may be chosen: at one and the same stop the cam costs what it differs by
  const less = Math.round(leastSpare(engine) - leastSpare({ ...engine, cam: wide }))
  return Math.min(CAM_SPREAD_DEG, Math.max(0, less))
}

/**
 * What an engine’s data does not tell, with what is assumed and what that costs: degrees that a stop has less to spare,
 * a rod that shows another angle, a screw that gains differently. The dearest first.
 */
export function assumptionsOf(engine: Engine): Assumption[] {
  const drops = derivedFacts(engine).stops.flatMap(s =>
    s.dropMm !== null && s.stop.place.kind === 'rod-drop' ? [s.dropMm] : [],
  )
  const dropMm = Math.max(0, ...drops)
  const strokeAssumed = engine.assumed?.includes('stroke') ?? false
  const hasScrew = engine.valves.some(v => v.adjuster === 'screw')
  const hasLock = hasScrew && engine.adjuster.lockedBy !== 'own grip'
  const all: (Assumption | null)[] = [
    engine.cam === null ? { field: 'io', says: say('assumed.cam', { deg: camCost(engine) }) } : null,
    engine.decompressor.kind === 'unknown'
      ? { field: 'decompressor', says: say('assumed.decompressor', { past: drops.length > 0 }) }
      : null,
    dropMm > 0 && strokeAssumed
      ? {
          field: 'stroke',
          says: say('assumed.stroke', {
            mm: engine.strokeMm,
            deg: spreadOf(STROKES_MM.map(strokeMm => angleAtDrop({ strokeMm, rodMm: null }, dropMm))),
          }),
        }
      : null,
    dropMm > 0 && !strokeAssumed && engine.rodMm === null
      ? {
          field: 'rod',
          says: say('assumed.rod', {
            deg: Math.max(
              1,
              spreadOf(RODS_PER_STROKE.map(per => angleAtDrop({ ...engine, rodMm: engine.strokeMm * per }, dropMm))),
            ),
          }),
        }
      : null,
    engine.assumed?.includes('seenFrom')
      ? { field: 'seenFrom', says: say('assumed.turning', { clockwise: engine.turning.direction === 'clockwise' }) }
      : null,
    engine.adjuster.pitchAssumed && hasScrew
      ? { field: 'pitch', says: say('assumed.pitch', { mm: engine.adjuster.pitchMm }) }
      : null,
    engine.torques.locknutNm === null && hasLock ? { field: 'locknut', says: say('assumed.locknut') } : null,
    engine.interval.use === null && engine.interval.months === null
      ? { field: 'use', says: say('assumed.interval') }
      : null,
  ]
  return all.filter(a => a !== null)
}
