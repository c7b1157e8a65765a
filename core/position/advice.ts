import { type Engine, type Place, valveById } from '../engine'
import type { PositionModel } from './model'
import type { Noted, Observation } from './observation'
import { segments } from './segments'

export type MoveWhy =
  | 'start'
  | 'neither has play'
  | 'one has play'
  | 'stop is elsewhere'
  | 'try the other top'
  | 'tells most'
  | 'turned back'
  | 'by school'
/**
 * The one next thing to do with the crank, as a whole move. The words for it belong to the screen's language, not here.
 */
export type Advice =
  | { kind: 'settled' }
  | { kind: 'feel'; valveIds: string[]; why: 'which stroke' | 'decompressor or clearance' }
  | { kind: 'move'; to: Place; turns: 1 | null; times: 1 | 2; turnDeg: number | null; why: MoveWhy }
  | { kind: 'watch'; cylinderId: string; to: Place; why: 'no play anywhere' | 'still open' | 'by school' }

/** A move on until a place next shows. */
export const moveOn = (to: Place, why: MoveWhy): Advice => ({
  kind: 'move',
  to,
  turns: null,
  times: 1,
  turnDeg: null,
  why,
})

export type Felt = 'unfelt' | 'slack' | 'no play' | 'one of each'

/** A crank place as the advice looks at it: where the crank came to rest, how, and what each rocker felt like there. */
export interface Visit {
  place: Place | null
  move: Observation | null
  slack: Map<string, boolean>
}

const endOf = (move: Observation | undefined): Place | null =>
  move && (move.kind === 'move' || move.kind === 'turns' || move.kind === 'watched') ? move.to : null

/** The places a job has been at, in order; the last is where the crank is now. */
export function visits(noted: Noted[]): Visit[] {
  return segments(noted).map(({ move, answers }) => {
    const slack = new Map<string, boolean>()
    let place = endOf(move?.observation)
    for (const { observation: o } of answers) {
      if (o.kind === 'seen' && (place === null || o.place.kind === 'mark' || o.place.kind === 'piston-top'))
        place = o.place
      if (o.kind === 'rocker') slack.set(o.valveId, o.slack)
      // a refused blade is no feel of the rocker: a gap thinner than the blade still clicks
      if (o.kind === 'blade' && o.went) slack.set(o.valveId, true)
    }
    return { place, move: move?.observation ?? null, slack }
  })
}

/** What the rockers of a cylinder felt like at a visit, taken together. */
export function feltOf(engine: Engine, cylinderId: string, { slack }: Visit): Felt {
  const plays = engine.valves.filter(v => v.cylinderId === cylinderId).map(v => slack.get(v.id))
  if (plays.includes(undefined)) return 'unfelt'
  return plays.every(Boolean) ? 'slack' : plays.some(Boolean) ? 'one of each' : 'no play'
}

/** The valves of a cylinder still to be felt at a visit: two at a time, those of one kind where a head has four. */
export function unfeltOf(engine: Engine, cylinderId: string, { slack }: Visit): string[] {
  const own = engine.valves.filter(v => v.cylinderId === cylinderId)
  const left = own.filter(v => !slack.has(v.id))
  return (own.length > 2 ? left.filter(v => v.role === left[0]!.role) : left).slice(0, 2).map(v => v.id)
}

/**
 * The cylinder that a place speaks of: its own piston's, valve's or mark's; null for a mark that is no cylinder's top.
 */
export function cylindersAt(model: PositionModel, place: Place): string[] {
  const { engine } = model
  if (place.kind === 'piston-top' || place.kind === 'rod-drop') return [place.cylinderId]
  if (place.kind === 'valve') return [valveById(engine, place.valveId).cylinderId]
  if (place.kind === 'cam-mark') return []
  const angle = engine.marks[place.markIndex]?.angleDeg ?? 0
  return engine.cylinders
    .filter(c => {
      const off = Math.abs(((((c.firingAngleDeg - angle) % 360) + 540) % 360) - 180)
      return off <= 3
    })
    .map(c => c.id)
}
