import { degreesFor } from '../adjuster'
import { type Engine, pistonDrop } from '../engine'
import { planStops, type Stop } from '../stops'
import { mmFromThou } from '../units'

/** What follows from a spec without being printed in it. */
export interface Derived {
  /**
   * Screw degrees for 0.01 mm and for a thou of gap, and the gap of a flat of 60°, mm; null where no valve has a screw.
   */
  screw: { perHundredthDeg: number; perThouDeg: number; flatMm: number } | null
  stops: { stop: Stop; leastSpareDeg: number; dropMm: number | null }[]
  unserved: string[]
}

/**
 * Screw degrees, the margin at each stop, and how far the piston is down at stops past top. Source: `degreesFor`,
 * `planStops`, `pistonDrop`.
 */
export function derivedFacts(engine: Engine): Derived {
  const plan = planStops(engine)
  const hasScrew = engine.valves.some(v => v.adjuster === 'screw')
  return {
    screw: hasScrew
      ? {
          perHundredthDeg: degreesFor(engine.adjuster, 0.01),
          perThouDeg: degreesFor(engine.adjuster, mmFromThou(1)),
          flatMm: 60 / degreesFor(engine.adjuster, 1),
        }
      : null,
    stops: plan.stops.map(stop => {
      const fired =
        engine.cylinders.find(c => c.id === engine.valves.find(v => v.id === stop.valves[0]?.valveId)?.cylinderId)
          ?.firingAngleDeg ?? 0
      const pastDeg = (stop.crankDeg - fired + 720) % 360
      return {
        stop,
        leastSpareDeg: Math.min(...stop.valves.map(v => Math.min(v.beforeDeg, v.afterDeg))),
        dropMm: pastDeg > 0.5 && pastDeg < 180 ? pistonDrop(engine, pastDeg) : null,
      }
    }),
    unserved: plan.unserved,
  }
}

/** Displacement in cm³, where the bore is on record. */
export const displacementCc = ({ boreMm, strokeMm, cylinders }: Engine): number | null =>
  boreMm === null ? null : ((Math.PI / 4) * boreMm ** 2 * strokeMm * cylinders.length) / 1000
