import { type Engine, placeAngle, placePeriod, signedWay, wrap } from '../engine'
import type { Movement, Noted, Observation } from './observation'
import { placeAfterWatch, wayByTurns, wayToNext } from './places'
import type { Segment } from './segments'

/**
 * Two stands of the crank are one place when they are no further apart than a hand stops from a line or a rod. Degrees,
 * from memory
 */
export const ONE_PLACE_DEG = 20

/**
 * What a hand feels, right or wrong, it feels again: hand, valve and place share their error. A blade or a line does
 * not.
 */
const isFelt = (o: Observation): boolean =>
  o.kind === 'rocker' || o.kind === 'push-rods' || o.kind === 'rocked' || o.kind === 'thumb'

/** Where the crank stands by what was said of its way, and from where that way is known without a gap. */
interface Stand {
  deg: number | null
  /**
   * Ways that began at a place which shows once a cycle are one; others go by the piece of the log that they begin
   * with.
   */
  way: 'by the cam' | number
  /** After how many degrees the place shows again. */
  period: 360 | 720
}

/**
 * Every place so far shows once a turn: then how far it is from one to the next is known, though not on which turn it
 * began.
 */
function standAfter(engine: Engine, before: Stand, movement: Movement, piece: number): Stand {
  if (movement.kind === 'lost') return { deg: null, way: piece, period: 360 }
  if (movement.kind === 'turn') return { ...before, deg: before.deg === null ? null : before.deg + movement.deg }
  const atDeg = placeAngle(engine, movement.to)
  const period = placePeriod(movement.to)
  if (movement.kind === 'watched') {
    const intake = engine.valves.find(v => v.cylinderId === movement.cylinderId && v.role === 'intake')
    if (!intake) return { deg: null, way: piece, period }
    const shuts = placeAngle(engine, { kind: 'valve', valveId: intake.id, sight: 'just closed' })
    return { deg: placeAfterWatch(atDeg, shuts, period), way: 'by the cam', period }
  }
  if (period === 720) return { deg: atDeg, way: 'by the cam', period }
  if (before.deg === null) return { deg: atDeg, way: before.way, period }
  const way =
    movement.kind === 'turns'
      ? wayByTurns(atDeg, wrap(before.deg), period, movement.turns)
      : wayToNext(atDeg, wrap(before.deg), period, movement.times)
  return { deg: before.deg + way, way: before.way, period }
}

/** An answer, and where it was given alike before: within that place it says nothing new of the valve. */
export interface Weighed extends Noted {
  again?: { atDeg: number; period: 360 | 720 }
}

/**
 * The answers of each piece, those marked that were given alike at the same place before, also after coming round
 * again. However often it is repeated, one hand on one rocker at one place is one piece of evidence of the valve; that
 * the crank came back to that place, and is not elsewhere, it does tell anew. A screw that was set makes its valve a
 * new one.
 */
export function markRepeats(engine: Engine, pieces: Segment[]): { move: Noted | null; answers: Weighed[] }[] {
  let stand: Stand = { deg: null, way: 0, period: 360 }
  let felt: { what: string; valveId: string | null; deg: number; way: Stand['way'] }[] = []
  return pieces.map((piece, i) => {
    if (piece.move) stand = standAfter(engine, stand, piece.move.observation as Movement, i)
    const { deg, way, period } = stand
    const answers = piece.answers.map((answer): Weighed => {
      const { observation: o } = answer
      if (o.kind === 'screw-set') felt = felt.filter(f => f.valveId !== o.valveId)
      if (!isFelt(o) || deg === null) return answer
      const what = JSON.stringify(o)
      const before = felt.some(
        f => f.what === what && f.way === way && Math.abs(signedWay(f.deg, deg, 720)) <= ONE_PLACE_DEG,
      )
      if (before) return { ...answer, again: { atDeg: wrap(deg, period), period } }
      felt.push({ what, valveId: 'valveId' in o ? o.valveId : null, deg, way })
      return answer
    })
    return { move: piece.move, answers }
  })
}
