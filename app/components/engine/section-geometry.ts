import { type Engine, greatestLiftMm, pistonDrop, rodLengthMm, type Role, valveLift } from '~~/core/engine'

/** Drawing units of the engine in section. Its middle is the cylinder's; down is positive. */
const STROKE = 66
const CRANK_Y = 92
export const HEAD_Y = -72
/** How far a valve is drawn to open at most. */
export const LIFT = 11
/** The piston's top dead center is put just under the head, however long the rod is drawn. */
export const CROWN_TOP = HEAD_Y + 8

export const SIDES: { role: Role; sign: 1 | -1 }[] = [
  { role: 'intake', sign: -1 },
  { role: 'exhaust', sign: 1 },
]

/** Where piston, rod and crank stand at a cylinder's own crank angle. */
export function crankAndPiston(engine: Engine, crankDeg: number) {
  const scale = STROKE / engine.strokeMm
  const rod = Math.min(rodLengthMm(engine) * scale, 128)
  const radians = (crankDeg * Math.PI) / 180
  const drop = pistonDrop(engine, crankDeg) * scale
  const rodShift = CRANK_Y - STROKE / 2 - rod - (CROWN_TOP + 24)
  return {
    scale,
    drop,
    gudgeonY: CROWN_TOP + 24 + drop,
    pinX: (STROKE / 2) * Math.sin(radians),
    pinY: CRANK_Y - (STROKE / 2) * Math.cos(radians) - rodShift,
    crankY: CRANK_Y - rodShift,
  }
}

/** How far a valve is open, as drawn. */
export const drawnLift = (engine: Engine, role: Role, crankDeg: number): number =>
  (valveLift(engine, role, crankDeg) / greatestLiftMm(engine)) * LIFT

/** How far a rocker is turned by a lift at the end of an arm. ° */
export const rockerTurn = (lift: number, arm: number): number => (Math.asin(Math.min(0.9, lift / arm)) * 180) / Math.PI

/**
 * Cam profile by the lift law, turned at half crank speed; `contactDeg` is where its follower touches, clockwise from
 * up.
 */
export function camPath(engine: Engine, role: Role, contactDeg: number, base: number, rise: number): string {
  const points: string[] = []
  for (let body = 0; body < 360; body += 4) {
    const r = base + (valveLift(engine, role, 2 * (contactDeg - body)) / greatestLiftMm(engine)) * rise
    const a = (body * Math.PI) / 180
    points.push(`${(r * Math.sin(a)).toFixed(2)} ${(-r * Math.cos(a)).toFixed(2)}`)
  }
  return `M ${points.join(' L ')} Z`
}
