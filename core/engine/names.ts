import type { Engine, Valve } from './parts'

/** Thrown when a valve, cylinder or mark is asked for that this engine does not have. */
export class UnknownPartError extends Error {
  override readonly name = 'UnknownPartError'
  constructor(
    readonly part: string,
    readonly id: string,
  ) {
    super(`This engine has no ${part} “${id}”.`)
  }
}

/** @throws UnknownPartError for an id that the engine has not */
export function valveById(engine: Engine, id: string): Valve {
  const valve = engine.valves.find(v => v.id === id)
  if (!valve) throw new UnknownPartError('valve', id)
  return valve
}

/** @throws UnknownPartError for an id that the engine has not */
export function cylinderById(engine: Pick<Engine, 'cylinders'>, id: string): Engine['cylinders'][number] {
  const cylinder = engine.cylinders.find(c => c.id === id)
  if (!cylinder) throw new UnknownPartError('cylinder', id)
  return cylinder
}

/** The cycle angle of a cylinder's compression TDC. */
export const firingAngle = (engine: Pick<Engine, 'cylinders'>, cylinderId: string): number =>
  cylinderById(engine, cylinderId).firingAngleDeg

/** What a blade goes under at a valve, its other face being the valve’s tip or its shim. */
export type BladeGoesUnder = 'screw' | 'rocker' | 'lobe'
/**
 * Where the blade goes at a valve. A screw at the valve’s end meets the tip itself; one at the push-rod leaves the
 * rocker’s pad there; over a shim it is the lobe.
 */
export function bladeGoesUnder({ valves, adjuster, layout }: Engine, valveId: string): BladeGoesUnder {
  const by = valves.find(v => v.id === valveId)?.adjuster
  if (by === 'shim') return layout === 'overhead cam' ? 'lobe' : 'rocker'
  return adjuster.kind === 'valve-end' && by !== 'none' ? 'screw' : 'rocker'
}
